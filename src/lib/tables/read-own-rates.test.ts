import { expect, it } from 'vitest';
import { readOwnRates } from './read-own-rates';

const short = (text: string) => {
	const read = readOwnRates(text);
	return read.ok
		? read.value.map(({ day, currency, units, scale }) => `${day} ${currency} ${units}/${scale}`)
		: read.problems.map((one) => ('line' in one ? `${one.line} ${one.code}` : one.code));
};

it.each<[string, string, string[]]>([
	['our own headings', 'date,currency,rate\n2026-10-29,EUR,0.8580\n', ['2026-10-29 EUR 8580/10000']],
	[
		'a column for each currency; what is left out, and what is none',
		'Date,USD,JPY,Remark\n29 Oct 2026,1.07,,fix\n2026-10-28,1.08,160.5,\n',
		['2026-10-29 USD 107/100', '2026-10-28 USD 108/100', '2026-10-28 JPY 1605/10']
	],
	[
		'a publisher’s own headings, dates and decimals, under a title',
		'Devisenkurse;;\nDatum;Währung;Kurs\n29.10.2026;EUR;0,8580\n29.10.2026;JPY;0,0052\n',
		['2026-10-29 EUR 8580/10000', '2026-10-29 JPY 52/10000']
	],
	[
		'days that their column tells, decimals of all columns together',
		'fecha\tUSD\tJPY\n10/11/2026\t1,0725\t160,123\n29/10/2026\t1,07\t160,1\n',
		[
			'2026-11-10 USD 10725/10000',
			'2026-11-10 JPY 160123/1000',
			'2026-10-29 USD 107/100',
			'2026-10-29 JPY 1601/10'
		]
	],
	['days that could be two', 'date,EUR\n10/11/2026,0.858\n', ['2 csv-field']],
	['numbers that could be two', 'date;JPY\n2026-10-29;1,234\n', ['2 csv-field']],
	['no day', 'currency,rate\nEUR,0.858\n', ['1 csv-column-missing']],
	['a rate that is none', 'Datum;Währung;Kurs\n29.10.2026;EUR;viel\n', ['2 csv-field']]
])('%s', (_, text, want) => expect(short(text)).toEqual(want));
