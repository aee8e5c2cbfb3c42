import { eq, inArray } from 'drizzle-orm';
import { claimAfter, type ClaimMove, type ClaimState } from '../../../core/4-allocation/claim-life';
import type { JournalSource } from '../../../core/model/journal';
import type { Day } from '../../../core/day/day';
import { ZERO } from '../../../core/money/minor';
import type { Tx } from '../../platform/db/open';
import { claim, difference, item, itemState } from '../../platform/db/schema';
import { takeId } from '../../platform/db/take-ids';
import { changeItems } from '../../documents/store/change-items';

/**
 * The one writer of where a claim stands: only moves that the core allows.
 * @param change why it is made, who follows it up and by when, where that changes
 */
export async function moveClaim(
	tx: Tx,
	one: { readonly documentId: number; readonly state: ClaimState },
	move: ClaimMove,
	change: Partial<Pick<typeof claim.$inferInsert, 'reason' | 'owner' | 'deadline'>> = {}
): Promise<void> {
	const state = claimAfter(one.state, move);
	if (state === null) throw new Error(`claim ${one.documentId} is ${one.state}: it cannot ${move}`);
	await tx
		.update(claim)
		.set({ ...change, state })
		.where(eq(claim.documentId, one.documentId));
}

/** A claim that something is open of again waits for its decision again. */
export async function reopenClaims(
	tx: Tx,
	changes: readonly { readonly itemId: number; readonly open: number }[]
): Promise<void> {
	const ids = changes.filter((one) => one.open > 0).map((one) => one.itemId);
	const own = tx.select({ id: item.documentId }).from(item).where(inArray(item.id, ids));
	for (const one of await tx.select().from(claim).where(inArray(claim.documentId, own)))
		if (claimAfter(one.state, 'reopen')) await moveClaim(tx, one, 'reopen');
}

/**
 * A claim whose splitting off is taken back is owed no more: its invoice is.
 * @returns the records that take the claims back, as sources of journal lines, by the claim's document
 */
export async function withdrawClaims(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day; readonly receiptId: number | null },
	claims: readonly {
		readonly claim: typeof claim.$inferSelect;
		readonly state: typeof itemState.$inferSelect;
	}[]
): Promise<Map<number, JournalSource>> {
	const sources = new Map<number, JournalSource>();
	for (const { claim: one, state } of claims) {
		const id = await takeId(tx, difference);
		const { itemId } = state;
		sources.set(one.documentId, { kind: 'deduction', id, itemId, receiptId: at.receiptId });
		await tx.insert(difference).values({
			id,
			actId: at.actId,
			date: at.date,
			receiptId: at.receiptId,
			itemId,
			kind: 'claim',
			amount: state.open,
			base: state.openBase
		});
		await changeItems(tx, at.actId, [{ itemId: state.itemId, open: ZERO, openBase: ZERO }]);
		await moveClaim(tx, one, 'withdraw');
	}
	return sources;
}
