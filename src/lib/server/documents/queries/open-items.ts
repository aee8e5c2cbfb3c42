import { amountLookedFor } from '../../../words/amount-looked-for';
import { minor } from '../../../core/money/minor';
import { and, asc, desc, eq, inArray, like, lt, or, sql, type SQL } from 'drizzle-orm';
import { daysLate } from '../../../core/6-reports/age';
import { addDays } from '../../../core/day/arithmetic';
import type { Reader } from '../../platform/db/open';
import { customer, document, item, itemState } from '../../platform/db/schema';
import { isOpen, signedOpen } from '../store/is-open';
import { defineLook } from '../../act/define-look';

export const FACETS = ['all', 'late', 'late-30', 'late-90', 'part-paid', 'credits'] as const;
export type Facet = (typeof FACETS)[number];

export interface OpenItemsQuery {
	readonly facet: Facet;
	readonly text: string;
	/** Null for all of them. */
	readonly page: number | null;
	readonly sorting?: { readonly by: string; readonly down: boolean } | null;
}

/** By what the list can be sorted. */
export const OPEN_ITEM_SORTS = ['number', 'customer', 'due', 'total', 'open'] as const;

export interface OpenItemRow {
	readonly id: number;
	readonly number: string;
	readonly kind: string;
	readonly part: number;
	readonly parts: number;
	readonly customer: string;
	readonly code: string;
	readonly customerId: number;
	readonly version: number;
	readonly text: string;
	readonly due: string;
	readonly issued: string;
	readonly total: number;
	readonly open: number;
	readonly currency: string;
	readonly late: number;
}

export const PAGE = 200;

/** Every open document, late ones first, by facet and any part of number, name, order or amount. */
export const lookAtOpenItems = defineLook('reader', async (db, query: OpenItemsQuery, { today }) => {
	const notCredit = inArray(itemState.kind, ['invoice', 'charge']);
	const total = sql<number>`(select ${item.total} from ${item} where ${item.id} = ${itemState.itemId})`;
	const conditions: Record<Facet, SQL | undefined> = {
		all: undefined,
		late: and(lt(itemState.due, today), notCredit),
		'late-30': and(lt(itemState.due, addDays(today, -30)), notCredit),
		'late-90': and(lt(itemState.due, addDays(today, -90)), notCredit),
		'part-paid': sql`${itemState.open} < ${total}`,
		credits: eq(itemState.kind, 'credit_note')
	};
	// The sums read the index of open items alone; the words are looked up in documents and customers by themselves.
	const base = and(isOpen, matching(db, query.text));
	const rows = await db
		// Just what a row shows: all open items may be asked for at once.
		.select({
			...{ id: item.id, number: document.number, kind: document.kind, part: item.part, parts: item.parts },
			...{ customer: customer.name, code: customer.code, text: document.text, due: item.due },
			...{ issued: document.issued, total: item.total, open: itemState.open, currency: document.currency },
			...{ customerId: itemState.customerId, version: itemState.version }
		})
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(and(base, conditions[query.facet]))
		.orderBy(...orderOf(query.sorting ?? null), asc(itemState.itemId))
		.limit(query.page === null ? -1 : PAGE)
		.offset((query.page ?? 0) * PAGE);
	const countIf = (facet: Facet) =>
		sql<number>`coalesce(sum(case when ${conditions[facet] ?? sql`1`} then 1 else 0 end), 0)`;
	const counts = await db
		.select({
			all: countIf('all'),
			late: countIf('late'),
			'late-30': countIf('late-30'),
			'late-90': countIf('late-90'),
			'part-paid': countIf('part-paid'),
			credits: countIf('credits')
		})
		.from(itemState)
		.where(base)
		.get();
	const sums = await db
		.select({ currency: itemState.currency, open: sql<number>`sum(${signedOpen})` })
		.from(itemState)
		.where(and(base, conditions[query.facet]))
		.groupBy(itemState.currency)
		.orderBy(desc(sql`2`));
	return {
		rows: rows.map((row): OpenItemRow => ({
			...row,
			late: row.kind === 'credit_note' ? 0 : daysLate(row.due, today)
		})),
		counts: counts as Record<Facet, number>,
		sums
	};
});

/** Late ones first, unless a column was chosen. */
function orderOf(sorting: OpenItemsQuery['sorting']): SQL[] {
	const columns: Record<(typeof OPEN_ITEM_SORTS)[number], SQL> = {
		number: sql`${document.number}`,
		customer: sql`${customer.name} collate nocase`,
		due: sql`${itemState.due}`,
		total: sql`${item.total}`,
		open: sql`${signedOpen}`
	};
	const by = OPEN_ITEM_SORTS.find((one) => one === sorting?.by) ?? 'due';
	return [sorting?.down ? desc(columns[by]) : asc(columns[by])];
}

/** Condition that a part of number, order or name, or an amount as it is typed, is found with the item. */
function matching(db: Reader, text: string): SQL | undefined {
	const wanted = text.trim().replace(/[%_]/g, '');
	if (!wanted) return undefined;
	const part = `%${wanted}%`;
	const documents = db
		.select({ id: document.id })
		.from(document)
		.where(or(like(document.number, part), like(document.purchaseOrder, part)));
	const customers = db.select({ id: customer.id }).from(customer).where(like(customer.name, part));
	const cents = amountLookedFor(wanted);
	const items = db
		.select({ id: item.id })
		.from(item)
		.where(
			or(inArray(item.documentId, documents), cents === null ? undefined : eq(item.total, minor(cents)))
		);
	return or(
		inArray(itemState.itemId, items),
		inArray(itemState.customerId, customers),
		cents === null ? undefined : eq(itemState.open, minor(cents))
	);
}
