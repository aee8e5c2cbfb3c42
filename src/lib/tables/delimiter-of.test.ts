import { expect, test } from 'vitest';
import { delimiterOf } from './delimiter-of';

test.each([
	['commas', 'a,b,c\n1,2,3', ','],
	['semicolons, with decimal commas', 'Datum;Betrag\n31.10.2026;1,5\n01.11.2026;2,5', ';'],
	['semicolons, as often as decimal commas', 'Amount;Fee;VAT\n1,00;2,00;3,00', ';'],
	['tabs', 'a\tb\n1\t2', '\t'],
	['tabs, and a name of nothing but a comma', 'Name\tOpen\n,\t0', '\t'],
	['commas within quotes', 'Name;Open\n"Wick, Vale, Loam, Hill";5', ';'],
	[
		'a title with more commas than a row has cells',
		'Items, all, of, the, year, by, name\nNo;Name;Open\n1;A;5\n2;B;6',
		';'
	],
	['one column', 'Number\nAK-1\nAK-2', ','],
	['nothing', '', ',']
])('finds the sign between cells of %s', (_, text, sign) => {
	expect(delimiterOf(text, 20)).toBe(sign);
});

test('looks at no more lines than it is told', () => {
	expect(delimiterOf('a;b\n1,2,3\n1,2,3', 1)).toBe(';');
});
