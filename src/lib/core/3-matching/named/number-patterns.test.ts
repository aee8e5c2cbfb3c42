import { describe, expect, it } from 'vitest';
import { digitsByPattern, learnNumberPatterns, shapeOf } from './number-patterns';

const series = (make: (n: number) => string) => Array.from({ length: 6 }, (_, i) => make(1_918 + 3 * i));

describe('the firm’s own number patterns', () => {
	it.each<[string, (n: number) => string, string, string]>([
		['a number that looks like a year', (n) => `K.${n}-26`, 'K.1921-26', '1921'],
		['the year before it', (n) => `RE/2026/${n}`, 'RE/2026/0071', '71'],
		['the year run together with it', (n) => `2026${String(n).padStart(5, '0')}`, '202601921', '1921'],
		['a branch before it', (n) => `03-${n}-B`, '03-1924-B', '1924'],
		['leading zeros', (n) => `F${String(n).padStart(8, '0')}`, 'F00000071', '71'],
		['plain digits', (n) => String(4_700_000 + n), '4701921', '4701921']
	])('%s', (_, make, number, digits) =>
		expect(digitsByPattern(number, learnNumberPatterns(series(make)))).toBe(digits)
	);
	it('a shape of which too few are known is read by its longest digits', () => {
		const few = learnNumberPatterns(['K.1921-26', 'K.1924-26']);
		expect(few.size).toBe(0);
		expect(digitsByPattern('AK-40233', few)).toBe('40233');
		expect(digitsByPattern('no digits', few)).toBeNull();
	});
	it('letters belong to a shape, digits do not', () => {
		expect(shapeOf('ak-40233')).toBe(shapeOf('AK-7'));
		expect(shapeOf('AK-40233')).not.toBe(shapeOf('AC-40233'));
	});
});
