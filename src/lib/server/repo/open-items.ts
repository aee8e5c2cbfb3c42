import { and, eq, gt, inArray, type SQL } from 'drizzle-orm';
import type { Day } from '../../core/day/day';
import type { OpenItem } from '../../core/model/records';
import type { Minor } from '../../core/money/minor';
import { chunks } from '../db/chunks';
import type { Reader } from '../db/open';
import { document, item, itemState } from '../db/schema';

/** Items as the core knows them, open ones only unless `where` says otherwise. */
export async function readItems(db: Reader, where: SQL | undefined): Promise<OpenItem[]> {
	const rows = await db
		.select({ item, state: itemState, document })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(where);
	return rows.map(({ item: it, state, document: doc }) => ({
		id: it.id,
		documentId: doc.id,
		number: doc.number,
		kind: doc.kind,
		customerId: doc.customerId,
		currency: doc.currency,
		issued: doc.issued as Day,
		due: it.due as Day,
		total: it.total as Minor,
		open: state.open as Minor,
		openBase: state.openBase as Minor,
		part: it.part,
		parts: it.parts,
		purchaseOrder: doc.purchaseOrder,
		paymentReference: doc.paymentReference,
		text: doc.text,
		discountBasisPoints: doc.discountBasisPoints,
		discountUntil: doc.discountUntil as Day | null,
		version: state.version
	}));
}

export async function openItemsOf(db: Reader, customerIds: readonly number[]): Promise<OpenItem[]> {
	const out: OpenItem[] = [];
	for (const part of chunks(customerIds))
		out.push(...(await readItems(db, and(inArray(itemState.customerId, part), gt(itemState.open, 0)))));
	return out;
}

export async function itemsById(db: Reader, ids: readonly number[]): Promise<OpenItem[]> {
	const out: OpenItem[] = [];
	for (const part of chunks(ids)) out.push(...(await readItems(db, inArray(itemState.itemId, part))));
	return out;
}
