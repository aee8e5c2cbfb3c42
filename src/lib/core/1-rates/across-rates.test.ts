import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { minor } from '../money/minor';
import { acrossRates, ONE } from './across-rates';

const rates = {
	GBP: { currency: 'GBP', millionths: ONE },
	EUR: { currency: 'EUR', millionths: 858_000 },
	JPY: { currency: 'JPY', millionths: 5_200 },
	BHD: { currency: 'BHD', millionths: 2_100_000 }
};

test.each<[number, keyof typeof rates, keyof typeof rates, number]>([
	[10_000, 'EUR', 'GBP', 8_580],
	[8_580, 'GBP', 'EUR', 10_000],
	[1, 'EUR', 'GBP', 1],
	[-10_000, 'EUR', 'GBP', -8_580],
	// No decimals, and three.
	[1_000, 'JPY', 'GBP', 520],
	[520, 'GBP', 'JPY', 1_000],
	[1_000, 'BHD', 'GBP', 210],
	[10_000, 'EUR', 'JPY', 16_500],
	[123, 'GBP', 'GBP', 123]
])('%d of %s is in %s %d', (amount, from, to, want) =>
	expect(acrossRates(minor(amount), rates[from], rates[to])).toBe(want)
);

it('there and back is within what one unit of the coarser coin is worth', () => {
	fc.assert(
		fc.property(
			fc.integer({ min: 0, max: 1e11 }),
			fc.integer({ min: 1_000, max: 1e8 }),
			(amount, millionths) => {
				const other = { currency: 'EUR', millionths };
				const back = acrossRates(acrossRates(minor(amount), rates.GBP, other), other, rates.GBP);
				expect(Math.abs(back - amount)).toBeLessThanOrEqual(millionths / ONE / 2 + 1);
			}
		)
	);
});
