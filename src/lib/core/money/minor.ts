import type { Brand } from '../model/brand';

/** An amount in minor units of its currency (pence for GBP, yen for JPY): always a safe integer, never a fraction. */
export type Minor = Brand<number, 'Minor'>;

/**
 * Marks a whole number as an amount of minor units.
 * @throws RangeError on a fraction or beyond 2^53 − 1: both are bugs in the caller, never a user's mistake.
 */
export function minor(value: number): Minor {
	if (!Number.isSafeInteger(value)) throw new RangeError(`${value} is not a safe integer of minor units`);
	// −0 would print as a minus nothing.
	return (value === 0 ? 0 : value) as Minor;
}

/**
 * The most that one amount may be, in minor units of either sign: 100 billion pounds. Of such amounts 900 still add up to less than
 * 2^53; what of them comes into the books is bounded in all (`server/ledger/store/turnover`).
 */
export const MOST_AMOUNT = 10_000_000_000_000;

export const ZERO = minor(0);
