import type { Day } from '../../../core/day/day';
import { ZERO, minor } from '../../../core/money/minor';
import type { ActContext } from '../../act/define-act';
import { postAllocation } from '../../allocation/commands/allocate-receipt';
import { receipt, receiptState } from '../../platform/db/schema';
import { takeId } from '../../platform/db/take-ids';
import type { PaidIntoColumns } from '../store/paid-into';
import { waitingState } from '../store/receipt-states';

/** Money of a customer that somebody recorded, and what it settles. */
export interface PaymentByHand {
	readonly customerId: number;
	/** The customer's name. */
	readonly name: string;
	readonly method: string;
	readonly reference: string;
	/** The day on which it came. */
	readonly date: Day;
	readonly amount: number;
	readonly currency: string;
	/** Where it is paid in. */
	readonly paidInto: PaidIntoColumns;
	/** Who typed it. */
	readonly by: string;
	readonly lines: readonly { readonly itemId: number; readonly version: number; readonly cash: number }[];
}

/** Makes a receipt of it, allocated; its money is on its way until the bank shows it. Returns the receipt. */
export async function postByHand(ctx: ActContext, given: PaymentByHand): Promise<number> {
	const { tx } = ctx;
	const { customerId, name, method, reference, date, amount, currency, by, paidInto } = given;
	const id = await takeId(tx, receipt);
	await tx.insert(receipt).values({
		...{ id, bankEntryId: null, method, knownCustomerId: customerId, booked: date, currency },
		...paidInto,
		...{ amount: minor(amount), payerName: name, text: reference, charges: ZERO }
	});
	await tx.insert(receiptState).values(waitingState(id, date, 0));
	await postAllocation(
		ctx.part('allocate-receipt'),
		{
			...{ receiptId: id, receiptVersion: 1, customerId },
			lines: given.lines.map((line) => ({ ...line, differences: [] }))
		},
		{ reasons: [{ code: 'recorded-by-hand', by, method, reference }] }
	);
	return id;
}
