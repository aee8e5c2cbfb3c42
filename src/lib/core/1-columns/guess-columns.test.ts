import { describe, expect, it, test } from 'vitest';
import { TABLE_FIELDS } from './fields';
import { guessColumns } from './guess-columns';
import { headingKey } from './heading-key';
import { HEADING_LANGUAGES } from './headings';

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
		const grid = rows.map((cells) => ({ cells }));
		expect(guessColumns('customers', ['Code', 'Name', 'Contact', 'X', 'Terms'], grid)).toEqual({
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
