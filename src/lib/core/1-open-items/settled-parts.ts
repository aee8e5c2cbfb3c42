import { minor, ZERO, type Minor } from '../money/minor';
import { proportion } from '../money/proportion';

/**
 * What of each instalment was settled before, earliest first: its amount, and its share of the instalment's value in base currency.
 * @param parts the instalments in their order, each with its amount above zero and its value in base currency
 * @param settled at most what they come to
 */
export function settledParts(
	parts: readonly { readonly total: number; readonly totalBase: number }[],
	settled: number
): { readonly amount: Minor; readonly base: Minor }[] {
	let left = settled;
	return parts.map(({ total, totalBase }) => {
		const amount = minor(Math.min(left, total));
		left -= amount;
		return { amount, base: amount === 0 ? ZERO : proportion(totalBase, amount, total) };
	});
}
