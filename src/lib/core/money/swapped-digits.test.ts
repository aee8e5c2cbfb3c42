import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { swappedDigits } from './swapped-digits';

test.each([
	[28_143, 28_413, true],
	[12, 21, true],
	[1_002, 1_020, true],
	[90, 9, false],
	[28_143, 28_143, false],
	[12_345, 13_254, false],
	[12_345, 12_354, true],
	[100, 1_000, false],
	[123, 321, false]
])('%d and %d: %s', (a, b, want) => expect(swappedDigits(a, b)).toBe(want));

it('is just what swapping any two neighbours gives', () => {
	fc.assert(
		fc.property(fc.integer({ min: 1, max: 99_999 }), fc.integer({ min: 1, max: 99_999 }), (a, b) => {
			const digits = String(a);
			const swaps = Array.from({ length: digits.length - 1 }, (_, i) =>
				Number(digits.slice(0, i) + digits[i + 1] + digits[i] + digits.slice(i + 2))
			);
			const written = swaps.filter((one) => String(one).length === digits.length);
			expect(swappedDigits(a, b)).toBe(a !== b && written.includes(b));
			for (const one of written) if (one !== a) expect(swappedDigits(a, one)).toBe(true);
		})
	);
});
