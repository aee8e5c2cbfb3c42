import fc from 'fast-check';
import { expect, it } from 'vitest';
import type { ReportColumn, ReportRow } from '../model/report';
import { sortRows } from './sort-rows';
import { sumRows } from './sum-rows';

const COLUMNS: readonly ReportColumn[] = [
	{ key: 'customer', kind: 'text', heading: { code: 'customer' } },
	{ key: 'due', kind: 'day', heading: { code: 'due' } },
	{ key: 'currency', kind: 'text', heading: { code: 'currency' } },
	{ key: 'open', kind: 'money', heading: { code: 'open' } }
];
const row = (id: string, currency: string, name: string | null, open: number): ReportRow => ({
	...{ id, currency, cells: [name, '2026-10-01', currency, open] }
});
const ROWS = [
	row('1', 'USD', 'Anvil', 5),
	row('2', 'GBP', 'birch', 9),
	row('3', 'GBP', null, 2),
	row('4', 'EUR', 'Cedar', 1),
	row('5', 'GBP', 'Alder', 9)
];
const ids = (rows: readonly ReportRow[]) => rows.map(({ id }) => id);

it('has the firm’s own currency first, names whichever way they are written, and what has none last', () => {
	expect(ids(sortRows(COLUMNS, ROWS, { by: 'customer', down: false }, 'GBP'))).toEqual([
		'5',
		'2',
		'3',
		'4',
		'1'
	]);
	expect(ids(sortRows(COLUMNS, ROWS, { by: 'customer', down: true }, 'GBP'))).toEqual([
		'2',
		'5',
		'3',
		'4',
		'1'
	]);
	expect(ids(sortRows(COLUMNS, ROWS, { by: 'open', down: true }, 'GBP'))).toEqual(['2', '5', '3', '4', '1']);
	expect(ids(sortRows(COLUMNS, ROWS, { by: 'nothing', down: true }, 'USD'))).toEqual([
		'1',
		'4',
		'2',
		'3',
		'5'
	]);
});

it('sums amounts by currency, and nothing else', () => {
	expect(sumRows(COLUMNS, ROWS).map(({ cells }) => cells)).toEqual([
		[null, null, 'USD', 5],
		[null, null, 'GBP', 20],
		[null, null, 'EUR', 1]
	]);
	expect(sumRows(COLUMNS, [])).toEqual([]);
});

it('loses no row and no penny, however they are sorted', () =>
	fc.assert(
		fc.property(
			fc.array(fc.tuple(fc.constantFrom('GBP', 'EUR', 'JPY'), fc.option(fc.string()), fc.integer())),
			fc.constantFrom('customer', 'open'),
			fc.boolean(),
			(given, by, down) => {
				const rows = given.map(([currency, name, open], n) => row(String(n), currency, name, open));
				const sorted = sortRows(COLUMNS, rows, { by, down }, 'EUR');
				expect(ids(sorted).sort()).toEqual(ids(rows).sort());
				const sums = (all: readonly ReportRow[]) =>
					Object.fromEntries(sumRows(COLUMNS, all).map(({ currency, cells }) => [currency, cells[3]]));
				expect(sums(sorted)).toEqual(sums(rows));
			}
		)
	));
