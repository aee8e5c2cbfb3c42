import { and, asc, eq, inArray, like, or } from 'drizzle-orm';
import { customer, document, item, itemState } from '../db/schema';
import { isOpen } from '../repo/is-open';
import { defineLook } from './define-look';

export interface FoundCustomer {
	readonly id: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	/** What it was found by where that is not its name or code: an open item's number or amount. */
	readonly by: { readonly number: string; readonly open: number; readonly currency: string } | null;
}

const MOST = 20;

/** Customers by any part of name or code, then by an open item's number, order or exact amount; at most 20. */
export const findCustomers = defineLook('reader', async (db, text: string): Promise<FoundCustomer[]> => {
	const plain = text.trim().replace(/[%_]/g, '');
	if (!plain) return [];
	const wanted = `%${plain}%`;
	const columns = { id: customer.id, code: customer.code, name: customer.name, currency: customer.currency };
	const byName = await db
		.select(columns)
		.from(customer)
		.where(or(like(customer.name, wanted), like(customer.code, wanted)))
		.orderBy(asc(customer.name))
		.limit(MOST);
	const cents = /^[\d,]+\.\d\d$/.test(plain) ? Number(plain.replace(/\D/g, '')) : null;
	const numbers = db
		.select({ id: item.id })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(or(like(document.number, wanted), like(document.purchaseOrder, wanted)));
	const byItem = await db
		.select({ ...columns, number: document.number, open: itemState.open, itemCurrency: itemState.currency })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, itemState.customerId))
		.where(and(isOpen, cents === null ? inArray(itemState.itemId, numbers) : eq(itemState.open, cents)))
		.orderBy(asc(itemState.due), asc(itemState.itemId))
		.limit(MOST);
	const found = new Map<number, FoundCustomer>(byName.map((row) => [row.id, { ...row, by: null }]));
	for (const { number, open, itemCurrency, ...row } of byItem)
		if (!found.has(row.id)) found.set(row.id, { ...row, by: { number, open, currency: itemCurrency } });
	return [...found.values()].slice(0, MOST);
});
