import { currencyDigits } from '../money/currency';
import type { Minor } from '../money/minor';
import { proportion } from '../money/proportion';

/** What one unit of a currency is worth in base currency, × 1,000,000. */
export interface RateIn {
	readonly currency: string;
	readonly millionths: number;
}

/** The rate of the base currency itself. */
export const ONE = 1_000_000;

/** An amount in another currency by the two rates, with that one's digits; rounded as the firm rounds (half away from zero). */
export function acrossRates(amount: Minor, from: RateIn, to: RateIn): Minor {
	const digits = (currencyDigits(to.currency) ?? 2) - (currencyDigits(from.currency) ?? 2);
	const up = digits > 0 ? 10 ** digits : 1;
	const down = digits < 0 ? 10 ** -digits : 1;
	return proportion(amount, from.millionths * up, to.millionths * down);
}
