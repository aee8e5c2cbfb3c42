import type { ReceiptFacts } from '../../model/records';
import { sumOf } from '../../money/add';
import type { Minor } from '../../money/minor';
import type { Reason, UsedCredit } from '../answer';
import type { MatchIndex } from '../match-index';

/** Earlier money that closes a gap to the penny. */
export interface UnappliedCash {
	readonly credits: readonly UsedCredit[];
	readonly amount: Minor;
	readonly reason: Reason;
}

/**
 * The earlier money of a customer that is just a sum (minor units): what is left of one payment, or all that lies on account. The
 * oldest of equal ones; null where there is none.
 */
export function unappliedCash(
	sum: Minor,
	customerId: number,
	receipt: ReceiptFacts,
	index: MatchIndex
): UnappliedCash | null {
	const own = (index.creditsOf.get(customerId) ?? []).filter((one) => one.currency === receipt.currency);
	const one = own.find((credit) => credit.amount === sum);
	const used = one ? [one] : own.length > 1 && sumOf(own, (credit) => credit.amount) === sum ? own : [];
	if (used.length === 0) return null;
	return {
		credits: used.map((credit) => ({ receiptId: credit.receiptId, use: credit.amount })),
		amount: sum,
		reason: {
			...{ code: 'earlier-money', amount: sum, currency: receipt.currency },
			...{ booked: used[0]!.booked, receipts: used.length }
		}
	};
}
