import { daysBetween } from '../../day/arithmetic';
import type { Day } from '../../day/day';
import type { Minor } from '../../money/minor';

/** The step after the last: thanks for what was paid once it had been asked for. */
export interface ThanksStep {
	/** Days after the payment. */
	readonly days: number;
	/** What was paid has to come to so much at least, in minor units of the base currency. */
	readonly least: Minor;
	/** The wording of its letter. */
	readonly wording: string;
}

/** By which it is known what was thanked for. */
export const THANKS_STEP = 'thanks';

/** Thanks that come later than so many days after their time are left. */
export const THANKS_LAPSE = 14;

/** An item that was chased and is settled. Amounts in minor units. */
export interface SettledItem {
	readonly id: number;
	/** The day on which the last of it came. */
	readonly settledOn: Day;
	/** What it came to, in the account's currency and in base currency. */
	readonly total: number;
	readonly base: number;
	/** Whether money came for it: a credit note is nothing to thank for. */
	readonly isPaid: boolean;
	readonly isThanked: boolean;
}

/**
 * The items that an account is thanked for today, once each; none where something of it is late, or what was paid is too little.
 * @param isLate whether the account owes something that is past due
 */
export function toThank(
	{ days, least }: ThanksStep,
	items: readonly SettledItem[],
	{ today, isLate }: { readonly today: Day; readonly isLate: boolean }
): SettledItem[] {
	if (isLate) return [];
	const own = items.filter(({ settledOn, isPaid, isThanked }) => {
		const since = daysBetween(settledOn, today) - days;
		return isPaid && !isThanked && since >= 0 && since <= THANKS_LAPSE;
	});
	return own.reduce((sum, one) => sum + one.base, 0) >= least ? own : [];
}
