import fc from 'fast-check';
import { expect, it } from 'vitest';
import { minor } from './minor';
import { taxWithin } from './tax-within';

it.each([
	[12_000, 2_000, 2_000],
	[-12_000, 2_000, -2_000],
	[100, 2_000, 17],
	[105, 500, 5],
	[3, 10_000, 2],
	[1, 500, 0],
	[0, 2_000, 0]
])('in %i at %i basis points there is %i', (gross, rate, tax) =>
	expect(taxWithin(minor(gross), rate)).toBe(tax)
);

it('is the nearest, and the same in both directions', () =>
	fc.assert(
		fc.property(fc.integer({ min: 0, max: 1e12 }), fc.integer({ min: 1, max: 10_000 }), (gross, rate) => {
			const tax = taxWithin(minor(gross), rate);
			// Twice what it is out by, as whole numbers, is no more than the divisor.
			const out = BigInt(tax) * BigInt(10_000 + rate) - BigInt(gross) * BigInt(rate);
			expect(2n * (out < 0n ? -out : out) <= BigInt(10_000 + rate)).toBe(true);
			expect(taxWithin(minor(-gross), rate) + tax).toBe(0);
		})
	));
