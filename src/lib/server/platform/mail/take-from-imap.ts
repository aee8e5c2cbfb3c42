import { ImapFlow, type FetchMessageObject, type MailboxObject, type MessageStructureObject } from 'imapflow';
import type { MailboxAccount, MailboxPlace, TakeMail } from './mailbox';

/** How long each part may take, in milliseconds. */
const BOUNDS = { connectionTimeout: 10_000, greetingTimeout: 10_000, socketTimeout: 60_000 };
/** A mailbox that was not read before is read from so many days back. */
const DAYS_BACK = 14;
/** Larger messages are no reports: those carry a header, or a letter of ours at the most. */
const MOST_BYTES = 5_000_000;
/** So many are looked at in one go; the rest at the next. */
const MOST_MESSAGES = 2_000;

/**
 * Reads new reports in a mailbox (IMAP, RFC 9051). It is opened for reading alone: nothing is marked, moved or deleted, and of what is no
 * report by its structure and sender nothing but that is fetched, so that a mailbox that people read, too, stays as it is.
 * @param place how far it was read before; null for never
 * @returns how far it was read now
 * @throws what the server answers, or that it cannot be reached
 */
export async function takeFromImap(
	account: MailboxAccount,
	place: MailboxPlace | null,
	now: Date,
	take: TakeMail
): Promise<MailboxPlace> {
	return withMailbox(account, async (client, opened) => {
		const validity = String(opened.uidValidity);
		const before = place?.validity === validity ? place.last : null;
		const since = new Date(now.getTime() - DAYS_BACK * 86_400_000);
		const found =
			before === null
				? await client.search({ since }, { uid: true })
				: await client.search({ uid: `${before + 1}:*` }, { uid: true });
		const uids = (found || []).filter((uid) => uid > (before ?? 0)).sort((a, b) => a - b);
		const turn = uids.slice(0, MOST_MESSAGES);
		const heads: FetchMessageObject[] = [];
		if (turn.length > 0)
			for await (const one of client.fetch(
				turn,
				{ uid: true, size: true, envelope: true, bodyStructure: true },
				{ uid: true }
			))
				heads.push(one);
		for (const head of heads.filter(mayBeReport).sort((a, b) => a.uid - b.uid)) {
			const whole = await client.fetchOne(head.uid, { source: true }, { uid: true });
			if (whole && whole.source) await take(whole.source);
		}
		return { validity, last: turn.at(-1) ?? before ?? 0 };
	});
}

/** Looks whether a mailbox can be opened. @returns how many messages lie there @throws what the server answers */
export async function lookIntoMailbox(account: MailboxAccount): Promise<number> {
	return withMailbox(account, async (_, { exists }) => exists);
}

async function withMailbox<T>(
	{ host, port, security, user, password, folder }: MailboxAccount,
	work: (client: ImapFlow, opened: MailboxObject) => Promise<T>
): Promise<T> {
	const client = new ImapFlow({
		...{ host, port, ...BOUNDS, logger: false, disableAutoIdle: true },
		// Without TLS it is not begun by itself: that was chosen, and is for the own network.
		...(security === 'tls' ? { secure: true } : { secure: false, doSTARTTLS: security === 'starttls' }),
		auth: { user, pass: password }
	});
	// What it says between commands is said by the command that fails.
	client.on('error', () => undefined);
	try {
		await client.connect();
		return await work(client, await client.mailboxOpen(folder || 'INBOX', { readOnly: true }));
	} finally {
		await client.logout().catch(() => client.close());
	}
}

function mayBeReport({ size, envelope, bodyStructure }: FetchMessageObject): boolean {
	if ((size ?? 0) > MOST_BYTES) return false;
	const from = envelope?.from?.[0]?.address ?? '';
	return hasStatus(bodyStructure) || /^(?:mailer-daemon|mail-daemon|postmaster)@/i.test(from);
}

function hasStatus(part: MessageStructureObject | undefined): boolean {
	if (!part) return false;
	return part.type === 'message/delivery-status' || (part.childNodes ?? []).some(hasStatus);
}
