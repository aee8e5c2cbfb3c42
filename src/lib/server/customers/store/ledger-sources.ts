import { and, inArray, eq, sql } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';
import {
	act,
	allocation,
	receiptAdjustment,
	difference,
	document,
	item,
	journalLine,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { standingAllocation } from '../../platform/db/schema/standing';
import { groupBy } from '../../../core/group-by';

/** A line of receivables with the act that posted it. */
export type LedgerLine = typeof journalLine.$inferSelect & { readonly act: typeof act.$inferSelect };
/** What lines of a ledger stand for, by their ids. */
export type LedgerSources = Awaited<ReturnType<typeof ledgerSources>>;

/** Reads what the lines of a page stand for, and what settled those and was settled by them. */
export async function ledgerSources(db: Reader, lines: readonly LedgerLine[]) {
	const idsOf = (kind: LedgerLine['sourceKind']) =>
		lines.flatMap((line) => (line.sourceKind === kind && line.sourceId !== null ? [line.sourceId] : []));
	const documents = byId(
		await db
			.select()
			.from(document)
			.where(inArray(document.id, idsOf('document')))
	);
	const deductions = byId(
		await db
			.select()
			.from(difference)
			.where(inArray(difference.id, idsOf('deduction')))
	);
	const adjustments = byId(
		await db
			.select()
			.from(receiptAdjustment)
			.where(inArray(receiptAdjustment.id, idsOf('receipt-adjustment')))
	);
	const moves = byId(
		await db
			.select()
			.from(allocation)
			.where(inArray(allocation.id, idsOf('allocation')))
	);
	const settled = await settledOf(db, [...documents.keys()]);
	const paid = await db
		.select()
		.from(standingAllocation)
		.where(
			and(
				inArray(
					standingAllocation.actId,
					lines.flatMap((line) => (line.sourceKind === 'receipt' ? [line.actId] : []))
				),
				sql`${standingAllocation.receiptId} is not null`
			)
		);
	const receipts = await receiptsOf(db, [
		...idsOf('receipt'),
		...settled.settling.flatMap((part) => part.receiptId ?? []),
		...[...adjustments.values()].map((one) => one.receiptId)
	]);
	const numbers = await numbersOf(db, [
		...[...deductions.values(), ...moves.values(), ...paid, ...settled.credits].map((row) => row.itemId),
		...settled.settling.flatMap((part) => part.creditItemId ?? [])
	]);
	return {
		...{ documents, deductions, adjustments, moves, receipts, numbers },
		itemsOf: settled.itemsOf,
		/** What settled an item, what a credit note settled, and what a posting of a receipt paid. */
		settling: groupBy(settled.settling, (part) => part.itemId),
		byCredit: groupBy(settled.credits, (part) => part.creditItemId),
		paidBy: groupBy(paid, (part) => part.actId)
	};
}

/** The items of documents, and what stands of what settled them and what they settled. */
async function settledOf(db: Reader, documentIds: readonly number[]) {
	const items = await db
		.select({ id: item.id, documentId: item.documentId })
		.from(item)
		.where(inArray(item.documentId, [...documentIds]));
	const ids = items.map((row) => row.id);
	return {
		itemsOf: groupBy(items, (row) => row.documentId),
		settling: await db.select().from(standingAllocation).where(inArray(standingAllocation.itemId, ids)),
		credits: await db.select().from(standingAllocation).where(inArray(standingAllocation.creditItemId, ids))
	};
}

async function receiptsOf(db: Reader, ids: readonly number[]) {
	return byId(
		await db
			.select({ id: receipt.id, payerName: receipt.payerName, booked: receipt.booked, state: receiptState })
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.where(inArray(receipt.id, [...new Set(ids)]))
	);
}

/** What items are called: the document's number, and which part of it where it has several. */
async function numbersOf(db: Reader, ids: readonly number[]): Promise<Map<number, string>> {
	const rows = await db
		.select({ id: item.id, number: document.number, part: item.part, parts: item.parts })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, [...new Set(ids)]));
	return new Map(
		rows.map(({ id, number, part, parts }) => [id, parts > 1 ? `${number} (${part} of ${parts})` : number])
	);
}

function byId<T extends { readonly id: number }>(rows: readonly T[]): Map<number, T> {
	return new Map(rows.map((row) => [row.id, row]));
}
