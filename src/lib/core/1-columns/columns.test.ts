import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { dayOrderOf, readDayAs } from './day-form';
import { TABLE_FIELDS } from './fields';
import { findHeadings } from './find-headings';
import { guessColumns } from './guess-columns';
import { headingKey } from './heading-key';
import { HEADING_LANGUAGES } from './headings';
import { decimalSignOf, readNumberAs } from './number-form';
import { formsOf, readGridRows, type GridRow } from './read-grid-rows';

describe('dates of a column', () => {
	test.each<[string, string[], ReturnType<typeof dayOrderOf>]>([
		['one above 12 tells it for all', ['01/02/2026', '31/10/2026'], 'day-first'],
		['so does one in the middle', ['01/02/2026', '10/31/2026'], 'month-first'],
		['both contradict', ['31/10/2026', '10/31/2026'], null],
		['none tells', ['01/02/2026', '03/04/2026'], 'either'],
		['the same both ways need not be asked', ['01/01/2026', '2/2/26'], 'day-first'],
		['dots put the day first', ['01.02.2026'], 'day-first'],
		['year first needs no order', ['2026-01-02'], 'day-first'],
		['nothing there', [], 'day-first']
	])('%s', (_, texts, want) => expect(dayOrderOf(texts)).toBe(want));
	test.each<[string, 'day-first' | 'month-first', string | null]>([
		['31.10.2026', 'day-first', '2026-10-31'],
		['1.2.26', 'day-first', '2026-02-01'],
		['01/02/2026', 'month-first', '2026-01-02'],
		['2026-10-31', 'month-first', '2026-10-31'],
		['2026/10/31', 'day-first', '2026-10-31'],
		['20261031', 'day-first', '2026-10-31'],
		['2026-10-31T12:30:00', 'day-first', '2026-10-31'],
		['31/10/2026 00:00', 'day-first', '2026-10-31'],
		['31 Oct 2026', 'day-first', '2026-10-31'],
		['31-Okt-26', 'day-first', '2026-10-31'],
		['3 août 2026', 'day-first', '2026-08-03'],
		['3 juillet 2026', 'day-first', '2026-07-03'],
		['3 juin 2026', 'day-first', '2026-06-03'],
		['1 März 2026', 'day-first', '2026-03-01'],
		['31.02.2026', 'day-first', null],
		['10/31/2026', 'day-first', null],
		['31/10-2026', 'day-first', null],
		['2026-1031', 'day-first', null],
		['soon', 'day-first', null],
		['', 'day-first', null],
		['1'.repeat(100_000), 'day-first', null]
	])('%s, %s', (text, order, want) => expect(readDayAs(text, order)).toBe(want));
	it('what is written in an order is read in it', () =>
		fc.assert(
			fc.property(
				fc.date({ min: new Date('2000-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
				fc.constantFrom('/', '-', '.'),
				(date, sign) => {
					const iso = date.toISOString().slice(0, 10);
					const [year, month, day] = iso.split('-');
					expect(readDayAs([day, month, year].join(sign), 'day-first')).toBe(iso);
					expect(readDayAs([month, day, year].join(sign), 'month-first')).toBe(iso);
					expect(readDayAs([year, month, day].join(sign), 'month-first')).toBe(iso);
				}
			)
		));
});

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

describe('headings', () => {
	it.each(HEADING_LANGUAGES.map((one, at) => [at, one] as const))(
		'of language %i are written as they are compared',
		(_, one) => {
			for (const words of Object.values(one.fields))
				for (const word of words) expect(word).toBe(headingKey(word));
		}
	);
	test.each<[string, 'documents' | 'customers', string, Record<string, string>]>([
		[
			'our own',
			'documents',
			'number,kind,customer_code,issue_date,due_date,currency,total,open',
			{ number: 'number', customer_code: 'customer_code', open: 'open', total: 'total', kind: 'kind' }
		],
		[
			'English',
			'documents',
			'Account,Customer,Doc No,Type,Doc Date,Due,Gross,Outstanding,Your Ref',
			{
				customer_code: 'Account',
				number: 'Doc No',
				kind: 'Type',
				issue_date: 'Doc Date',
				due_date: 'Due',
				total: 'Gross',
				open: 'Outstanding',
				purchase_order: 'Your Ref'
			}
		],
		[
			'German',
			'documents',
			'Kunden-Nr.,Name,Rg.-Nr.,Rechnungsdatum,Fällig am,Rechnungsbetrag,Offen,Währung',
			{
				customer_code: 'Kunden-Nr.',
				number: 'Rg.-Nr.',
				issue_date: 'Rechnungsdatum',
				due_date: 'Fällig am',
				total: 'Rechnungsbetrag',
				open: 'Offen',
				currency: 'Währung'
			}
		],
		[
			'French',
			'documents',
			'Code client,N° facture,Date facture,Échéance,Montant TTC,Reste dû,Devise',
			{
				customer_code: 'Code client',
				number: 'N° facture',
				issue_date: 'Date facture',
				due_date: 'Échéance',
				total: 'Montant TTC',
				open: 'Reste dû',
				currency: 'Devise'
			}
		],
		[
			'Dutch customers',
			'customers',
			'Debiteurnummer,Bedrijfsnaam,Adres,E-mailadres,IBAN,Betalingstermijn',
			{
				code: 'Debiteurnummer',
				name: 'Bedrijfsnaam',
				address: 'Adres',
				email: 'E-mailadres',
				payer_accounts: 'IBAN',
				terms_days: 'Betalingstermijn'
			}
		],
		[
			'one sum',
			'documents',
			'Invoice No,Customer No,Date,Amount',
			{ open: 'Amount', number: 'Invoice No', customer_code: 'Customer No' }
		]
	])('in %s', (_, kind, line, want) => {
		const names = line.split(',');
		const columns = guessColumns(kind, names, []);
		const told = Object.fromEntries(Object.entries(columns).map(([key, at]) => [key, names[at]]));
		expect(told).toMatchObject(want);
	});
	it('values tell what the headings do not, and forbid what cannot be', () => {
		const rows = [
			['H1', 'Hazel', 'a@hazel.example', 'EUR', 'soon'],
			['W2', 'Wicker', 'b@wicker.example', 'GBP', 'later']
		];
		expect(guessColumns('customers', ['Code', 'Name', 'Contact', 'X', 'Terms'], rows)).toEqual({
			...{ code: 0, name: 1, email: 2, currency: 3 }
		});
	});
	it('every kind of table has a field that it cannot do without, and each field once', () => {
		for (const fields of Object.values(TABLE_FIELDS)) {
			expect(fields.some((field) => field.needed)).toBe(true);
			expect(new Set(fields.map((field) => field.key)).size).toBe(fields.length);
		}
	});
});

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
	it('has its headings below a title, and its totals left out', () => {
		const found = findHeadings('documents', ITEMS)!;
		expect(found.line).toBe(3);
		const forms = formsOf('documents', found.columns, found.rows);
		expect(forms).toEqual({ dayOrder: 'day-first', decimalSign: ',' });
		const read = readGridRows('documents', found.rows, {
			...{ columns: found.columns, dayOrder: 'day-first', decimalSign: ',', currency: 'EUR' }
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
			currency: 'EUR'
		}).rows;
		expect(row!.cells).toMatchObject({ issue_date: '31.02.2026', kind: 'Lieferschein', open: 'zwölf' });
	});
	it('without any line of two cells has no headings', () =>
		expect(findHeadings('customers', grid('a', '', 'b'))).toBeNull());
});
