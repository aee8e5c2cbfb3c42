import { and, desc, eq, gt, inArray, notInArray, sql } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import type { Reader } from '../../platform/db/open';
import { customer, delivery, itemState, letter, message } from '../../platform/db/schema';
import { isOpen, signedOpen } from '../../documents/store/is-open';
import { overtakenLetters, type OvertakenLetter } from '../store/overtaken-letters';
import { lettersFor, type LettersAsked } from '../store/letters-for';
import { returnedPayments } from '../../returns/store/returned-payments';
import { recipientsOf } from '../../../core/7-letters/recipients-of';
import { defineLook } from '../../act/define-look';

export type LeftOut = 'money-waiting' | 'paused' | 'on-paper' | 'wants-none' | 'no-address' | 'sent-today';

export interface RunRow {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	readonly owed: number;
	readonly late: number;
	readonly oldest: string;
	readonly email: string | null;
	/** Who gets a copy. */
	readonly copies: readonly string[];
	/** Why it would better not go now, or null. */
	readonly leftOut: LeftOut | null;
	readonly because: string | null;
	readonly lastSent: string | null;
	/** The day of a letter that is not so any more, because a payment that it showed was moved since. */
	readonly corrects: string | null;
}

export const RUN_PAGE = 200;

export interface Run {
	/** One page of the run, the greatest amounts first. */
	readonly rows: readonly RunRow[];
	readonly accounts: number;
	readonly sums: readonly { readonly currency: string; readonly amount: number }[];
	/** How many accounts were told what is no longer so. */
	readonly corrections: number;
	/** The newest letter when this was looked at: what somebody else sends meanwhile is not sent twice. */
	readonly seen: number;
	/** Everybody who has no reason to be left out, on any page. */
	readonly ready: readonly { readonly customerId: number; readonly currency: string }[];
}

/** What a run is asked for. */
export interface RunQuery {
	readonly kind: LetterKind;
	readonly page: number;
	readonly corrections?: boolean;
	/** The customers whose money waits: they are better left out (`whoseMoneyWaits`). */
	readonly waiting: readonly number[];
}

/** Who would get a statement or a reminder today, with amounts, and a reason where someone is better left out. */
export const lookAtRun = defineLook('reader', async (db, query: RunQuery, { today }): Promise<Run> => {
	const seen = await newestLetter(db);
	const told = await overtakenLetters(db, null);
	const rows = await runRows(db, query.kind, today, told, new Set(query.waiting));
	const all = query.corrections ? rows.filter((row) => row.corrects) : rows;
	const sums = new Map<string, number>();
	for (const row of all)
		sums.set(row.currency, (sums.get(row.currency) ?? 0) + (query.kind === 'reminder' ? row.late : row.owed));
	return {
		rows: all.slice(query.page * RUN_PAGE, (query.page + 1) * RUN_PAGE),
		accounts: all.length,
		corrections: told.length,
		seen,
		sums: [...sums].map(([currency, amount]) => ({ currency, amount })),
		ready: all.filter((row) => !row.leftOut).map(({ customerId, currency }) => ({ customerId, currency }))
	};
});

async function newestLetter(db: Reader): Promise<number> {
	const last = await db.select({ id: letter.id }).from(letter).orderBy(desc(letter.id)).limit(1).get();
	return last?.id ?? 0;
}

/** How many accounts a run of each kind has, and how many of them are better left out, for Today. */
export const countRuns = defineLook('reader', async (db, query: Pick<RunQuery, 'waiting'>, { today }) => {
	const told = await overtakenLetters(db, null);
	const waiting = new Set(query.waiting);
	const counts = async (kind: LetterKind) => {
		const rows = await runRows(db, kind, today, told, waiting);
		const left = (reason: LeftOut) => rows.filter((row) => row.leftOut === reason).length;
		return {
			all: rows.length,
			waiting: left('money-waiting'),
			paused: left('paused'),
			noAddress: left('no-address')
		};
	};
	return {
		statements: await counts('statement'),
		reminders: await counts('reminder'),
		corrections: told.length,
		notices: (await returnedPayments(db)).filter((one) => one.letterId === null).length
	};
});

async function runRows(
	db: Reader,
	kind: LetterKind,
	today: Day,
	told: readonly OvertakenLetter[],
	waiting: ReadonlySet<number>
): Promise<RunRow[]> {
	const owed = sql<number>`sum(${signedOpen})`;
	const isLate = sql`${itemState.due} < ${today} and ${itemState.kind} in ('invoice', 'charge')`;
	const late = sql<number>`sum(case when ${isLate} then ${itemState.open} else 0 end)`;
	const open = db
		.select({
			customerId: itemState.customerId,
			currency: itemState.currency,
			owed: owed.as('owed'),
			late: late.as('late'),
			oldest: sql<string>`min(${itemState.due})`.as('oldest')
		})
		.from(itemState)
		.where(isOpen)
		.groupBy(itemState.customerId, itemState.currency)
		.as('open');
	const rows = await db
		.select({
			customerId: customer.id,
			code: customer.code,
			name: customer.name,
			currency: open.currency,
			owed: open.owed,
			late: open.late,
			oldest: open.oldest,
			statementEmail: customer.statementEmail,
			reminderEmail: customer.reminderEmail,
			contacts: customer.contacts,
			way: customer.statementWay,
			paused: sql<
				string | null
			>`case when ${customer.pausedUntil} is null or ${customer.pausedUntil} >= ${today} then ${customer.chasingPaused} end`
		})
		.from(open)
		.innerJoin(customer, eq(customer.id, open.customerId))
		.where(kind === 'reminder' ? gt(open.late, 0) : undefined)
		.orderBy(desc(kind === 'reminder' ? open.late : open.owed), customer.code, open.currency);
	const sent = await db
		.select({
			customerId: letter.customerId,
			currency: letter.currency,
			date: sql<string>`max(${letter.date})`
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.where(and(eq(letter.kind, kind), notInArray(delivery.state, ['refused', 'failed'])))
		.groupBy(letter.customerId, letter.currency);
	const lastSent = new Map(sent.map((row) => [`${row.customerId} ${row.currency}`, row.date]));
	const corrects = new Map(told.map((one) => [`${one.customerId} ${one.currency}`, one.date]));
	return rows.map(({ statementEmail, reminderEmail, contacts, paused, way, ...row }) => {
		const { to: email, copies } = recipientsOf({ statementEmail, reminderEmail, contacts }, kind);
		const key = `${row.customerId} ${row.currency}`;
		const wrong = kind === 'statement' ? (corrects.get(key) ?? null) : null;
		const leftOut: LeftOut | null = waiting.has(row.customerId)
			? 'money-waiting'
			: kind === 'reminder' && paused
				? 'paused'
				: kind === 'statement' && way !== 'mail'
					? way === 'paper'
						? 'on-paper'
						: 'wants-none'
					: !email
						? 'no-address'
						: lastSent.get(key) === today && !wrong
							? 'sent-today'
							: null;
		return {
			...row,
			...{ email, copies },
			leftOut,
			because: leftOut === 'paused' ? paused : null,
			lastSent: lastSent.get(key) ?? null,
			corrects: wrong
		};
	});
}

/** The letters that accounts would get today, each by itself, for reading before they are sent. */
export const lookAtLetters = defineLook('reader', (db, asked: LettersAsked, { today }) =>
	lettersFor(db, asked, today)
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
