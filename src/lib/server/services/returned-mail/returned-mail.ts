import { readSetting, writeSetting } from '../../firm/store/settings';
import type { Books } from '../../platform/db/open';
import { logFailure } from '../../platform/log';
import type { MailboxAccount } from '../../platform/mail/mailbox';
import { takeFromFolder } from '../../platform/mail/take-from-folder';
import { takeFromImap } from '../../platform/mail/take-from-imap';
import { noteReport } from './note-report';

const EVERY_MS = 60_000;

/** Where undelivered mail comes back: a mailbox, or the stand-in's folder. */
export type ReturnsFrom = { readonly mailbox: MailboxAccount } | { readonly folder: string };

/** Reads what mail servers report of letters, for as long as the application runs. */
export interface ReturnedMail {
	/** Reads what has come; resolves when that is done. */
	look(): Promise<void>;
	/** When it was read last, and what stood in the way; null before the first time. */
	readonly last: { readonly at: string; readonly trouble: string | null } | null;
	close(): Promise<void>;
}

/** @param from where it comes back now; null where nobody said */
export function watchReturnedMail(
	books: Books,
	from: () => Promise<ReturnsFrom | null>,
	now: () => string
): ReturnedMail {
	let last: ReturnedMail['last'] = null;
	let turn: Promise<void> = Promise.resolve();
	const look = () =>
		(turn = turn.then(async () => {
			try {
				const source = await from();
				if (source === null) return;
				await readFrom(books, source, now);
				last = { at: now(), trouble: null };
			} catch (error) {
				last = { at: now(), trouble: troubleOf(error) };
				logFailure('reading undelivered mail', error);
			}
		}));
	const timer = setInterval(() => void look(), EVERY_MS);
	timer.unref();
	return {
		look,
		get last() {
			return last;
		},
		close: async () => {
			clearInterval(timer);
			await turn;
		}
	};
}

/** Reads a mailbox from where it was read before; how far it was read is kept once everything in it was. */
export async function readFrom(books: Books, source: ReturnsFrom, now: () => string): Promise<void> {
	const take = async (mail: Buffer) => void (await noteReport(books, mail, now()));
	if ('folder' in source) return takeFromFolder(source.folder, take);
	const { host, user, folder } = source.mailbox;
	const mailbox = `${user} at ${host}, ${folder}`;
	const kept = await readSetting(books.db, 'mailboxPlace');
	const before = kept?.mailbox === mailbox ? kept : null;
	const place = await takeFromImap(source.mailbox, before, new Date(now()), take);
	if (place.last === before?.last && place.validity === before.validity) return;
	await books.write((tx) => writeSetting(tx, 'mailboxPlace', { mailbox, ...place }));
}

/** What a server said, or what came in between, in a line. */
export function troubleOf(error: unknown): string {
	const { responseText, message } = error as { readonly responseText?: string; readonly message?: string };
	return (responseText ?? message ?? String(error)).slice(0, 300);
}
