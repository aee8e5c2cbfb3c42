import { append } from '../../../core/append';
import { ZERO } from '../../../core/money/minor';
import { and, eq, gt, inArray, type SQL } from 'drizzle-orm';
import type { OpenItem } from '../../../core/model/records';
import { chunks } from '../../platform/db/chunks';
import type { Reader } from '../../platform/db/open';
import { document, item, itemState } from '../../platform/db/schema';
import { keepItems, keptItems } from './kept-items';

/** Items as the core knows them, open ones only unless `where` says otherwise. */
export async function readItems(db: Reader, where: SQL | undefined): Promise<OpenItem[]> {
	const rows = await db
		.select({
			id: item.id,
			documentId: item.documentId,
			number: document.number,
			kind: document.kind,
			// The account that owes it now: the document may have been issued to one that is seen as this one.
			customerId: itemState.customerId,
			currency: document.currency,
			issued: document.issued,
			due: item.due,
			total: item.total,
			open: itemState.open,
			openBase: itemState.openBase,
			part: item.part,
			parts: item.parts,
			purchaseOrder: document.purchaseOrder,
			orderReference: document.orderReference,
			paymentReference: document.paymentReference,
			text: document.text,
			discountBasisPoints: document.discountBasisPoints,
			discountUntil: document.discountUntil,
			version: itemState.version
		})
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(where);
	// Days and amounts were checked when they were posted.
	const items = rows as unknown as OpenItem[];
	keepItems(db, items);
	return items;
}

export async function openItemsOf(db: Reader, customerIds: readonly number[]): Promise<OpenItem[]> {
	const out: OpenItem[] = [];
	for (const part of chunks(customerIds))
		append(out, await readItems(db, and(inArray(itemState.customerId, part), gt(itemState.open, ZERO))));
	return out;
}

export async function itemsById(db: Reader, ids: readonly number[]): Promise<OpenItem[]> {
	const { kept, missing } = keptItems(db, ids);
	const out = [...kept];
	for (const part of chunks(missing)) append(out, await readItems(db, inArray(itemState.itemId, part)));
	return out;
}
