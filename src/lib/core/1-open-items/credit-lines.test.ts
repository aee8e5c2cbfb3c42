import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { minor } from '../money/minor';
import { creditLines } from './credit-lines';
import { followingNumber } from './following-number';

const line = (net: number, taxBasisPoints: number) => ({
	...{ net: minor(net), taxBasisPoints },
	tax: minor(Math.round((net * taxBasisPoints) / 10_000))
});

it('takes an amount apart by the rates of the document', () => {
	const of = [line(10_000, 2000), line(4_000, 0)];
	expect(creditLines(minor(1_600), of, 'allowed')).toEqual([
		{ text: 'allowed', net: 1_000, taxBasisPoints: 2000, tax: 200 },
		{ text: 'allowed', net: 400, taxBasisPoints: 0, tax: 0 }
	]);
});
it('a document without lines above nothing has no tax to give back', () => {
	expect(creditLines(minor(500), [], 'x')).toEqual([{ text: 'x', net: 500, taxBasisPoints: 0, tax: 0 }]);
});
test('whatever the rates, the lines come to the amount', () => {
	const lines = fc.array(
		fc.tuple(fc.integer({ min: 1, max: 1_000_000 }), fc.constantFrom(0, 500, 1950, 2000)),
		{
			minLength: 1,
			maxLength: 6
		}
	);
	fc.assert(
		fc.property(lines, fc.integer({ min: 1, max: 500_000 }), (rows, amount) => {
			const drawn = creditLines(
				minor(amount),
				rows.map(([net, rate]) => line(net, rate)),
				'x'
			);
			expect(drawn.reduce((sum, one) => sum + one.net + one.tax, 0)).toBe(amount);
		})
	);
});
test.each([
	['AK-40999', 'AK-41000'],
	['2026/099-A', '2026/100-A'],
	['0009', '0010'],
	['none', 'none-2']
])('after %s comes %s', (number, next) => expect(followingNumber(number)).toBe(next));
