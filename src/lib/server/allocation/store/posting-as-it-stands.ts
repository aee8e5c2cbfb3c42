import { and, eq, gt, inArray } from 'drizzle-orm';
import type { Reduction } from '../../../core/4-allocation/over-limits';
import { journalOfPosting } from '../../../core/5-journal/journal-of-posting';
import { journalOfStanding } from '../../../core/5-journal/journal-of-standing';
import type { JournalLine } from '../../../core/model/journal';
import type { DifferenceKind } from '../../../core/model/records';
import type { Tx } from '../../platform/db/open';
import {
	act,
	allocation,
	type difference,
	document,
	item,
	receipt,
	standingAllocation,
	standingDifference,
	standingReceiptAdjustment
} from '../../platform/db/schema';
import { journalOf } from '../../ledger/store/journal-of';
import type { FirstRecords } from './write-undoing';

/** What of a posting stands now, to be taken back. */
export interface StandingPosting extends FirstRecords {
	/** The lines of all of it, as they were posted. */
	readonly lines: readonly JournalLine[];
	/** What of it counts against limits, by the act that counted it. */
	readonly reductions: readonly (Reduction & { readonly actId: number })[];
	/** The acts that wrote it: the posting, and where a return was taken back, those two. */
	readonly actIds: readonly number[];
}

/**
 * The records of a posting that stand. Most are the posting's own; where its payment was entered as returned, and that was taken
 * back, what it settled was allocated anew by the taking back: that stands in their place.
 * @param first the posting; with a receipt it brought that receipt's money, without one it allocated what lay on account
 */
export async function postingAsItStands(
	tx: Tx,
	first: { readonly id: number; readonly receiptId: number | null }
): Promise<StandingPosting> {
	const all = await tx.select().from(allocation).where(eq(allocation.actId, first.id));
	const own = {
		allocations: await tx.select().from(standingAllocation).where(eq(standingAllocation.actId, first.id)),
		differences: await tx.select().from(standingDifference).where(eq(standingDifference.actId, first.id)),
		receiptAdjustments: await tx
			.select()
			.from(standingReceiptAdjustment)
			.where(eq(standingReceiptAdjustment.actId, first.id))
	};
	const anew = await allocatedAnew(tx, first, all, own.allocations);
	const stands = new Set([
		...own.allocations.map(({ id }) => `allocation ${id}`),
		...own.differences.map(({ id }) => `deduction ${id}`),
		...own.receiptAdjustments.map(({ id }) => `receipt-adjustment ${id}`)
	]);
	const lines = await journalOf(tx, first.id);
	const differences = [...own.differences, ...anew.differences];
	return {
		...{ allocations: [...own.allocations, ...anew.allocations], differences },
		receiptAdjustments: own.receiptAdjustments,
		lines:
			anew.actIds.length === 0
				? lines
				: [
						...journalOfStanding(lines, ({ kind, id }) => kind === 'receipt' || stands.has(`${kind} ${id}`)),
						...(await linesOf(tx, anew))
					],
		reductions: [
			...(await withOwners(tx, differences)),
			...own.receiptAdjustments.flatMap(({ actId, kind, base, customerId }) =>
				kind === 'returned' ? [] : [{ actId, kind, base, customerId }]
			)
		],
		actIds: [first.id, ...anew.actIds]
	};
}

interface AllocatedAnew extends Omit<FirstRecords, 'receiptAdjustments'> {
	readonly actIds: readonly number[];
}

/** What returns of a posting's payments, and the taking back of those, allocated in place of what the posting had. */
async function allocatedAnew(
	tx: Tx,
	first: { readonly id: number; readonly receiptId: number | null },
	all: readonly (typeof allocation.$inferSelect)[],
	standing: readonly (typeof allocation.$inferSelect)[]
): Promise<AllocatedAnew> {
	const stands = new Set(standing.map(({ id }) => id));
	const gone = all.filter(({ id }) => !stands.has(id));
	const receiptIds = [
		...new Set([
			...gone.flatMap(({ receiptId }) => receiptId ?? []),
			...(first.receiptId === null ? [] : [first.receiptId])
		])
	];
	const acts = await tx
		.select({ id: act.id })
		.from(act)
		.where(
			and(
				inArray(act.kind, ['return-payment', 'undo-return']),
				gt(act.id, first.id),
				inArray(act.receiptId, receiptIds)
			)
		);
	const actIds = acts.map(({ id }) => id);
	const placed = await tx
		.select()
		.from(standingAllocation)
		.where(
			and(
				inArray(standingAllocation.actId, actIds),
				inArray(standingAllocation.receiptId, receiptIds),
				// Money on account that was allocated later is that later posting's.
				first.receiptId === null
					? inArray(
							standingAllocation.itemId,
							gone.map(({ itemId }) => itemId)
						)
					: undefined
			)
		);
	const gaps = await tx
		.select()
		.from(standingDifference)
		.where(
			and(
				inArray(standingDifference.actId, actIds),
				inArray(
					standingDifference.itemId,
					placed.map(({ itemId }) => itemId)
				)
			)
		);
	return { actIds, allocations: placed, differences: gaps.filter(({ kind }) => kind !== 'claim') };
}

/** Deductions as what they took off whose account; what was settled before the books began took nothing off. */
async function withOwners(tx: Tx, gaps: readonly (typeof difference.$inferSelect)[]) {
	const owners = await ownersOf(tx, gaps);
	return gaps.flatMap(({ actId, kind, base, itemId }) =>
		kind === 'settled_before' ? [] : [{ actId, kind, base, customerId: owners.get(itemId)!.customerId }]
	);
}

/** The journal that was posted for what was allocated anew. */
async function linesOf(tx: Tx, { allocations, differences }: AllocatedAnew): Promise<JournalLine[]> {
	const owners = await ownersOf(tx, [...allocations, ...differences]);
	const receipts = await tx
		.select({ id: receipt.id, currency: receipt.currency })
		.from(receipt)
		.where(
			inArray(
				receipt.id,
				allocations.map(({ receiptId }) => receiptId!)
			)
		);
	const currencies = new Map(receipts.map(({ id, currency }) => [id, currency]));
	return journalOfPosting(
		null,
		{
			...{ receiptAdjustments: [], credits: [], changes: [] },
			allocations: allocations.map((row) => ({
				...{ id: row.id, source: { receiptId: row.receiptId! }, itemId: row.itemId },
				...{ creditCustomerId: row.creditCustomerId, creditCurrency: currencies.get(row.receiptId!)! },
				itemCustomerId: owners.get(row.itemId)!.customerId,
				itemCurrency: owners.get(row.itemId)!.currency,
				...{ amount: row.amount, creditAmount: row.creditAmount },
				...{ itemBase: row.itemBase, creditBase: row.creditBase }
			})),
			differences: differences.map(({ id, itemId, kind, amount, base }) => ({
				...{ id, itemId, kind: kind as DifferenceKind, amount, base },
				...owners.get(itemId)!
			}))
		},
		{ receiptId: differences[0]?.receiptId ?? null }
	);
}

async function ownersOf(tx: Tx, rows: readonly { readonly itemId: number }[]) {
	const found = await tx
		.select({ id: item.id, customerId: document.customerId, currency: document.currency })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, [...new Set(rows.map(({ itemId }) => itemId))]));
	return new Map(found.map(({ id, customerId, currency }) => [id, { customerId, currency }]));
}
