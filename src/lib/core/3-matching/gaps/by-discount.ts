import { addDays, daysBetween } from '../../day/arithmetic';
import { share } from '../../money/share';
import { minor } from '../../money/minor';
import type { Answer, Reason } from '../answer';
import { discountDaysAllowed, type Habits } from '../habits';
import { payerKnown, withGap, type Short } from './short';

/** Days after the last day of a discount on which it is still taken for one: banks and weekends. */
export const GRACE = 3;

/**
 * All of the gap is the discount that the terms of all items, or of just one, allow. In time it is certain where the payer is
 * known; some days late it is for a person to allow, and as many days late as it was allowed before.
 */
export function byDiscount(short: Short, habits: Habits): Answer | null {
	const { receipt, items, gap, answer } = short;
	const grace = Math.max(GRACE, discountDaysAllowed(habits));
	const allowed = items.map((item) =>
		item.discountBasisPoints && item.discountUntil && receipt.booked <= addDays(item.discountUntil, grace)
			? share(item.open, item.discountBasisPoints, 10_000)
			: 0
	);
	const offs =
		allowed.reduce<number>((sum, off) => sum + off, 0) === gap
			? allowed
			: allowed.map((off, i) => (off === gap && allowed.indexOf(off) === i ? off : 0));
	if (offs.reduce<number>((sum, off) => sum + off, 0) !== gap) return null;
	const taken = items.filter((_, i) => offs[i]! > 0);
	const late = Math.max(...taken.map((item) => daysBetween(item.discountUntil!, receipt.booked)));
	const [first] = taken;
	const reasons: Reason[] = [
		{
			code: 'discount-taken',
			basisPoints: first!.discountBasisPoints!,
			until: first!.discountUntil!,
			amount: minor(gap),
			currency: receipt.currency
		}
	];
	if (late > GRACE) reasons.push({ code: 'late-discount-habit', ...habits.lateDiscount });
	const sure = late <= 0 && answer.band === 'likely' && payerKnown(answer);
	return withGap(short, 'settlement_discount', offs, reasons, sure ? 'certain' : answer.band);
}
