import { ZERO } from '../../../core/money/minor';
import { eq, sql } from 'drizzle-orm';
import { stateAfter, type ReceiptMove, type ReceiptState } from '../../../core/2-receipts/receipt-life';
import type { Day } from '../../../core/day/day';
import type { CreditState } from '../../../core/model/posting';
import type { Tx } from '../../platform/db/open';
import { receiptState } from '../../platform/db/schema';

type Row = typeof receiptState.$inferInsert;

/** Moves by which the act stands for where the receipt's money lies. */
const PLACES_IT: ReadonlySet<ReceiptMove> = new Set(['allocate', 'set_aside', 'match', 'split']);
/** Moves after which no act does. */
const FREES_IT: ReadonlySet<ReceiptMove> = new Set(['undo', 'undo_unidentified', 'join']);
/** Moves that leave the note of a hold where it is. */
const KEEPS_HOLD: ReadonlySet<ReceiptMove> = new Set([
	'hold',
	'ask',
	'refuse',
	'withdraw_request',
	'book_unidentified',
	'return',
	'undo_return'
]);

/** How a new receipt stands: it waits. */
export function waitingState(receiptId: number, booked: Day, actId: number): Row {
	return {
		...{ receiptId, state: 'waiting', booked, onAccount: ZERO, onAccountBase: ZERO },
		...{ version: 1, lastActId: actId }
	};
}

/**
 * The one writer of where a receipt stands: only moves that the core allows, each with a new version and the act that did it.
 * @param change what else of it changes; it must follow from what the act posted
 */
export async function moveReceipt(
	tx: Tx,
	receipt: { readonly id: number; readonly state: ReceiptState },
	move: ReceiptMove,
	actId: number,
	change: Partial<
		Pick<
			Row,
			| 'customerId'
			| 'onAccount'
			| 'onAccountBase'
			| 'depositFor'
			| 'unidentifiedActId'
			| 'unidentifiedBase'
			| 'heldBecause'
			| 'heldFor'
			| 'heldOrder'
		>
	> = {}
): Promise<void> {
	const state = stateAfter(receipt.state, move);
	if (state === null) throw new Error(`receipt ${receipt.id} is ${receipt.state}: it cannot ${move}`);
	await tx
		.update(receiptState)
		.set({
			...(KEEPS_HOLD.has(move) ? {} : { heldBecause: null, heldFor: null, heldOrder: null }),
			...(PLACES_IT.has(move) ? { actId } : FREES_IT.has(move) ? { actId: null } : {}),
			...{ state, version: sql`${receiptState.version} + 1`, lastActId: actId },
			...change
		})
		.where(eq(receiptState.receiptId, receipt.id));
}

/** Writes what of earlier money is left on account after an act, and raises its versions. */
export async function changeCredits(tx: Tx, actId: number, credits: readonly CreditState[]): Promise<void> {
	if (credits.length === 0) return;
	const rows = JSON.stringify(credits.map((one) => [one.receiptId, one.onAccount, one.onAccountBase]));
	await tx.run(sql`update receipt_state
		set on_account = rows.value ->> 1, on_account_base = rows.value ->> 2, version = version + 1, last_act_id = ${actId}
		from json_each(${rows}) as rows where receipt_state.receipt_id = rows.value ->> 0`);
}
