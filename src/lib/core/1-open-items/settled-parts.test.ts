import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { settledParts } from './settled-parts';

describe('what of instalments was settled before', () => {
	test.each([
		[
			0,
			[
				[0, 0],
				[0, 0]
			]
		],
		[
			40,
			[
				[40, 33],
				[0, 0]
			]
		],
		[
			60,
			[
				[60, 50],
				[0, 0]
			]
		],
		[
			75,
			[
				[60, 50],
				[15, 13]
			]
		],
		[
			100,
			[
				[60, 50],
				[40, 34]
			]
		]
	])('%i of 60 and 40', (settled, want) => {
		const parts = [
			{ total: 60, totalBase: 50 },
			{ total: 40, totalBase: 34 }
		];
		expect(settledParts(parts, settled).map(({ amount, base }) => [amount, base])).toEqual(want);
	});

	test('all of it is settled, earliest first, and no part beyond itself', () => {
		const part = fc.record({
			total: fc.integer({ min: 1, max: 1e9 }),
			totalBase: fc.integer({ min: 0, max: 1e9 })
		});
		fc.assert(
			fc.property(fc.array(part, { minLength: 1, maxLength: 12 }), fc.nat(1_000), (parts, share) => {
				const whole = parts.reduce((sum, { total }) => sum + total, 0);
				const settled = Math.floor((whole * share) / 1_000);
				const found = settledParts(parts, settled);
				expect(found.reduce((sum, { amount }) => sum + amount, 0)).toBe(settled);
				found.forEach(({ amount, base }, i) => {
					expect(amount).toBeLessThanOrEqual(parts[i]!.total);
					expect(base).toBeLessThanOrEqual(parts[i]!.totalBase);
					if (i > 0 && amount > 0) expect(found[i - 1]!.amount).toBe(parts[i - 1]!.total);
				});
			})
		);
	});
});
