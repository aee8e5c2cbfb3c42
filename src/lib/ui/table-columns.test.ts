import { describe, expect, it, test } from 'vitest';
import { asPastedText, compareValues, nextSorting, readSorting, type TableColumn } from './table-columns';

describe('sorting in an address', () => {
	test.each([
		['late', { by: 'late', down: false }],
		['-late', { by: 'late', down: true }],
		['name', { by: 'name', down: false }],
		['--late', null],
		['password', null],
		['', null],
		[null, null]
	])('%s is %o', (text, want) => expect(readSorting(text, ['late', 'name'])).toEqual(want));

	it('goes upwards, downwards, and back to how it was', () => {
		const steps = [nextSorting(null, 'late')];
		while (steps.at(-1) !== null) steps.push(nextSorting(readSorting(steps.at(-1)!, ['late']), 'late'));
		expect(steps).toEqual(['late', '-late', null]);
		expect(nextSorting({ by: 'name', down: true }, 'late')).toBe('late');
	});
});

test.each([
	[
		[10, 9, -3],
		[-3, 9, 10]
	],
	[
		['AK-10', 'ak-9', 'AB-1'],
		['AB-1', 'ak-9', 'AK-10']
	],
	[
		['Östra', 'Oak', 'Zinn'],
		['Oak', 'Östra', 'Zinn']
	]
])('%o is sorted as %o', (given, want) => expect([...given].sort(compareValues)).toEqual(want));

describe('rows for a spreadsheet', () => {
	const none = (() => undefined) as never;
	const columns: TableColumn<{ name: string; open: number }>[] = [
		{ id: 'mark', name: '', cell: none },
		{ id: 'name', name: 'Customer', cell: none, value: (row) => row.name },
		{
			id: 'open',
			name: 'Open',
			cell: none,
			value: (row) => row.open,
			copied: (row) => (row.open / 100).toFixed(2)
		}
	];

	it('have a line each and the headings first, without columns that only hold a mark', () =>
		expect(asPastedText(columns, [{ name: 'Marlpit Foods', open: 120_050 }])).toBe(
			'Customer\tOpen\nMarlpit Foods\t1200.50'
		));

	test.each([
		['=HYPERLINK("x")', '\'=HYPERLINK("x")'],
		['+44 1632', "'+44 1632"],
		['@sum', "'@sum"],
		['-SUM(A1)', "'-SUM(A1)"],
		['-12.50', '-12.50'],
		['two\tcells\nand lines', 'two cells and lines']
	])('%s is a plain cell', (name, want) =>
		expect(asPastedText(columns, [{ name, open: 0 }]).split('\n')[1]).toBe(`${want}\t0.00`)
	);
});
