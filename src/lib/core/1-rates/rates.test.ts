import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { day } from '../day/day';
import { parseRate } from './parse-rate';
import type { Quote } from './quote';
import { ratesInBase } from './rates-in-base';
import { readRatesTable } from './read-rates-table';
import { readRatesXml } from './read-rates-xml';

const D = day('2026-10-29');
const quote = (currency: string, text: string, on = D): Quote => ({
	...{ line: 1, day: on, currency },
	...parseRate(text)!
});
const shown = (result: ReturnType<typeof ratesInBase>) =>
	result.ok ? result.value.map((one) => `${one.currency} ${one.millionths}`) : result.problems;

test.each([
	['0.8580', 8580n, 10_000n],
	['176', 176n, 1n],
	['1.', null, null],
	['-1', null, null],
	['0', null, null],
	['0.000', null, null],
	['1,08', null, null],
	['1e3', null, null],
	['', null, null]
])('the rate %s', (text, units, scale) => {
	expect(parseRate(text)).toEqual(units === null ? null : { units, scale });
});

describe('rates in base currency', () => {
	it('what one unit is worth is taken as it is', () => {
		expect(shown(ratesInBase([quote('EUR', '0.8580')], { way: 'worth' }, 'GBP'))).toEqual(['EUR 858000']);
	});
	it('of more than a million for one is refused', () => {
		const rate = (text: string) => ratesInBase([quote('EUR', text)], { way: 'worth' }, 'GBP').ok;
		expect([rate('1000000'), rate('1000000.1')]).toEqual([true, false]);
	});
	it('what one of the base buys is turned round', () => {
		const as = { way: 'buys', of: 'GBP' } as const;
		expect(shown(ratesInBase([quote('USD', '1.25'), quote('JPY', '190')], as, 'GBP'))).toEqual([
			'USD 800000',
			'JPY 5263'
		]);
	});
	it('what one of a third currency buys goes over the base of that day', () => {
		const as = { way: 'buys', of: 'EUR' } as const;
		const quotes = [quote('GBP', '0.8580'), quote('USD', '1.0725'), quote('EUR', '1')];
		expect(shown(ratesInBase(quotes, as, 'GBP'))).toEqual(['EUR 858000', 'USD 800000']);
	});
	it('a day without the bridge is a problem once, and nothing is taken', () => {
		const as = { way: 'buys', of: 'EUR' } as const;
		expect(shown(ratesInBase([quote('USD', '1.07'), quote('JPY', '160')], as, 'GBP'))).toEqual([
			{ code: 'rate-bridge-missing', base: 'GBP', of: 'EUR', date: '2026-10-29', line: 1 }
		]);
	});
	it('a rate that rounds to nothing is refused', () => {
		expect(shown(ratesInBase([quote('XOF', '0.0000001')], { way: 'worth' }, 'GBP'))).toMatchObject([
			{ code: 'csv-field', field: 'XOF' }
		]);
	});
	test('turning round twice comes back to the same, to the last place kept', () => {
		fc.assert(
			fc.property(fc.integer({ min: 10_000, max: 50_000_000 }), (millionths) => {
				const text = `${Math.floor(millionths / 1e6)}.${String(millionths % 1e6).padStart(6, '0')}`;
				const once = ratesInBase([quote('USD', text)], { way: 'buys', of: 'GBP' }, 'GBP');
				const worth = once.ok ? once.value[0]!.millionths : 0;
				const plain = 1e12 / millionths;
				expect(Math.abs(worth - plain)).toBeLessThanOrEqual(0.5 + 1e-6);
			})
		);
	});
});

describe('tables', () => {
	const rows = (...cells: Record<string, string>[]) => cells.map((one, i) => ({ line: i + 2, cells: one }));
	const read = (...cells: Record<string, string>[]) => {
		const result = readRatesTable(rows(...cells));
		return result.ok ? result.value.map((one) => `${one.day} ${one.currency} ${one.units}`) : result.problems;
	};
	it('a row for each rate', () => {
		expect(read({ date: '2026-10-29', currency: 'eur', rate: '0.858' })).toEqual(['2026-10-29 EUR 858']);
	});
	it('a column for each currency; columns of none and empty days are left out', () => {
		expect(
			read(
				{ date: '29 October 2026', usd: '1.08', gbp: '0.858', note: 'x', '': '' },
				{ date: '2026-10-28', usd: 'N/A', gbp: '', note: '', '': '' }
			)
		).toEqual(['2026-10-29 USD 108', '2026-10-29 GBP 858']);
	});
	it.each([
		[{ date: '10/11/2026', usd: '1.08' }, 'date'],
		[{ date: '2026-10-29', currency: 'EURO', rate: '1' }, 'currency'],
		[{ date: '2026-10-29', currency: 'EUR', rate: '-1' }, 'rate'],
		[{ date: '2026-10-29', usd: '1,08' }, 'USD']
	])('%o is refused with its line and field', (cells, field) => {
		expect(read(cells as Record<string, string>)).toMatchObject([{ code: 'csv-field', line: 2, field }]);
	});
	it('a table without any rate says so', () => {
		expect(read({ date: '2026-10-29', note: 'x' })).toEqual([{ code: 'part-missing', part: 'rate' }]);
	});
});

describe('XML', () => {
	const read = (xml: string) => {
		const result = readRatesXml(xml);
		return result.ok ? result.value.map((one) => `${one.day} ${one.currency} ${one.units}`) : result.problems;
	};
	it('days around currencies, under any names', () => {
		expect(
			read(
				`<a:Rates xmlns:a="x"><Day time="2026-10-29"><R currency="USD" rate="1.08"/><R currency="GBP" rate="0.858"/></Day><Day time="2026-10-28"><R currency="USD" rate="1.07"/></Day></a:Rates>`
			)
		).toEqual(['2026-10-29 USD 108', '2026-10-29 GBP 858', '2026-10-28 USD 107']);
	});
	it.each([
		['<Rates><Day time="soon"><R currency="USD" rate="1"/></Day></Rates>', 'date-bad'],
		['<Rates><R currency="USD" rate="1"/></Rates>', 'part-missing'],
		['<Rates><Day time="2026-10-29"><R currency="USD" rate="x"/></Day></Rates>', 'csv-field'],
		['<Rates><Day time="2026-10-29">', 'xml-broken'],
		['<!DOCTYPE a [<!ENTITY b "c">]><Rates/>', 'xml-doctype'],
		['  ', 'file-empty'],
		['<Rates/>', 'part-missing']
	])('%s is refused', (xml, code) => {
		expect(read(xml)).toMatchObject([{ code }]);
	});
});
