import { amountLookedFor } from '../../../words/amount-looked-for';
import { minor } from '../../../core/money/minor';
import { and, asc, eq, inArray, isNull, like, or, sql } from 'drizzle-orm';
import type { Db } from '../../platform/db/open';
import { customer, document, item, itemState } from '../../platform/db/schema';
import { isOpen } from '../../documents/store/is-open';
import { defineLook } from '../../act/define-look';

export interface FoundCustomer {
	readonly id: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	/** What it was found by where that is not its name or code: open items by their numbers, or by what they come to. */
	readonly by: {
		readonly number: string;
		readonly open: number;
		readonly currency: string;
		/** The open items that come to it. */
		readonly items: readonly number[];
	} | null;
}

const CUSTOMERS_FOUND = 20;

/** Customers by any part of name or code, then by an open item's number, order or exact amount; at most 20. */
export const findCustomers = defineLook('reader', async (db, text: string): Promise<FoundCustomer[]> => {
	const plain = text.trim().replace(/[%_]/g, '');
	if (!plain) return [];
	const wanted = `%${plain}%`;
	const columns = { id: customer.id, code: customer.code, name: customer.name, currency: customer.currency };
	const byName = await db
		.select(columns)
		.from(customer)
		.where(and(isNull(customer.closedOn), or(like(customer.name, wanted), like(customer.code, wanted))))
		.orderBy(asc(customer.name))
		.limit(CUSTOMERS_FOUND);
	const cents = amountLookedFor(plain);
	const numbers = db
		.select({ id: item.id })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(or(like(document.number, wanted), like(document.purchaseOrder, wanted)));
	const byAmount = cents === null ? [] : await whoOwes(db, cents);
	const byItem = await db
		.select({
			...{ ...columns, itemId: itemState.itemId, number: document.number },
			...{ open: itemState.open, itemCurrency: itemState.currency }
		})
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(
			and(isOpen, cents === null ? inArray(itemState.itemId, numbers) : eq(itemState.open, minor(cents)))
		)
		.orderBy(asc(itemState.due), asc(itemState.itemId))
		.limit(CUSTOMERS_FOUND);
	const found = new Map<number, FoundCustomer>(byName.map((row) => [row.id, { ...row, by: null }]));
	for (const { itemId, number, open, itemCurrency, ...row } of byItem)
		if (!found.has(row.id))
			found.set(row.id, { ...row, by: { number, open, currency: itemCurrency, items: [itemId] } });
	for (const row of byAmount) if (!found.has(row.id)) found.set(row.id, row);
	return [...found.values()].slice(0, CUSTOMERS_FOUND);
});

/**
 * Customers for whom one open item, all that is open, or two open items come to an amount (minor units, of one currency where
 * that is given): one row for each, single items first; at most 20.
 */
export async function whoOwes(db: Db, amount: number, currency?: string): Promise<FoundCustomer[]> {
	const only = currency === undefined ? sql`1` : sql`a.currency = ${currency}`;
	const rows = await db.all<FoundCustomer & { number: string; itemCurrency: string; items: string }>(sql`
		with fitting as (
			select 1 as rank, a.customer_id, a.currency, a.item_id as first, null as second
			from item_state a where a.open > 0 and a.open = ${amount} and a.kind <> 'credit_note' and ${only}
			union all
			select 2, a.customer_id, a.currency, null, count(*)
			from item_state a where a.open > 0 and ${only} group by a.customer_id, a.currency
			having count(*) > 1 and sum(case when a.kind = 'credit_note' then -a.open else a.open end) = ${amount}
			union all
			select 3, a.customer_id, a.currency, a.item_id, b.item_id
			from item_state a join item_state b on b.customer_id = a.customer_id and b.open = ${amount} - a.open
			where a.open > 0 and b.open > 0 and a.item_id < b.item_id and a.currency = b.currency
				and a.kind <> 'credit_note' and b.kind <> 'credit_note' and ${only}
		)
		select c.id, c.code, c.name, c.currency, f.currency as itemCurrency,
			case f.rank when 2 then 'all ' || f.second || ' open items'
			else (select d.number from item i join document d on d.id = i.document_id where i.id = f.first)
				|| coalesce(' and ' || (select d.number from item i join document d on d.id = i.document_id where i.id = f.second), '')
			end as number,
			case f.rank when 2 then
				(select group_concat(o.item_id) from item_state o
					where o.customer_id = f.customer_id and o.currency = f.currency and o.open > 0)
			else f.first || coalesce(',' || f.second, '') end as items
		from fitting f join customer c on c.id = f.customer_id
		order by f.rank, c.name, f.first, f.second limit 200`);
	const found = new Map<number, FoundCustomer>();
	for (const { number, itemCurrency, items, ...row } of rows)
		if (!found.has(row.id))
			found.set(row.id, {
				...row,
				by: { number, open: amount, currency: itemCurrency, items: items.split(',').map(Number) }
			});
	return [...found.values()].slice(0, CUSTOMERS_FOUND);
}
