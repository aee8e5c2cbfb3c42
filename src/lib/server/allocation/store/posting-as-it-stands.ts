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
	difference,
	document,
	item,
	itemState,
	receipt,
	receiptAdjustment,
	standingAllocation,
	standingDifference,
	standingReceiptAdjustment
} from '../../platform/db/schema';
import { mergedAccounts } from '../../customers/store/merged-accounts';
import { journalOf } from '../../ledger/store/journal-of';
import type { FirstRecords } from './write-undoing';

/** What of a posting stands now, to be taken back. */
export interface StandingPosting extends FirstRecords {
	/** The lines of all of it, as they were posted. */
	readonly lines: readonly JournalLine[];
	/** What of it counts against limits, by the act that counted it; null where that is all that the posting counted. */
	readonly reductions: readonly (Reduction & { readonly actId: number })[] | null;
	/** The acts that wrote it: the posting, and where a payment of it was returned, the return and the taking back. */
	readonly actIds: readonly number[];
}

/** A posting: with a receipt it brought that receipt's money, without one it allocated what lay on account. */
interface FirstAct {
	readonly id: number;
	readonly receiptId: number | null;
}

/**
 * The records of a posting that stand. Nearly always they are the posting's own; where a payment of it was entered as returned, and that
 * was taken back, what it settled was allocated anew by the taking back: that stands in their place.
 */
export async function postingAsItStands(tx: Tx, first: FirstAct): Promise<StandingPosting> {
	const whole = {
		allocations: await tx.select().from(allocation).where(eq(allocation.actId, first.id)),
		differences: await tx.select().from(difference).where(eq(difference.actId, first.id)),
		receiptAdjustments: await tx.select().from(receiptAdjustment).where(eq(receiptAdjustment.actId, first.id))
	};
	const lines = await journalOf(tx, first.id);
	const returned = await returnsSince(tx, first, whole.allocations);
	if (returned.length === 0) return { ...whole, lines, reductions: null, actIds: [first.id] };
	const own = {
		allocations: await tx.select().from(standingAllocation).where(eq(standingAllocation.actId, first.id)),
		differences: await tx.select().from(standingDifference).where(eq(standingDifference.actId, first.id)),
		receiptAdjustments: await tx
			.select()
			.from(standingReceiptAdjustment)
			.where(eq(standingReceiptAdjustment.actId, first.id))
	};
	const stands = new Set([
		...own.allocations.map(({ id }) => `allocation ${id}`),
		...own.differences.map(({ id }) => `deduction ${id}`),
		...own.receiptAdjustments.map(({ id }) => `receipt-adjustment ${id}`)
	]);
	const gone = whole.allocations.filter(({ id }) => !stands.has(`allocation ${id}`));
	const anew = await allocatedAnew(tx, first, gone, returned);
	const differences = [...own.differences, ...anew.differences];
	const ofPosting = journalOfStanding(
		lines,
		({ kind, id }) => kind === 'receipt' || kind === 'currency-difference' || stands.has(`${kind} ${id}`)
	);
	return {
		...{ allocations: [...own.allocations, ...anew.allocations], differences },
		receiptAdjustments: own.receiptAdjustments,
		lines: [...ofPosting, ...(await linesOf(tx, anew))],
		reductions: [
			...(await withOwners(tx, differences)),
			...own.receiptAdjustments.flatMap(({ actId, kind, base, customerId }) =>
				kind === 'returned' ? [] : [{ actId, kind, base, customerId }]
			)
		],
		actIds: [first.id, ...returned]
	};
}

/** The acts since a posting that entered payments of it as returned, or took that back: nothing else takes back parts of a posting. */
async function returnsSince(
	tx: Tx,
	first: FirstAct,
	allocations: readonly (typeof allocation.$inferSelect)[]
): Promise<number[]> {
	const receiptIds = new Set(allocations.flatMap(({ receiptId }) => receiptId ?? []));
	if (first.receiptId !== null) receiptIds.add(first.receiptId);
	if (receiptIds.size === 0) return [];
	const acts = await tx
		.select({ id: act.id })
		.from(act)
		.where(
			and(
				inArray(act.receiptId, [...receiptIds]),
				inArray(act.kind, ['return-payment', 'undo-return']),
				gt(act.id, first.id)
			)
		);
	return acts.map(({ id }) => id);
}

interface AllocatedAnew {
	readonly allocations: readonly (typeof allocation.$inferSelect)[];
	readonly differences: readonly (typeof difference.$inferSelect)[];
}

/**
 * What was allocated in place of what a posting had.
 * @param gone what the posting allocated and does not stand
 * @param actIds the acts that may have done so
 */
async function allocatedAnew(
	tx: Tx,
	first: FirstAct,
	gone: readonly (typeof allocation.$inferSelect)[],
	actIds: readonly number[]
): Promise<AllocatedAnew> {
	// Money on account that was allocated by a later posting is that posting's.
	const own =
		first.receiptId !== null
			? eq(standingAllocation.receiptId, first.receiptId)
			: and(
					inArray(
						standingAllocation.receiptId,
						gone.flatMap(({ receiptId }) => receiptId ?? [])
					),
					inArray(
						standingAllocation.itemId,
						gone.map(({ itemId }) => itemId)
					)
				);
	const placed = await tx
		.select()
		.from(standingAllocation)
		.where(and(inArray(standingAllocation.actId, [...actIds]), own));
	const gaps = await tx
		.select()
		.from(standingDifference)
		.where(
			and(
				inArray(standingDifference.actId, [...actIds]),
				inArray(
					standingDifference.itemId,
					placed.map(({ itemId }) => itemId)
				)
			)
		);
	return { allocations: placed, differences: gaps.filter(({ kind }) => kind !== 'claim') };
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
	const merged = await mergedAccounts(tx);
	const currencies = new Map(receipts.map(({ id, currency }) => [id, currency]));
	return journalOfPosting(
		null,
		{
			...{ receiptAdjustments: [], credits: [], changes: [] },
			allocations: allocations.map((row) => ({
				...{ id: row.id, source: { receiptId: row.receiptId! }, itemId: row.itemId },
				creditCustomerId: merged.get(row.creditCustomerId) ?? row.creditCustomerId,
				...{ creditCurrency: currencies.get(row.receiptId!)! },
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
		.select({ id: item.id, customerId: itemState.customerId, currency: document.currency })
		.from(item)
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inArray(item.id, [...new Set(rows.map(({ itemId }) => itemId))]));
	return new Map(found.map(({ id, customerId, currency }) => [id, { customerId, currency }]));
}
