import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { DayOrder } from './day-form';
import { findHeadings } from './find-headings';
import type { DecimalSign } from './number-form';
import { formsOf, readGridRows, type GridRow, type TableReading } from './read-grid-rows';

describe('a table', () => {
	const grid = (...lines: string[]): GridRow[] =>
		lines.map((text, at) => ({ line: at + 1, cells: text.split(';') }));
	const ITEMS = grid(
		'Offene Posten;;;;',
		'Stand;31.10.2026;;;',
		'Kunde;Rg.-Nr.;Datum;Art;Offen',
		'H1;4711;31.10.2026;Rechnung;1.200,00',
		'H1;4712;01.10.2026;Gutschrift;-45,40',
		'W2;4713;02.10.2026;;-7,00',
		'Summe;;;;1.147,60'
	);
	it('may have documents of which nothing is open: they are left out, and said', () => {
		const rows = ['0', '0.00', '-0.00', '0.01'].map((open, i) => ({
			line: i + 2,
			cells: ['H1', `AK-${i}`, '2026-10-01', open]
		}));
		const read = readGridRows('documents', rows, {
			columns: { customer_code: 0, number: 1, issue_date: 2, open: 3 },
			...{ dayOrder: 'day-first', decimalSign: '.', currency: 'GBP', currencyIsSaid: false }
		});
		expect([read.settled, read.leftOut, read.rows.map((row) => row.line), read.problems]).toEqual([
			[2, 3, 4],
			[],
			[5],
			[]
		]);
	});
	it('may write what was received as credits: all below zero, or none', () => {
		const read = (...amounts: string[]) =>
			readGridRows(
				'history',
				amounts.map((text, i) => ({ line: i + 2, cells: ['H1', '2026-10-01', text] })),
				{
					columns: { customer_code: 0, date: 1, amount: 2 },
					...{ dayOrder: 'day-first', decimalSign: ',', currency: 'GBP', currencyIsSaid: false }
				}
			).rows.map((row) => row.cells['amount']);
		expect(read('-1.200,00', '7,50-')).toEqual(['1200.00', '7.50']);
		// One among others came back, or is a mistake: the reader refuses it with its line.
		expect(read('1.200,00', '-7,50')).toEqual(['1200.00', '-7.50']);
	});
	it('has its headings below a title, and its totals left out', () => {
		const found = findHeadings('documents', ITEMS)!;
		expect(found.line).toBe(3);
		const forms = formsOf('documents', found.columns, found.rows);
		expect(forms).toEqual({ dayOrder: 'day-first', decimalSign: ',' });
		const read = readGridRows('documents', found.rows, {
			...{
				columns: found.columns,
				dayOrder: 'day-first',
				decimalSign: ',',
				currency: 'EUR',
				currencyIsSaid: false
			}
		});
		expect(read.leftOut).toEqual([7]);
		expect(
			read.rows.map(({ line, cells }) => [
				line,
				cells['number'],
				cells['kind'],
				cells['issue_date'],
				cells['open'],
				cells['total'],
				cells['currency']
			])
		).toEqual([
			[4, '4711', 'invoice', '2026-10-31', '1200.00', '1200.00', 'EUR'],
			[5, '4712', 'credit_note', '2026-10-01', '45.40', '45.40', 'EUR'],
			[6, '4713', 'credit_note', '2026-10-02', '7.00', '7.00', 'EUR']
		]);
	});
	it('keeps what it cannot read, for the reader to say so', () => {
		const rows = grid('H1;4711;31.02.2026;Lieferschein;zwölf');
		const columns = { customer_code: 0, number: 1, issue_date: 2, kind: 3, open: 4 };
		const [row] = readGridRows('documents', rows, {
			columns,
			dayOrder: 'day-first',
			decimalSign: ',',
			currency: 'EUR',
			currencyIsSaid: false
		}).rows;
		expect(row!.cells).toMatchObject({ issue_date: '31.02.2026', kind: 'Lieferschein', open: 'zwölf' });
	});
	it('without any line of two cells has no headings', () =>
		expect(findHeadings('customers', grid('a', '', 'b'))).toBeNull());

	const READING: TableReading = {
		columns: { customer_code: 0, number: 1, issue_date: 2, kind: 3, currency: 4, open: 5, total: 6 },
		...{ dayOrder: 'day-first', decimalSign: '.', currency: 'GBP', currencyIsSaid: false }
	};
	const WITHOUT_CURRENCY: TableReading = {
		...READING,
		columns: { customer_code: 0, number: 1, issue_date: 2, kind: 3, open: 5, total: 6 }
	};
	const one = (cells: string, reading = READING) =>
		readGridRows('documents', grid(`H1;4711;31.10.2026;${cells}`), reading);

	it.each([
		['its own column', ';EUR;5;5', READING, 'EUR'],
		['a sign in its own column', ';€;5;5', READING, 'EUR'],
		['its own column, with dollars', ';AUD;$5;5', READING, 'AUD'],
		['what the sum is written with', ';;€5;5', WITHOUT_CURRENCY, 'EUR'],
		['the code behind the sum', ';;5;5 USD', WITHOUT_CURRENCY, 'USD'],
		['the firm, where nothing else does', ';;5;5', WITHOUT_CURRENCY, 'GBP'],
		[
			'a person, for all rows',
			';;€5;5',
			{ ...WITHOUT_CURRENCY, currency: 'EUR', currencyIsSaid: true },
			'EUR'
		]
	])('has its currency from %s', (_, cells, reading, currency) => {
		const { rows, problems } = one(cells, reading);
		expect([rows[0]?.cells['currency'], rows[0]?.cells['open'], problems]).toEqual([currency, '5', []]);
	});
	it.each<[string, string, TableReading, string, RegExp]>([
		['written with another currency', ';EUR;£5;5', READING, 'open', /another than that of its row, EUR/],
		['of which two are written with two', ';;€5;£5', WITHOUT_CURRENCY, 'total', /of its row, EUR/],
		['in dollars of nobody knows where', ';;$5;5', WITHOUT_CURRENCY, 'open', /of its row, GBP/],
		[
			'in another than a person said',
			';;$5;5',
			{ ...WITHOUT_CURRENCY, currencyIsSaid: true },
			'open',
			/row, GBP/
		],
		['with different signs', ';GBP;-5;5', READING, 'open', /its sign is another/],
		['called an invoice, below zero', 'Invoice;GBP;-5;-5', READING, 'open', /called no credit note/],
		['called a charge, below zero', 'charge;GBP;-5;-5', READING, 'open', /called no credit note/]
	])('a sum %s is refused, never guessed', (_, cells, reading, field, why) => {
		const { rows, problems } = one(cells, reading);
		expect(rows).toEqual([]);
		expect(problems).toHaveLength(1);
		expect(problems[0]).toMatchObject({
			code: 'csv-field',
			field,
			line: 1,
			why: expect.stringMatching(why) as string
		});
	});
	it.each([
		['Credit note', '5', 'credit_note'],
		['Credit note', '-5', 'credit_note'],
		['Gutschrift', '-5', 'credit_note'],
		['', '-5', 'credit_note'],
		['', '5', 'invoice'],
		['FACTURE', '5', 'invoice'],
		['Mahngebühr', '5', 'charge'],
		['Lieferschein', '5', 'Lieferschein']
	])('a document called “%s” over %s is %s', (word, sum, kind) => {
		const { rows } = one(`${word};GBP;${sum};${sum}`);
		expect([rows[0]!.cells['kind'], rows[0]!.cells['open']]).toEqual([kind, '5']);
	});
	it.each([
		['30', '30'],
		['30 Tage netto', '30'],
		['net 30', '30'],
		['14 jours', '14'],
		['2,5 %', '2.5'],
		['2% 10, net 30', '2% 10, net 30'],
		['30 EOM', '30 EOM'],
		['-5', '-5'],
		['soon', 'soon'],
		['', '']
	])('terms of “%s” are %s', (text, want) => {
		const columns = { code: 0, name: 1, terms_days: 2 };
		const { rows } = readGridRows('customers', grid(`H1;Hazel;${text}`), { ...READING, columns });
		expect(rows[0]!.cells['terms_days']).toBe(want);
	});
	it('what is written is read, whatever the firm’s forms', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 99_999_999 }),
				fc.constantFrom<DecimalSign>('.', ','),
				fc.constantFrom<DayOrder>('day-first', 'month-first'),
				fc.boolean(),
				(cents, decimalSign, dayOrder, credit) => {
					const text = (cents / 100).toFixed(2);
					const sum = `${credit ? '-' : ''}${text.replace('.', decimalSign)}`;
					const day = dayOrder === 'day-first' ? '31/10/2026' : '10/31/2026';
					const { rows } = readGridRows('documents', grid(`H1;7;${day};;;${sum};`), {
						...READING,
						...{ decimalSign, dayOrder }
					});
					expect(rows[0]!.cells).toMatchObject({
						...{ issue_date: '2026-10-31', open: text, total: text, kind: credit ? 'credit_note' : 'invoice' }
					});
				}
			)
		));
});
