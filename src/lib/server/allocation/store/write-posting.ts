import type { Day } from '../../../core/day/day';
import type { NumberedPosting } from '../../../core/model/posting';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { allocation, receiptAdjustment, difference } from '../../platform/db/schema';
import { changeCredits } from '../../receipts/store/receipt-states';
import { changeItems } from '../../documents/store/change-items';

/** Writes what an allocation did to the sub-ledger: its links, differences and credit changes, and how items and credits stand now. */
export async function writePosting(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day; readonly receiptId: number | null },
	posting: NumberedPosting
): Promise<void> {
	const { actId, date } = at;
	if (posting.allocations.length)
		await insertRows(
			tx,
			allocation,
			posting.allocations.map(
				({ id, source, itemId, amount, creditCustomerId, creditAmount, itemBase, creditBase }) => ({
					id,
					actId,
					date,
					receiptId: 'receiptId' in source ? source.receiptId : null,
					creditItemId: 'itemId' in source ? source.itemId : null,
					itemId,
					amount,
					creditCustomerId,
					creditAmount,
					itemBase,
					creditBase
				})
			)
		);
	if (posting.differences.length)
		await insertRows(
			tx,
			difference,
			posting.differences.map(({ id, itemId, kind, amount, base }) => ({
				id,
				actId,
				date,
				receiptId: at.receiptId,
				itemId,
				kind,
				amount,
				base
			}))
		);
	if (posting.receiptAdjustments.length)
		await insertRows(
			tx,
			receiptAdjustment,
			posting.receiptAdjustments.map(({ id, receiptId, customerId, kind, amount, base }) => ({
				id,
				actId,
				date,
				receiptId,
				customerId,
				kind,
				amount,
				base
			}))
		);
	await changeItems(tx, actId, posting.changes);
	await changeCredits(
		tx,
		actId,
		posting.credits.filter((one) => one.receiptId !== at.receiptId)
	);
}
