import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { minor } from '../money/minor';
import { checkSplit } from './check-split';
import { feeOf, feePattern, type SeenFee } from '../money/fee-pattern';

const part = (gross: number, fee: number) => ({ gross: minor(gross), fee: minor(fee) });
const entry = (amount: number) => ({ amount: minor(amount), currency: 'GBP' });
const codes = (...args: Parameters<typeof checkSplit>) => checkSplit(...args).map((one) => one.code);

test.each<[string, number, [number, number][], string[]]>([
	[
		'to the penny',
		970,
		[
			[600, 20],
			[400, 10]
		],
		[]
	],
	[
		'a penny short',
		971,
		[
			[600, 20],
			[400, 10]
		],
		['split-sum']
	],
	[
		'a penny long',
		969,
		[
			[600, 20],
			[400, 10]
		],
		['split-sum']
	],
	['no parts', 970, [], ['nothing-to-place', 'split-sum']],
	[
		'a part of nothing',
		600,
		[
			[600, 0],
			[0, 0]
		],
		['split-part']
	],
	[
		'a fee that eats its payment',
		600,
		[
			[600, 0],
			[20, 20]
		],
		['split-part']
	],
	['a negative fee', 620, [[600, -20]], ['split-part']],
	['money that went out', -5, [[1, 0]], ['not-a-credit-entry']]
])('a split %s', (_, amount, parts, want) =>
	expect(
		codes(
			entry(amount),
			parts.map(([gross, fee]) => part(gross, fee))
		)
	).toEqual(want)
);

describe('a tariff is learned from fees', () => {
	const seen = (basisPoints: number, fixed: number, ...grosses: number[]): SeenFee[] =>
		grosses.map((gross) => ({
			gross: minor(gross),
			fee: feeOf({ basisPoints, fixed: minor(fixed) }, minor(gross))
		}));
	test.each<[string, SeenFee[], [number, number] | null]>([
		['percent and fixed', seen(140, 20, 10_000, 25_050, 3_333, 78_912), [140, 20]],
		['percent alone', seen(250, 0, 10_000, 25_050, 3_333), [250, 0]],
		['a fixed charge', seen(0, 1200, 10_000, 25_050, 3_333), [0, 1200]],
		['the same sum each time', seen(140, 20, 10_000, 10_000, 10_000), [0, 160]],
		['one that was different', [...seen(140, 20, 10_000, 25_050, 3_333, 9_999), part(5_000, 777)], [140, 20]],
		['too few', seen(140, 20, 10_000, 25_050), null],
		['no rhyme', [part(1000, 7), part(2000, 91), part(3000, 13), part(5000, 44)], null]
	])('%s', (_, fees, want) => {
		const pattern = feePattern(fees);
		expect(pattern && [pattern.basisPoints, pattern.fixed]).toEqual(want);
	});
	it('whatever it is, as long as it is in twentieths of a percent', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 100 }),
				fc.integer({ min: 0, max: 500 }),
				fc.uniqueArray(fc.integer({ min: 5_000, max: 500_000 }), { minLength: 4, maxLength: 12 }),
				(step, fixed, grosses) => {
					const fees = seen(step * 5, fixed, ...grosses);
					const pattern = feePattern(fees);
					expect(pattern!.explains).toBe(fees.length);
					for (const { gross, fee } of fees) expect(feeOf(pattern!, gross)).toBe(fee);
				}
			)
		));
});
