import { minor, type Minor } from '../money/minor';

/** Of base currency per million units of another: large enough that the rounding of one amount does not matter. */
const UNITS_CONVERTED = minor(1_000_000);

/**
 * The firm's tolerance, kept in base currency, in the currency of the money at hand, rounded down; null for none.
 * @param toBase the value of an amount of that currency in base currency
 */
export function toleranceIn(tolerance: number | null, toBase: (amount: Minor) => Minor): Minor | null {
	if (tolerance === null) return null;
	const worth = toBase(UNITS_CONVERTED);
	return worth <= 0 ? minor(0) : minor(Math.floor((tolerance * UNITS_CONVERTED) / worth));
}
