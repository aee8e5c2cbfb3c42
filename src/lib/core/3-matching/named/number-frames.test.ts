import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { keysInFrames, numberFrames } from './number-frames';
import { referenceKey } from '../../text/words-of-text';

const series = (write: (n: number) => string) => Array.from({ length: 12 }, (_, i) => write(95 + i * 7));
const pad = (n: number, digits: number) => String(n).padStart(digits, '0');

test.each<[string, (n: number) => string, string, string]>([
	['a prefix', (n) => `AK-${40_000 + n}`, '40102', 'AK40102'],
	['the year before it', (n) => `RE-2026-${pad(n, 5)}`, '102', 'RE202600102'],
	['the year in one with it', (n) => `2026${pad(n, 5)}`, '00102', '202600102'],
	['the year after it', (n) => `K.${1_000 + n}-26`, '1102', 'K110226'],
	['a month and a year after it', (n) => `FV/${n}/10/2026`, '102', 'FV102102026'],
	['nothing around it', (n) => `${pad(n, 8)}`, '102', '00000102']
])('digits alone find their document in a series with %s', (_, write, digits, key) => {
	expect(keysInFrames(numberFrames(series(write)), digits)).toContain(key);
});

it('the digits that run on lead to every number of a series', () => {
	fc.assert(
		fc.property(
			fc.constantFrom('', 'AK-', 'R26/', 'S', 'No. '),
			fc.constantFrom('', '-26', '/B', '/10/2026'),
			fc.integer({ min: 4, max: 7 }),
			fc.integer({ min: 100, max: 8_000 }),
			(before, after, width, first) => {
				const numbers = Array.from({ length: 20 }, (_, i) => `${before}${pad(first + i, width)}${after}`);
				const frames = numberFrames(numbers);
				for (const [i, number] of numbers.entries())
					expect(keysInFrames(frames, String(first + i))).toContain(referenceKey(number));
			}
		)
	);
});

it('digits that are too many for a series, or nothing but zeros, stand for nothing', () => {
	const frames = numberFrames(series((n) => `AK-${40_000 + n}`));
	expect([keysInFrames(frames, '4010200'), keysInFrames(frames, '0000'), keysInFrames([], '40102')]).toEqual([
		[],
		[],
		[]
	]);
});
