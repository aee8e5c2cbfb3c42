import { sql } from 'drizzle-orm';
import type { Day } from '../../core/day/day';
import type { CreditState, NumberedPlacing } from '../../core/model/placing';
import { insertRows } from '../db/insert-rows';
import type { Tx } from '../db/open';
import { allocation, creditChange, difference } from '../db/schema';
import { changeItems } from './change-items';

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
	if (placing.creditChanges.length)
		await insertRows(
			tx,
			creditChange,
			placing.creditChanges.map(({ id, receiptId, customerId, kind, amount, base }) => ({
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

/** Writes what of earlier money is left on account after an act, and raises its versions. */
export async function changeCredits(tx: Tx, actId: number, credits: readonly CreditState[]): Promise<void> {
	if (credits.length === 0) return;
	const rows = JSON.stringify(credits.map((one) => [one.receiptId, one.onAccount, one.onAccountBase]));
	await tx.run(sql`update receipt_state
		set on_account = rows.value ->> 1, on_account_base = rows.value ->> 2, version = version + 1, last_act_id = ${actId}
		from json_each(${rows}) as rows where receipt_state.receipt_id = rows.value ->> 0`);
}
