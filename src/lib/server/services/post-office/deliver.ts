import { and, eq, isNull, lte, or, sql } from 'drizzle-orm';
import { retryMinutes } from '../../../core/7-letters/retry-minutes';
import { cleanText } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import type { MailRoute } from '../../platform/mail/mail-server';
import { openTransport, type MailError, type Transport } from '../../platform/mail/open-transport';
import type { Books } from '../../platform/db/open';
import { delivery, deliveryReport, letter, message } from '../../platform/db/schema';
import { messageText } from '../../letters/store/kept-letters';

import { isGone, newOwner } from './owner';
import { resentMessage } from '../../letters/resent-message';
import { SendRate } from './send-rate';

type State = (typeof delivery.$inferSelect)['state'];

/** So long a letter may take to be handed over: longer than any wait of the connection. */
const LEASE_MS = 5 * 60_000;

/**
 * Sends every letter that waits, one by one; what the mail server refuses is marked and the rest still goes. What it would not take for
 * now, and what was lost before it was handed over, is tried again later, with growing waits. Where the server cannot be reached at all,
 * the rest waits for the next look. Each is claimed in the database first, so that of several processes one sends it. One that was cut off
 * after it was handed over, or by a stop, may have gone, so it is not sent again by itself but marked as failed, for a person.
 * @param owner of what is claimed here, its own for each process
 * @param rate how many may go in a minute: the rest waits for the next look
 */
export async function deliverWaiting(
	books: Books,
	route: MailRoute,
	now: () => string,
	owner: string = newOwner(),
	rate: SendRate = new SendRate(null)
): Promise<void> {
	await failCutOff(books, now(), owner);
	const transport = openTransport(route);
	try {
		while (rate.mayGo(now())) {
			const id = await claim(books, now(), owner);
			if (id === null) return;
			const next = await books.db
				.select({ to: letter.recipient, copies: letter.copies, data: letter.data, message, delivery })
				.from(letter)
				.innerJoin(message, eq(message.letterId, letter.id))
				.innerJoin(delivery, eq(delivery.letterId, letter.id))
				.where(eq(letter.id, id))
				.get();
			const way = next!.delivery;
			const to = way.resentTo ?? next!.to;
			const written = (JSON.parse(next!.data) as { firm: { email: string } }).firm.email;
			const from = route.returnTo ?? written;
			const raw = await messageText(books, next!.message)
				.then((eml) => resentMessage(eml, way, written))
				.catch((error: unknown) => error as Error);
			if (raw instanceof Error) {
				await mark(books, id, owner, now(), 'failed', raw.message);
				continue;
			}
			try {
				const dsn = reportsWanted(way.resentId ?? way.messageId, to);
				const sent = await transport.sendMail({ envelope: { from, to: [to] }, raw, dsn });
				// Once it was taken copies went, and are not in doubt.
				const copies = (await wasReported(books, id)) ? [] : (next!.copies ?? []);
				const missed = await sendCopies(transport, from, copies, raw);
				await mark(books, id, owner, now(), 'sent', [sent.response, ...missed].join(' '));
			} catch (error) {
				const problem = error as MailError;
				const fate = fateOf(problem, transport.wasHandedOver);
				const said = problem.response ?? problem.message;
				if (fate === 'again') await putOff(books, id, owner, now(), said);
				else await mark(books, id, owner, now(), fate, said);
				// Nobody is there, or nobody has time: so it would be with the next.
				if (isServerAway(problem)) return;
			} finally {
				rate.went(now());
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
	transport: Transport,
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

/** Whether a mail server told of a letter: then one took it before. */
async function wasReported(books: Books, id: number): Promise<boolean> {
	const [report] = await books.db
		.select({ id: deliveryReport.id })
		.from(deliveryReport)
		.where(eq(deliveryReport.letterId, id))
		.limit(1)
		.all();
	return report !== undefined;
}

/** What a server that can is asked to report, and by which id (RFC 3461, section 4): the header is enough to know the letter by. */
const reportsWanted = (messageId: string, to: string) => ({
	...{ id: messageId.replace(/^<|>$/g, ''), return: 'headers' as const },
	...{ notify: ['failure' as const, 'delay' as const], recipient: to }
});

/** Codes of the library for a server that cannot be reached, is not trusted or lets nobody in: no letter is to blame. */
const AWAY = new Set([
	'ECONNECTION',
	'ETIMEDOUT',
	'ESOCKET',
	'EDNS',
	'ETLS',
	'EPROTOCOL',
	'EAUTH',
	'ENOAUTH'
]);
/** The code of a server that closes its door (RFC 5321, section 4.2.3). */
const SERVICE_CLOSES = 421;

const isServerAway = ({ code, responseCode }: MailError) =>
	responseCode === SERVICE_CLOSES || (code !== undefined && AWAY.has(code));

/** What becomes of a letter that was not taken. */
function fateOf(problem: MailError, wasHandedOver: boolean): 'refused' | 'again' | 'failed' {
	const { responseCode: answer } = problem;
	// A server that heard the whole of it and says nothing may have taken it.
	if (wasHandedOver && answer === undefined) return 'failed';
	// One that says no for now has not (RFC 5321, section 4.2.1).
	if (isServerAway(problem) || (answer !== undefined && answer >= 400 && answer < 500)) return 'again';
	return answer === undefined ? 'failed' : 'refused';
}

/** Puts a letter back in line for later; one that was tried for a day is given up. */
async function putOff(books: Books, id: number, owner: string, at: string, said: string): Promise<void> {
	const [row] = await books.db
		.select({ tries: delivery.tries })
		.from(delivery)
		.where(eq(delivery.letterId, id))
		.all();
	const minutes = retryMinutes(row?.tries ?? 1);
	if (minutes === null) return mark(books, id, owner, at, 'failed', said);
	const nextAt = new Date(Date.parse(at) + minutes * 60_000).toISOString();
	return mark(books, id, owner, at, 'waiting', said, nextAt);
}

/** Claims the oldest letter whose turn it is; null where there is none. */
async function claim(books: Books, at: string, owner: string): Promise<number | null> {
	const isDue = or(isNull(delivery.nextAt), lte(delivery.nextAt, at));
	const oldest = sql`(select min(letter_id) from delivery where state = 'waiting' and (next_at is null or next_at <= ${at}))`;
	const leaseUntil = new Date(Date.parse(at) + LEASE_MS).toISOString();
	// A look first: claiming is a write, and most of the time nothing waits.
	const waits = await books.db
		.select({ id: delivery.letterId })
		.from(delivery)
		.where(and(eq(delivery.state, 'waiting'), isDue))
		.limit(1)
		.get();
	if (!waits) return null;
	const claimed = await books.write((tx) =>
		tx
			.update(delivery)
			.set({
				state: 'sending',
				at,
				answer: null,
				nextAt: null,
				owner,
				leaseUntil,
				tries: sql`${delivery.tries} + 1`
			})
			.where(and(eq(delivery.letterId, oldest), eq(delivery.state, 'waiting')))
			.returning({ id: delivery.letterId })
	);
	return claimed[0]?.id ?? null;
}

/** A report may be read sooner than it is known here that the message was taken. */
const SENT_OR_NOT = sql<State>`case when exists (
	select 1 from delivery_report r
	where r.letter_id = delivery.letter_id and r.action = 'failed' and r.at >= delivery.at
		and r.about = coalesce(delivery.resent_id, delivery.message_id)) then 'undelivered' else 'sent' end`;

/** Says how a letter fared that was claimed here; where its lease ran out meanwhile, what was said of it since stays. */
async function mark(
	books: Books,
	id: number,
	owner: string,
	at: string,
	state: State,
	answer: string,
	nextAt: string | null = null
): Promise<void> {
	await books.write((tx) =>
		tx
			.update(delivery)
			.set({
				...{ state: state === 'sent' ? SENT_OR_NOT : state, at, nextAt },
				...{ answer: cutText(cleanText(answer), 400), owner: null, leaseUntil: null }
			})
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
