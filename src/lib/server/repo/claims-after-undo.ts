import { and, eq, inArray, ne } from 'drizzle-orm';
import type { JournalSource } from '../../core/model/journal';
import type { Day } from '../../core/day/day';
import { ZERO } from '../../core/money/minor';
import type { Tx } from '../db/open';
import { claim, difference, item, itemState } from '../db/schema';
import { takeId } from '../db/take-ids';
import { changeItems } from './change-items';

/** A claim that something is open of again waits for its decision again. */
export async function reopenClaims(
	tx: Tx,
	changes: readonly { readonly itemId: number; readonly open: number }[]
): Promise<void> {
	const ids = changes.filter((one) => one.open > 0).map((one) => one.itemId);
	const decided = tx.select({ id: item.documentId }).from(item).where(inArray(item.id, ids));
	await tx
		.update(claim)
		.set({ state: 'open' })
		.where(and(inArray(claim.documentId, decided), ne(claim.state, 'withdrawn'), ne(claim.state, 'open')));
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
		await tx.update(claim).set({ state: 'withdrawn' }).where(eq(claim.documentId, one.documentId));
	}
	return sources;
}
