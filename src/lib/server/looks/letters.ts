import { and, desc, eq, gt, inArray, sql } from 'drizzle-orm';
import type { LetterKind } from '../../core/7-letters/letter';
import { customer, delivery, document, item, itemState, letter, message } from '../db/schema';
import { answeredPile } from './answers';
import { letterFor } from '../repo/letter-for';
import { defineLook } from './define-look';

export type LeftOut = 'money-waiting' | 'paused' | 'no-address';

export interface RunRow {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly owed: number;
	readonly late: number;
	readonly oldest: string;
	readonly email: string | null;
	/** Why it would better not go now, or null. */
	readonly leftOut: LeftOut | null;
	readonly because: string | null;
	readonly lastSent: string | null;
}

/** Who would get a statement or a reminder today, with amounts, and a reason where someone is better left out. */
export const lookAtRun = defineLook('reader', async (db, kind: LetterKind, { today }): Promise<RunRow[]> => {
	const signed = sql<number>`sum(case when ${document.kind} = 'credit_note' then -${itemState.open} else ${itemState.open} end)`;
	const late = sql<number>`sum(case when ${itemState.due} < ${today} and ${document.kind} <> 'credit_note' then ${itemState.open} else 0 end)`;
	const rows = await db
		.select({
			customerId: customer.id,
			code: customer.code,
			name: customer.name,
			currency: document.currency,
			owed: signed,
			late,
			oldest: sql<string>`min(${itemState.due})`,
			statementEmail: customer.statementEmail,
			reminderEmail: customer.reminderEmail,
			paused: customer.chasingPaused
		})
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(gt(itemState.open, 0))
		.groupBy(customer.id, document.currency)
		.having(kind === 'reminder' ? sql`${late} > 0` : sql`1`)
		.orderBy(desc(kind === 'reminder' ? late : signed), customer.code);
	const pile = await answeredPile(db);
	const waiting = new Set([...pile.answers.values()].flatMap((answer) => answer.customerId ?? []));
	const sent = await db
		.select({ customerId: letter.customerId, date: sql<string>`max(${letter.date})` })
		.from(letter)
		.where(eq(letter.kind, kind))
		.groupBy(letter.customerId);
	const lastSent = new Map(sent.map((row) => [row.customerId, row.date]));
	return rows.map(({ statementEmail, reminderEmail, paused, ...row }) => {
		const email = kind === 'statement' ? statementEmail : (reminderEmail ?? statementEmail);
		const leftOut: LeftOut | null = waiting.has(row.customerId)
			? 'money-waiting'
			: kind === 'reminder' && paused
				? 'paused'
				: email
					? null
					: 'no-address';
		return {
			...row,
			email,
			leftOut,
			because: leftOut === 'paused' ? paused : null,
			lastSent: lastSent.get(row.customerId) ?? null
		};
	});
});

/** The letter that one account would get today, for reading before it is sent. */
export const lookAtLetter = defineLook(
	'reader',
	(db, input: { kind: LetterKind; customerId: number; currency: string }, { today }) =>
		letterFor(db, input.kind, input.customerId, input.currency, today)
);

export const OUTBOX_PAGE = 100;

/** Every letter as sent, newest first, with how it fared. */
export const lookAtOutbox = defineLook('reader', async (db, query: { page: number }) => {
	const rows = await db
		.select({
			id: letter.id,
			kind: letter.kind,
			date: letter.date,
			name: customer.name,
			code: customer.code,
			amount: letter.amount,
			currency: letter.currency,
			recipient: letter.recipient,
			state: delivery.state,
			answer: delivery.answer,
			at: delivery.at
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.orderBy(desc(letter.id))
		.limit(OUTBOX_PAGE)
		.offset(query.page * OUTBOX_PAGE);
	const busy = await db
		.select({ n: sql<number>`count(*)` })
		.from(delivery)
		.where(inArray(delivery.state, ['waiting', 'sending']))
		.get();
	return { rows, busy: busy?.n ?? 0 };
});

/** One letter as sent: its words, its paper, its message. */
export const lookAtSent = defineLook('reader', async (db, id: number) => {
	const found = await db
		.select({ letter, delivery, eml: message.eml, name: customer.name, code: customer.code })
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.innerJoin(message, eq(message.letterId, letter.id))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.where(and(eq(letter.id, id)))
		.get();
	return found ?? null;
});
