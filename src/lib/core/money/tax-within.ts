import { minor, type Minor } from './minor';

/**
 * The tax that is in a sum with tax, rounded to the nearest minor unit, half away from zero: `gross × rate ÷ (100% + rate)`.
 * @param gross minor units, with either sign
 * @param basisPoints of the net sum: 2,000 is 20%
 */
export function taxWithin(gross: Minor, basisPoints: number): Minor {
	const whole = 10_000n + BigInt(basisPoints);
	const sum = BigInt(Math.abs(gross)) * BigInt(basisPoints);
	const tax = Number((2n * sum + whole) / (2n * whole));
	return minor(gross < 0 && tax > 0 ? -tax : tax);
}
