import type { Day } from '../../../core/day/day';
import type { NumberedPlacing } from '../../../core/model/placing';
import { insertRows } from '../../platform/db/insert-rows';
import type { Tx } from '../../platform/db/open';
import { allocation, receiptAdjustment, difference } from '../../platform/db/schema';
import { changeCredits } from '../../receipts/store/receipt-states';
import { changeItems } from '../../documents/store/change-items';

/** Writes what a placing did to the sub-ledger: its links, differences and credit changes, and how items and credits stand now. */
export async function writePlacing(
	tx: Tx,
	at: { readonly actId: number; readonly date: Day; readonly receiptId: number | null },
	placing: NumberedPlacing
): Promise<void> {
	const { actId, date } = at;
	if (placing.allocations.length)
		await insertRows(
			tx,
			allocation,
			placing.allocations.map(
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
	if (placing.differences.length)
		await insertRows(
			tx,
			difference,
			placing.differences.map(({ id, itemId, kind, amount, base }) => ({
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
	if (placing.receiptAdjustments.length)
		await insertRows(
			tx,
			receiptAdjustment,
			placing.receiptAdjustments.map(({ id, receiptId, customerId, kind, amount, base }) => ({
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
	await changeItems(tx, actId, placing.changes);
	await changeCredits(
		tx,
		actId,
		placing.credits.filter((one) => one.receiptId !== at.receiptId)
	);
}
