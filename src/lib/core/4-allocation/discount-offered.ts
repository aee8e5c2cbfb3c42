import { daysBetween } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { OpenItem } from '../model/records';
import type { Minor } from '../money/minor';
import { proportion } from '../money/proportion';

export interface OfferedDiscount {
	readonly amount: Minor;
	readonly basisPoints: number;
	readonly until: Day;
	/** Days after the offer ended; 0 or less when the money came in time. */
	readonly daysLate: number;
}

/** The settlement discount that an item's terms offer on its total, and whether money of that day came in time; null for none. */
export function discountOffered(
	item: Pick<OpenItem, 'total' | 'discountBasisPoints' | 'discountUntil'>,
	paid: Day
): OfferedDiscount | null {
	const { total, discountBasisPoints: basisPoints, discountUntil: until } = item;
	if (!basisPoints || !until) return null;
	return {
		amount: proportion(total, basisPoints, 10_000),
		basisPoints,
		until,
		daysLate: daysBetween(until, paid)
	};
}
