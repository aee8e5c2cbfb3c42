import type { Day } from '../day/day';

/** A rate as somebody publishes it for a day, with the line on which it stands. */
export interface Quote {
	readonly line: number;
	readonly day: Day;
	readonly currency: string;
	/** The rate as a whole number over a power of ten: 0.8580 is 8580 over 10,000. */
	readonly units: bigint;
	readonly scale: bigint;
}

/**
 * What the figures mean: what one unit of each currency is worth in base currency, or how much of each currency one unit of
 * `of` buys, as daily reference rates are published.
 */
export type QuotedAs = { readonly way: 'worth' } | { readonly way: 'buys'; readonly of: string };

/** Base currency for one unit of a currency on a day, × 1,000,000. */
export interface DayRate {
	readonly line: number;
	readonly currency: string;
	readonly day: Day;
	readonly millionths: number;
}
