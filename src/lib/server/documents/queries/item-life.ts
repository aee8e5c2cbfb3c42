import { asc, eq, inArray, or } from 'drizzle-orm';
import type { Db } from '../../platform/db/open';
import {
	act,
	allocation,
	chasingStep,
	customer,
	delivery,
	type DELIVERY_STATES,
	difference,
	document,
	documentLine,
	item,
	itemState,
	receipt
} from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';
import { attachedPaper } from '../store/attached-paper';

export interface LifeEvent {
	readonly date: string;
	readonly what: 'issued' | 'paid' | 'credited' | 'used' | 'difference' | 'taken-back' | 'chased';
	readonly amount: number;
	readonly by: string;
	readonly at: string;
	readonly with: string;
	readonly receiptId: number | null;
	readonly actId: number;
	/** The letter of a step of chasing, and how it fared; nothing where it was a call. */
	readonly letterId?: number;
	readonly state?: (typeof DELIVERY_STATES)[number] | null;
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
	const parts = await db
		.select({ part: allocation, act, receipt, number: document.number })
		.from(allocation)
		.innerJoin(act, eq(act.id, allocation.actId))
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.leftJoin(receipt, eq(receipt.id, allocation.receiptId))
		.where(or(eq(allocation.itemId, itemId), eq(allocation.creditItemId, itemId)))
		.orderBy(asc(allocation.id));
	const credits = await numbersOf(
		db,
		parts.flatMap(({ part }) => part.creditItemId ?? [])
	);
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
	for (const { part, act: done, receipt: money, number } of parts)
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
						: (credits.get(part.creditItemId!) ?? ''),
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
	for (const { step, act: done, state } of await stepsOf(db, itemId))
		events.push({
			...{ date: step.day, what: 'chased', amount: 0, by: done.userName, at: done.at, with: step.name },
			...{ receiptId: null, actId: done.id },
			...(step.letterId === null ? {} : { letterId: step.letterId, state })
		});
	events.sort((a, b) => a.actId - b.actId);
	const lines = await db
		.select()
		.from(documentLine)
		.where(eq(documentLine.documentId, found.document.id))
		.orderBy(asc(documentLine.id));
	return { ...found, lines, events, paper: await attachedPaper(db, found.document.id) };
});

/** Steps of chasing that were taken on an item. */
function stepsOf(db: Db, itemId: number) {
	return db
		.select({ step: chasingStep, act, state: delivery.state })
		.from(chasingStep)
		.innerJoin(act, eq(act.id, chasingStep.actId))
		.leftJoin(delivery, eq(delivery.letterId, chasingStep.letterId))
		.where(eq(chasingStep.itemId, itemId))
		.orderBy(asc(chasingStep.id))
		.all();
}

/** Document numbers of items, by item. */
async function numbersOf(db: Db, itemIds: readonly number[]): Promise<ReadonlyMap<number, string>> {
	if (itemIds.length === 0) return new Map();
	const rows = await db
		.select({ id: item.id, number: document.number })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, [...itemIds]));
	return new Map(rows.map((row) => [row.id, row.number]));
}
