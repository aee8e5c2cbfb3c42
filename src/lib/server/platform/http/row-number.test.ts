import { describe, expect, it } from 'vitest';
import { countIn, rowNumber, rowNumbers } from './row-number';

describe('the number of a row', () => {
	it.each<readonly [string, number | null]>([
		['7', 7],
		['999999999999999', 999_999_999_999_999],
		...['', '0', '-1', '1.5', '1e400', 'NaN', 'Infinity', ' 7', '07', '0x10', '9999999999999999', 'abc'].map(
			(text) => [text, null] as const
		)
	])('“%s”', (text, want) => expect(rowNumber(text)).toBe(want));
	it('where none is named', () => expect([rowNumber(null), rowNumber(undefined)]).toEqual([null, null]));
	it('a count may be nought, and is bounded', () =>
		expect(['0', '100', '999999999', '9999999999', '-1', '1.5', '', null].map(countIn)).toEqual([
			...[0, 100, 999_999_999, null, null, null, null, null]
		]));
	it('of several, and never too many', () => {
		expect(rowNumbers('1,x,,3')).toEqual([1, 3]);
		expect(rowNumbers(null)).toEqual([]);
		expect(rowNumbers('1,'.repeat(100_000))).toHaveLength(500);
	});
});
