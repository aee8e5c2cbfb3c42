import { minor, type Minor } from './minor';

/**
 * amount × numerator ÷ denominator, rounded half away from zero (the firm's one rounding). The product is taken in BigInt,
 * for it may pass 2^53. Throws RangeError when the denominator is 0.
 */
export function proportion(amount: number, numerator: number, denominator: number): Minor {
	if (denominator === 0) throw new RangeError('a share of nothing');
	const product = BigInt(amount) * BigInt(numerator);
	const divisor = BigInt(denominator);
	const negative = product < 0n !== divisor < 0n;
	const top = product < 0n ? -product : product;
	const bottom = divisor < 0n ? -divisor : divisor;
	const rounded = (2n * top + bottom) / (2n * bottom);
	return minor(Number(negative ? -rounded : rounded));
}
