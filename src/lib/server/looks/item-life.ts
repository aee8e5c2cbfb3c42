import { aliasedTable, asc, eq, or } from 'drizzle-orm';
import {
	act,
	allocation,
	customer,
	difference,
	document,
	documentLine,
	item,
	itemState,
	receipt
} from '../db/schema';
import { defineLook } from './define-look';

export interface LifeEvent {
	readonly date: string;
	readonly what: 'issued' | 'paid' | 'credited' | 'used' | 'difference' | 'taken-back';
	readonly amount: number;
	readonly by: string;
	readonly at: string;
	readonly with: string;
	readonly receiptId: number | null;
	readonly actId: number;
}

/** One item with its life: issued, paid and by which receipt, differences, what was taken back, and by whom. */
export const lookAtItem = defineLook('reader', async (db, itemId: number) => {
	const found = await db
		.select({ item, document, state: itemState, customer: customer.name, code: customer.code })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(customer, eq(customer.id, document.customerId))
		.where(eq(item.id, itemId))
		.get();
	if (!found) return null;
	const issued = await db.select().from(act).where(eq(act.id, found.document.actId)).get();
	const creditItem = aliasedTable(item, 'credit_item');
	const creditDocument = aliasedTable(document, 'credit_document');
	const parts = await db
		.select({ part: allocation, act, receipt, number: document.number, creditNumber: creditDocument.number })
		.from(allocation)
		.innerJoin(act, eq(act.id, allocation.actId))
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.leftJoin(receipt, eq(receipt.id, allocation.receiptId))
		.leftJoin(creditItem, eq(creditItem.id, allocation.creditItemId))
		.leftJoin(creditDocument, eq(creditDocument.id, creditItem.documentId))
		.where(or(eq(allocation.itemId, itemId), eq(allocation.creditItemId, itemId)))
		.orderBy(asc(allocation.id));
	const gaps = await db
		.select({ gap: difference, act })
		.from(difference)
		.innerJoin(act, eq(act.id, difference.actId))
		.where(eq(difference.itemId, itemId))
		.orderBy(asc(difference.id));
	const events: LifeEvent[] = [
		{
			date: found.document.issued,
			what: 'issued',
			amount: found.item.total,
			by: issued!.userName,
			at: issued!.at,
			with: '',
			receiptId: null,
			actId: issued!.id
		}
	];
	for (const { part, act: done, receipt: money, number, creditNumber } of parts)
		events.push({
			date: part.date,
			what: part.undoesId
				? 'taken-back'
				: part.creditItemId === itemId
					? 'used'
					: part.receiptId
						? 'paid'
						: 'credited',
			amount: part.amount,
			by: done.userName,
			at: done.at,
			with:
				part.creditItemId === itemId
					? number
					: part.receiptId
						? (money?.payerName ?? 'a receipt')
						: (creditNumber ?? ''),
			receiptId: part.receiptId,
			actId: done.id
		});
	for (const { gap, act: done } of gaps)
		events.push({
			date: gap.date,
			what: gap.undoesId ? 'taken-back' : 'difference',
			amount: gap.amount,
			by: done.userName,
			at: done.at,
			with: gap.kind,
			receiptId: gap.receiptId,
			actId: done.id
		});
	events.sort((a, b) => a.actId - b.actId);
	const lines = await db
		.select()
		.from(documentLine)
		.where(eq(documentLine.documentId, found.document.id))
		.orderBy(asc(documentLine.id));
	return { ...found, lines, events };
});
