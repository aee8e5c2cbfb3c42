import { minor } from '../../../core/money/minor';
import { and, asc, desc, eq, inArray, isNotNull, isNull, like, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { typedAmount } from '../../../words/typed-amount';
import type { Db } from '../../platform/db/open';
import {
	bankAccount,
	bankEntry,
	customer,
	customerName,
	document,
	item,
	itemState,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

/** One thing found, with the page on which it is seen. */
export interface Finding {
	readonly kind: 'customer' | 'document' | 'receipt' | 'bank';
	readonly name: string;
	/** What tells it from others of its kind. */
	readonly about: string;
	readonly amount: number | null;
	/** What of a document is open; null for anything else. */
	readonly open: number | null;
	readonly currency: string;
	readonly day: string | null;
	readonly href: string;
}

const FOUND_OF_EACH_KIND = 8;

/**
 * Customers, documents, receipts and the firm's bank accounts by any part of a number, name, order or reference, or by an amount as it is typed
 * ("1,889.20"); at most 8 of each, the open and the newest first.
 */
export const searchBooks = defineLook('reader', async (db, text: string): Promise<Finding[]> => {
	const plain = text.trim().replace(/[%_]/g, '').slice(0, 100);
	if (plain.length < 2) return [];
	const part = `%${plain}%`;
	const firm = await readSetting(db, 'firm');
	const typed = /\d/.test(plain) ? typedAmount(plain, firm?.baseCurrency ?? 'GBP') : null;
	const amount = typeof typed === 'number' && typed > 0 ? typed : null;
	return [
		...(await customersBy(db, part)),
		...(await documentsBy(db, part, amount)),
		...(await receiptsBy(db, part, amount)),
		...(await bankAccountsBy(db, part))
	];
});

async function customersBy(db: Db, part: string): Promise<Finding[]> {
	const named = db
		.select({ id: customerName.customerId })
		.from(customerName)
		.where(like(customerName.name, part));
	// By the code of an account that is seen as another, that other.
	const merged = alias(customer, 'merged');
	const seenAs = db
		.select({ id: sql<number>`${merged.mergedIntoId}` })
		.from(merged)
		.where(and(isNotNull(merged.mergedIntoId), like(merged.code, part)));
	const rows = await db
		.select({ code: customer.code, name: customer.name, currency: customer.currency })
		.from(customer)
		.where(
			and(
				isNull(customer.mergedIntoId),
				or(
					...[like(customer.name, part), like(customer.code, part), inArray(customer.id, named)],
					inArray(customer.id, seenAs)
				)
			)
		)
		.orderBy(asc(customer.name), asc(customer.id))
		.limit(FOUND_OF_EACH_KIND);
	return rows.map(({ code, name, currency }) => ({
		...{ kind: 'customer', name, about: code, amount: null, open: null, currency, day: null },
		href: `/customers/${code}`
	}));
}

async function documentsBy(db: Db, part: string, amount: number | null): Promise<Finding[]> {
	const documents = db
		.select({ id: document.id })
		.from(document)
		.where(
			or(
				like(document.number, part),
				like(document.purchaseOrder, part),
				like(document.orderReference, part),
				like(document.paymentReference, part)
			)
		);
	// An open amount is looked for among what is open, a total among the documents' parts.
	const openNow = db
		.select({ id: itemState.itemId })
		.from(itemState)
		.where(eq(itemState.open, minor(amount ?? -1)));
	const rows = await db
		.select({
			id: item.id,
			number: document.number,
			...{ part: item.part, parts: item.parts, due: item.due, total: item.total },
			open: itemState.open,
			currency: document.currency,
			customer: customer.name,
			code: customer.code
		})
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(customer, eq(customer.id, item.customerId))
		.where(
			amount === null
				? inArray(item.documentId, documents)
				: or(inArray(item.documentId, documents), eq(item.total, minor(amount)), inArray(item.id, openNow))
		)
		.orderBy(desc(itemState.open), desc(item.id))
		.limit(FOUND_OF_EACH_KIND);
	return rows.map((row) => ({
		kind: 'document',
		name: row.parts > 1 ? `${row.number} (${row.part} of ${row.parts})` : row.number,
		about: row.customer,
		amount: row.total,
		open: row.open,
		currency: row.currency,
		day: row.due,
		href: `/customers/${row.code}?item=${row.id}`
	}));
}

async function receiptsBy(db: Db, part: string, amount: number | null): Promise<Finding[]> {
	const entries = db
		.select({ id: bankEntry.id })
		.from(bankEntry)
		.where(or(like(bankEntry.bankReference, part), like(bankEntry.entryReference, part)));
	const words = or(
		like(receipt.payerName, part),
		like(receipt.text, part),
		like(receipt.structuredReference, part),
		like(receipt.endToEndId, part),
		inArray(receipt.bankEntryId, entries)
	);
	const rows = await db
		.select({
			id: receipt.id,
			...{ booked: receipt.booked, amount: receipt.amount, currency: receipt.currency },
			...{ name: receipt.payerName, text: receipt.text },
			state: receiptState.state,
			actId: receiptState.actId,
			lastActId: receiptState.lastActId
		})
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.where(amount === null ? words : or(words, eq(receipt.amount, minor(amount))))
		.orderBy(desc(receipt.booked), desc(receipt.id))
		.limit(FOUND_OF_EACH_KIND);
	return rows.map((row) => ({
		kind: 'receipt',
		name: row.name ?? 'Unnamed payer',
		about: row.text,
		amount: row.amount,
		open: null,
		currency: row.currency,
		day: row.booked,
		href:
			row.state === 'waiting' || row.state === 'held'
				? `/money-in?receipt=${row.id}`
				: `/books/journal?act=${row.actId ?? row.lastActId}`
	}));
}

async function bankAccountsBy(db: Db, part: string): Promise<Finding[]> {
	const rows = await db
		.select()
		.from(bankAccount)
		.where(or(like(bankAccount.name, part), like(bankAccount.number, part), like(bankAccount.bankName, part)))
		.orderBy(asc(bankAccount.name))
		.limit(FOUND_OF_EACH_KIND);
	return rows.map(({ id, name, number, currency }) => ({
		...{ kind: 'bank', name, about: number, amount: null, open: null, currency, day: null },
		href: `/books/bank/${id}`
	}));
}
