import { and, asc, desc, eq, gte, inArray, lt, or, sql } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import { parseDay, type Day } from '../../../core/day/day';
import type { Db } from '../../platform/db/open';
import {
	act,
	allocation,
	customer,
	difference,
	document,
	item,
	itemState,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { groupBy } from '../../../core/group-by';
import { openItemsOf } from '../../documents/store/open-items';
import { reasonsOfRecord } from '../../../words';
import { idsOfAccount } from '../store/merged-accounts';
import { customerByCode } from '../store/customer-by-code';
import { defineLook } from '../../act/define-look';

/** Money or a credit note, on the left. */
export interface ThreadSource {
	readonly key: string;
	readonly label: string;
	readonly date: string;
	readonly currency: string;
	readonly amount: number;
	/** What of it lies on no item: on account, or not used. */
	readonly left: number;
	/** The act that allocated it; null for a credit note. */
	readonly actId: number | null;
	readonly itemId: number | null;
}

/** What is owed, on the right. */
export interface ThreadItem {
	readonly id: number;
	readonly label: string;
	readonly due: string;
	readonly currency: string;
	readonly total: number;
	readonly open: number;
	/** What was settled without cash. */
	readonly differences: number;
	/** The account that owes it, where that is another one. */
	readonly owner: string | null;
}

/** So much of a source on an item. */
export interface ThreadLink {
	readonly id: number;
	readonly source: string;
	readonly itemId: number;
	readonly amount: number;
	readonly date: string;
	readonly actId: number;
	readonly by: string;
	readonly at: string;
	readonly reasons: readonly string[];
	/** Who took it off, and when, where somebody did. */
	readonly off: { readonly by: string; readonly at: string; readonly actId: number } | null;
}

const DAYS_SHOWN = 60;
/** More ribbons than this are no picture; the newest are shown. */
const LINKS_SHOWN = 240;

export interface ThreadQuery {
	readonly code: string;
	readonly from: string | null;
	readonly ghosts: boolean;
	/** One item, or one receipt, alone: its threads of any time, and those of the money that they belong to. */
	readonly item?: number | null;
	readonly money?: number | null;
}

/**
 * An account's money and credits, its items, and what of the one lies on the other, from a day on; what was allocated before is
 * summed up. With `ghosts`, allocations that were taken off are among them.
 */
export const lookAtThreads = defineLook('reader', async (db, input: ThreadQuery, { today }) => {
	const owner = await customerByCode(db, input.code);
	if (!owner) return null;
	const from = (input.from && parseDay(input.from)) || addDays(today, -DAYS_SHOWN);
	const ids = [...(await idsOfAccount(db, owner.id))];
	const alone = aloneOf(db, input);
	const touching = and(
		or(inArray(item.customerId, ids), inArray(allocation.creditCustomerId, ids)),
		alone ?? undefined
	);
	const rows = await db
		.select({ part: allocation, by: act.userName, at: act.at, facts: act.facts })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(act, eq(act.id, allocation.actId))
		.where(and(touching, alone ? undefined : gte(allocation.date, from)))
		.orderBy(desc(allocation.id))
		.limit(LINKS_SHOWN * 4);
	const offs = new Map(
		rows.flatMap(({ part, by, at }) =>
			part.undoesId === null ? [] : [[part.undoesId, { by, at, actId: part.actId }] as const]
		)
	);
	const standing = rows
		.filter(({ part }) => part.undoesId === null && (input.ghosts || !offs.has(part.id)))
		.slice(0, LINKS_SHOWN)
		.reverse();
	const links = standing.map(({ part, by, at, facts }): ThreadLink => ({
		id: part.id,
		source: part.receiptId !== null ? `r${part.receiptId}` : `i${part.creditItemId}`,
		...{ itemId: part.itemId, amount: part.amount, date: part.date, actId: part.actId, by, at },
		reasons: reasonsOfRecord(facts),
		off: offs.get(part.id) ?? null
	}));
	const earlier = await db
		.select({ count: sql<number>`count(*)`, sum: sql<number>`coalesce(sum(${allocation.amount}), 0)` })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.where(and(touching, lt(allocation.date, from)))
		.get();
	return {
		customer: { id: owner.id, code: owner.code, name: owner.name, currency: owner.currency },
		from,
		ghosts: input.ghosts,
		links,
		alone: alone !== null,
		/** Newer ones than this are shown; there are more in the window. */
		cut: rows.length >= LINKS_SHOWN * 4 || standing.length >= LINKS_SHOWN,
		sources: await sourcesOf(db, links, owner.id, alone ? null : from),
		items: await itemsOf(db, links, owner.id, alone === null),
		earlier: alone ? { count: 0, sum: 0 } : { count: earlier?.count ?? 0, sum: earlier?.sum ?? 0 }
	};
});

/** Those that lie on the item, or come of the receipt, and with an item all of the money that paid it. */
function aloneOf(db: Db, { item: itemId, money }: ThreadQuery) {
	if (money) return eq(allocation.receiptId, money);
	if (!itemId) return null;
	const paying = db
		.select({ id: allocation.receiptId })
		.from(allocation)
		.where(eq(allocation.itemId, itemId));
	return or(
		eq(allocation.itemId, itemId),
		eq(allocation.creditItemId, itemId),
		inArray(allocation.receiptId, paying)
	)!;
}

/** The receipts and credit notes of the links; with a day, also receipts since then and those that lie on account. */
async function sourcesOf(
	db: Db,
	links: readonly ThreadLink[],
	customerId: number,
	from: Day | null
): Promise<ThreadSource[]> {
	const ids = [...new Set(links.flatMap(({ source }) => (source[0] === 'r' ? Number(source.slice(1)) : [])))];
	const money = await db
		.select({ row: receipt, state: receiptState })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			or(
				inArray(receipt.id, ids),
				from === null
					? undefined
					: and(
							eq(receiptState.customerId, customerId),
							or(sql`${receiptState.onAccount} > 0`, gte(receipt.booked, from))
						)
			)
		)
		.orderBy(asc(receipt.booked), asc(receipt.id));
	const notes = [
		...new Set(links.flatMap(({ source }) => (source[0] === 'i' ? Number(source.slice(1)) : [])))
	];
	const credits = await db
		.select({
			item,
			state: itemState,
			number: document.number,
			issued: document.issued,
			currency: document.currency
		})
		.from(item)
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, notes));
	return [
		...money.map(({ row, state }) => ({
			key: `r${row.id}`,
			label: row.payerName ?? 'Payment',
			...{ date: row.booked, currency: row.currency, amount: row.amount },
			left: state.state === 'allocated' && state.customerId === customerId ? state.onAccount : 0,
			actId: state.state === 'allocated' ? state.actId : null,
			itemId: null
		})),
		...credits.map((one) => ({
			key: `i${one.item.id}`,
			label: one.number,
			...{ date: one.issued, currency: one.currency, amount: one.item.total, left: one.state.open },
			...{ actId: null, itemId: one.item.id }
		}))
	].sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.key < b.key ? -1 : 1));
}

/** The items of the links, and with `others` all that the account has open. */
async function itemsOf(
	db: Db,
	links: readonly ThreadLink[],
	customerId: number,
	others: boolean
): Promise<ThreadItem[]> {
	const open = others
		? (await openItemsOf(db, [customerId])).filter((one) => one.kind !== 'credit_note')
		: [];
	const ids = [
		...new Set([...links.map((link) => link.itemId), ...open.slice(0, LINKS_SHOWN).map((one) => one.id)])
	];
	const rows = await db
		.select({
			item,
			open: itemState.open,
			number: document.number,
			currency: document.currency,
			owner: customer.name
		})
		.from(item)
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, item.customerId))
		.where(inArray(item.id, ids))
		.orderBy(asc(item.due), asc(item.id));
	const gaps = groupBy(
		await db.select().from(difference).where(inArray(difference.itemId, ids)),
		(row) => row.itemId
	);
	return rows.map(({ item: it, open: left, number, currency, owner }) => ({
		id: it.id,
		label: it.parts > 1 ? `${number} (${it.part} of ${it.parts})` : number,
		...{ due: it.due, currency, total: it.total, open: left },
		differences: (gaps.get(it.id) ?? []).reduce((sum, gap) => sum + gap.amount, 0),
		owner: it.customerId === customerId ? null : owner
	}));
}
