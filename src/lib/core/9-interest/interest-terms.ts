import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** How days are counted into a year: by its 365 days, or by 360 as banks do. */
export const DAY_COUNTS = [365, 360] as const;
export type DayCount = (typeof DAY_COUNTS)[number];

/** A yearly rate from a day on, until the next. */
export interface RateFrom {
	readonly from: Day;
	/** In basis points. */
	readonly basisPoints: number;
}

/** What is charged once for an invoice that was late, from an amount on. */
export interface CompensationBand {
	/** What was late comes to this at least, in minor units. */
	readonly from: Minor;
	readonly amount: Minor;
}

/** On which terms interest is charged. Amounts in minor units of the base currency. */
export interface InterestTerms {
	readonly dayCount: DayCount;
	/** Days after the due day that cost nothing. */
	readonly graceDays: number;
	/** Yearly rates by their day, oldest first; a reference rate already has its margin. */
	readonly rates: readonly RateFrom[];
	/** What one account's interest has to come to, or it is not charged yet. */
	readonly least: Minor;
	/** By what was late, smallest first; none where nothing is charged beside interest. */
	readonly compensation: readonly CompensationBand[];
	/** Whether interest bears interest. */
	readonly onInterest: boolean;
}
