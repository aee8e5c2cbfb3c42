import { and, asc, desc, eq, gte, inArray, isNull, lte, or, sql, type SQL } from 'drizzle-orm';
import type { LetterKind } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import { idsOfAccounts } from '../../customers/store/merged-accounts';
import type { Reader } from '../../platform/db/open';
import { customer, delivery, deliveryReport, letter, message, runLetter } from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';

export const OUTBOX_PAGE = 100;

/** How a letter fares, as it is asked for: on its way, sent, not taken, withdrawn, or on paper. */
export const OUTBOX_STATES = ['under-way', 'sent', 'refused', 'withdrawn', 'to-print', 'printed'] as const;
export type OutboxState = (typeof OUTBOX_STATES)[number];

/** Which letters are looked for; all of them where nothing is said. */
export interface OutboxQuery {
	readonly page: number;
	readonly kind?: LetterKind;
	readonly state?: OutboxState;
	readonly from?: Day;
	readonly to?: Day;
	readonly runId?: number;
	/** Words of the letter, of the customer's name or code, or of an address. */
	readonly words?: string;
}

const STATES: Readonly<Record<OutboxState, SQL>> = {
	'under-way': sql`${delivery.state} in ('waiting', 'sending', 'paused')`,
	sent: sql`${delivery.state} = 'sent'`,
	refused: sql`${delivery.state} in ('refused', 'failed', 'undelivered')`,
	withdrawn: sql`${delivery.state} = 'withdrawn'`,
	'to-print': sql`${delivery.printing} = 'waiting'`,
	printed: sql`${delivery.printing} = 'printed'`
};

/** Every letter as sent, newest first, with how it fared. */
export const lookAtOutbox = defineLook('reader', async (db, query: OutboxQuery) => {
	const where = await conditionOf(db, query);
	const rows = await db
		.select({
			...{ id: letter.id, kind: letter.kind, date: letter.date, name: customer.name, code: customer.code },
			...{ amount: letter.amount, currency: letter.currency, recipient: letter.recipient },
			...{ state: delivery.state, answer: delivery.answer, at: delivery.at, printing: delivery.printing },
			nextAt: delivery.nextAt,
			resentTo: delivery.resentTo
		})
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.where(where)
		.orderBy(desc(letter.id))
		.limit(OUTBOX_PAGE + 1)
		.offset(query.page * OUTBOX_PAGE)
		.all();
	const busy = await db
		.select({ n: sql<number>`count(*)` })
		.from(delivery)
		.where(and(inArray(delivery.state, ['waiting', 'sending']), isNull(delivery.nextAt)))
		.all();
	const toPrint = await db
		.select({ n: sql<number>`count(*)` })
		.from(delivery)
		.where(sql`${delivery.printing} = 'waiting'`)
		.all();
	return {
		rows: rows.slice(0, OUTBOX_PAGE),
		hasMore: rows.length > OUTBOX_PAGE,
		busy: busy[0]?.n ?? 0,
		toPrint: toPrint[0]?.n ?? 0
	};
});

async function conditionOf(db: Reader, query: OutboxQuery): Promise<SQL | undefined> {
	const { kind, state, from, to, runId, words } = query;
	return and(
		kind ? eq(letter.kind, kind) : undefined,
		state ? STATES[state] : undefined,
		from ? gte(letter.date, from) : undefined,
		to ? lte(letter.date, to) : undefined,
		runId
			? inArray(
					letter.id,
					db.select({ id: runLetter.letterId }).from(runLetter).where(eq(runLetter.runId, runId))
				)
			: undefined,
		words ? await hasWords(db, words) : undefined
	);
}

/** Letters of customers that are called so, and those that say so. */
async function hasWords(db: Reader, words: string): Promise<SQL | undefined> {
	const like = `%${words.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;
	const owners = await db
		.select({ id: customer.id })
		.from(customer)
		.where(sql`${customer.name} like ${like} escape '\\' or ${customer.code} = ${words} collate nocase`)
		.limit(500)
		.all();
	const ids = await idsOfAccounts(
		db,
		owners.map((row) => row.id)
	);
	return or(
		ids.length > 0 ? inArray(letter.customerId, [...ids]) : undefined,
		sql`${letter.recipient} like ${like} escape '\\'`,
		sql`${letter.subject} like ${like} escape '\\'`,
		sql`${letter.body} like ${like} escape '\\'`
	);
}

/** One letter as sent: its words, its paper, its message; null where there is none of that number. */
export const lookAtSent = defineLook('reader', async (db, id: number) => {
	const [found] = await db
		.select({ letter, delivery, message, name: customer.name, code: customer.code, runId: runLetter.runId })
		.from(letter)
		.innerJoin(delivery, eq(delivery.letterId, letter.id))
		.leftJoin(message, eq(message.letterId, letter.id))
		.leftJoin(runLetter, eq(runLetter.letterId, letter.id))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.where(eq(letter.id, id))
		.all();
	if (!found) return null;
	const reports = await db
		.select()
		.from(deliveryReport)
		.where(eq(deliveryReport.letterId, id))
		.orderBy(asc(deliveryReport.id))
		.all();
	return { ...found, reports };
});
