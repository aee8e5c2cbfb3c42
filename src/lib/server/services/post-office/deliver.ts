import { and, eq, isNull, sql } from 'drizzle-orm';
import { cleanText } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import { openTransport } from '../../platform/mail/open-transport';
import type { Books } from '../../platform/db/open';
import { delivery, letter, message } from '../../platform/db/schema';
import { messageText } from '../../letters/store/kept-letters';

import { isGone, newOwner } from './owner';

type State = (typeof delivery.$inferSelect)['state'];

/** So long a letter may take to be handed over: longer than any wait of the connection. */
const LEASE_MS = 5 * 60_000;

/**
 * Sends every letter that waits, one by one; what the mail server refuses is marked and the rest still goes. Each is claimed in the
 * database first, so that of several processes one sends it. One that was claimed and not told of since was cut off by a stop: it may
 * have gone, so it is not sent again by itself but marked as failed, for a person.
 * @param owner of what is claimed here, its own for each process
 */
export async function deliverWaiting(
	books: Books,
	smtpUrl: string,
	now: () => string,
	owner: string = newOwner()
): Promise<void> {
	await failCutOff(books, now(), owner);
	const transport = openTransport(smtpUrl);
	try {
		for (let id = await claim(books, now(), owner); id !== null; id = await claim(books, now(), owner)) {
			const next = await books.db
				.select({ to: letter.recipient, copies: letter.copies, data: letter.data, message })
				.from(letter)
				.innerJoin(message, eq(message.letterId, letter.id))
				.where(eq(letter.id, id))
				.get();
			const { to, copies } = next!;
			const from = (JSON.parse(next!.data) as { firm: { email: string } }).firm.email;
			try {
				const raw = await messageText(books, next!.message);
				const sent = await transport.sendMail({ envelope: { from, to: [to] }, raw });
				const missed = await sendCopies(transport, from, copies ?? [], raw);
				await mark(books, id, owner, now(), 'sent', [String(sent.response ?? ''), ...missed].join(' '));
			} catch (error) {
				const { responseCode, response, message: text } = error as MailError;
				const refused = responseCode !== undefined && responseCode >= 500 && responseCode < 600;
				await mark(books, id, owner, now(), refused ? 'refused' : 'failed', response ?? text);
			}
		}
	} finally {
		transport.close();
	}
}

/**
 * Sends the same message to those who get a copy, once it is taken for the customer: a copy that is refused does not stop the letter.
 * @returns what the mail server said of those that it did not take
 */
async function sendCopies(
	transport: ReturnType<typeof openTransport>,
	from: string,
	copies: readonly string[],
	raw: Buffer
): Promise<string[]> {
	const missed: string[] = [];
	for (const to of copies)
		try {
			await transport.sendMail({ envelope: { from, to: [to] }, raw });
		} catch (error) {
			const { response, message: text } = error as MailError;
			missed.push(`The copy to ${to} was not taken: ${response ?? text}`);
		}
	return missed;
}

interface MailError {
	readonly responseCode?: number;
	readonly response?: string;
	readonly message: string;
}

/** Claims the oldest letter that waits; null where none does. */
async function claim(books: Books, at: string, owner: string): Promise<number | null> {
	const oldest = sql`(select min(letter_id) from delivery where state = 'waiting')`;
	const leaseUntil = new Date(Date.parse(at) + LEASE_MS).toISOString();
	// A look first: claiming is a write, and most of the time nothing waits.
	const waits = await books.db
		.select({ id: delivery.letterId })
		.from(delivery)
		.where(eq(delivery.state, 'waiting'))
		.limit(1)
		.get();
	if (!waits) return null;
	const claimed = await books.write((tx) =>
		tx
			.update(delivery)
			.set({ state: 'sending', at, answer: null, owner, leaseUntil, tries: sql`${delivery.tries} + 1` })
			.where(and(eq(delivery.letterId, oldest), eq(delivery.state, 'waiting')))
			.returning({ id: delivery.letterId })
	);
	return claimed[0]?.id ?? null;
}

/** Says how a letter fared that was claimed here; where its lease ran out meanwhile, what was said of it since stays. */
async function mark(
	books: Books,
	id: number,
	owner: string,
	at: string,
	state: State,
	answer: string
): Promise<void> {
	await books.write((tx) =>
		tx
			.update(delivery)
			.set({ state, at, answer: cutText(cleanText(answer), 400), owner: null, leaseUntil: null })
			.where(and(eq(delivery.letterId, id), eq(delivery.owner, owner)))
	);
}

/** What was claimed by a process that is no more, or by this one before, or so long ago that nobody can be at it. */
async function failCutOff(books: Books, at: string, owner: string): Promise<void> {
	const sending = await books.db
		.select({ id: delivery.letterId, owner: delivery.owner, leaseUntil: delivery.leaseUntil })
		.from(delivery)
		.where(eq(delivery.state, 'sending'));
	const cutOff = sending.filter(
		(one) => one.leaseUntil === null || one.leaseUntil < at || one.owner === null || isGone(one.owner, owner)
	);
	if (cutOff.length === 0) return;
	const answer = 'The application stopped while sending. It may have arrived; send again if not.';
	await books.write(async (tx) => {
		for (const one of cutOff)
			await tx
				.update(delivery)
				.set({ state: 'failed', answer, at, owner: null, leaseUntil: null })
				.where(
					and(
						eq(delivery.letterId, one.id),
						eq(delivery.state, 'sending'),
						one.owner === null ? isNull(delivery.owner) : eq(delivery.owner, one.owner)
					)
				);
	});
}
