import { minor, type Minor } from './minor';

/**
 * Splits an amount by weights so that the parts add up to it exactly: each part is rounded towards zero, then the units
 * left over go one each to the parts with the largest remainder, the earlier part first on a tie (largest remainder
 * method). Weights are whole numbers ≥ 0 with a sum > 0, else RangeError. apportion(100, [1, 1, 1]) is [34, 33, 33].
 */
export function apportion(amount: Minor, weights: readonly number[]): Minor[] {
	const total = weights.reduce((sum, weight) => sum + BigInt(weight), 0n);
	if (total <= 0n || weights.some((weight) => weight < 0))
		throw new RangeError('weights must be ≥ 0 and not all 0');
	const size = BigInt(Math.abs(amount));
	const sign = amount < 0 ? -1 : 1;
	const parts = weights.map((weight, index) => {
		const product = size * BigInt(weight);
		return { index, whole: Number(product / total), remainder: product % total };
	});
	let left = Math.abs(amount) - parts.reduce((sum, part) => sum + part.whole, 0);
	const order = [...parts].sort((a, b) =>
		a.remainder === b.remainder ? a.index - b.index : a.remainder > b.remainder ? -1 : 1
	);
	for (const part of order) {
		if (left === 0) break;
		part.whole += 1;
		left -= 1;
	}
	return parts.map((part) => minor(sign * part.whole));
}
