import { eq } from 'drizzle-orm';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import { receiptsOfEntry } from '../../../core/2-receipts/receipts-of-entry';
import type { EntryDetail } from '../../../core/model/bank';
import type { ActContext } from '../../act/define-act';
import { numbered } from '../../allocation/store/number-posting';
import { insertRows } from '../../platform/db/insert-rows';
import { bankEntry, receipt, receiptState } from '../../platform/db/schema';
import { entryOfRow } from './entry-rows';
import { moveReceipt, waitingState } from './receipt-states';

/**
 * Divides the receipt of an entry into the payments that a bank's report tells of, while it waits and is not divided yet; what somebody
 * has done with it stands.
 * @returns whether it was divided
 */
export async function divideByReport(
	ctx: ActContext,
	entryId: number,
	details: readonly EntryDetail[]
): Promise<boolean> {
	const { tx } = ctx;
	const rows = await tx
		.select({ row: receipt, state: receiptState })
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.where(eq(receipt.bankEntryId, entryId));
	const [only, ...others] = rows;
	if (!only || others.length > 0 || !isWaiting(only.state.state) || only.state.unidentifiedActId !== null)
		return false;
	const [entry] = await tx.select().from(bankEntry).where(eq(bankEntry.id, entryId));
	const drafts = receiptsOfEntry({ ...entryOfRow(entry!), details });
	const { id, amount, currency, booked } = only.row;
	const actId = await ctx.part('divide-receipt').record({
		summary: { amount, currency, parts: drafts.length },
		receiptId: id
	});
	const parts = await numbered(
		tx,
		receipt,
		drafts.map((draft) => ({
			...{ ...draft, bankEntryId: entryId, parentId: id, method: only.row.method, booked, currency },
			detail: null
		}))
	);
	await insertRows(tx, receipt, parts);
	await insertRows(
		tx,
		receiptState,
		parts.map((part) => waitingState(part.id, booked, actId))
	);
	await moveReceipt(tx, { id, state: only.state.state }, 'split', actId);
	return true;
}
