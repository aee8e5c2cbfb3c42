import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { decimalSignOf, readNumberAs } from './number-form';

describe('numbers of a column', () => {
	test.each<[string, string[], ReturnType<typeof decimalSignOf>]>([
		['two decimals', ['1043,20', '12'], ','],
		['grouped and decimals', ['1.043,20'], ','],
		['grouped twice', ['1.043.200'], ','],
		['one of them tells it for all', ['1.234', '5,50'], ','],
		['each could be both', ['1.234', '5.678'], 'either'],
		['a nought before it is no group', ['0.234'], '.'],
		['none has one', ['12', '7'], '.'],
		['both contradict', ['1,50', '1.50'], null],
		['an apostrophe groups', ["1'043.20"], '.'],
		['nothing there', [], '.']
	])('%s', (_, texts, want) => expect(decimalSignOf(texts)).toBe(want));
	test.each<[string, '.' | ',', string | null]>([
		['1,200.00', '.', '1200.00'],
		['1.200,00', ',', '1200.00'],
		['1 200,00 €', ',', '1200.00'],
		['EUR 1.200,00', ',', '1200.00'],
		['£1,200.00', '.', '1200.00'],
		['-£5.00', '.', '-5.00'],
		['1.043,20-', ',', '-1043.20'],
		['(45.40)', '.', '-45.40'],
		['\u221212', '.', '-12'],
		['.50', '.', '0.50'],
		['1,20.00', '.', null],
		['12,34', '.', null],
		['1.2.3', '.', null],
		['--5', '.', null],
		['-5-', '.', null],
		['(5', '.', null],
		['five', '.', null],
		['12EUR34', '.', null],
		['EUR 5 GBP', '.', null],
		['(-5)', '.', null],
		['EUR -5', '.', '-5'],
		['5- €', '.', '-5'],
		['+5', '.', '5'],
		['.', '.', null],
		['', '.', null],
		['9'.repeat(100_000), '.', null]
	])('%s with %s', (text, sign, want) => expect(readNumberAs(text, sign)).toBe(want));
	it('what is written in a form is read in it, and the form is found from what is written', () =>
		fc.assert(
			fc.property(
				fc.array(fc.integer({ min: -999_999_999, max: 999_999_999 }), { minLength: 1 }),
				fc.constantFrom<['.' | ',', string]>(['.', ','], [',', '.'], [',', ' '], ['.', '’']),
				(amounts, [sign, group]) => {
					const texts = amounts.map((amount) => {
						const [whole, decimals] = (Math.abs(amount) / 100).toFixed(2).split('.') as [string, string];
						const grouped = whole.replace(/\B(?=(\d{3})+$)/g, group);
						return `${amount < 0 ? '-' : ''}${grouped}${sign}${decimals}`;
					});
					expect(decimalSignOf(texts)).toBe(sign);
					expect(texts.map((text) => Math.round(Number(readNumberAs(text, sign)) * 100) + 0)).toEqual(
						amounts.map((amount) => amount + 0)
					);
				}
			)
		));
});
