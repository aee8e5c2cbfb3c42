import { describe, expect, it } from 'vitest';
import { bankXml, credit } from '../testing';
import type { TrialFiles } from './read-trial-files';
import { tryFiles } from './try-files';

const bytes = (text: string) => new TextEncoder().encode(text);
const source = (file: string, text: string) => ({ file, content: bytes(text) });
const CUSTOMERS = source('kunden.csv', 'Kundennr.;Name;IBAN\nH1;Hazel;ACCH1\nW2;Wicker;ACCW2\n');
const INVOICES = source(
	'offen.csv',
	'Rechnungsnr.;Kundennr.;Datum;Offener Betrag\nAK-1001;H1;31.08.2026;1.200,50\nAK-1002;W2;01.09.2026;8,00\n'
);
const BANK = source('bank.xml', bankXml([credit(120050, 'AK-1001', { reference: 'E1' })]));
const files = (over: Partial<TrialFiles> = {}): TrialFiles => ({
	...{ customers: CUSTOMERS, invoices: INVOICES, bank: [BANK], history: null, currency: 'GBP' },
	answers: { customers: [], documents: [], history: [], 'bank-table': [] },
	...over
});
async function tried(over: Partial<TrialFiles> = {}) {
	const result = await tryFiles(files(over));
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
}

describe('files of a trial run', () => {
	it('have the firm’s own headings, dates and amounts', async () => {
		const { answered } = await tried();
		expect(answered).toMatchObject({ customers: 2, documents: 2, summary: { certain: 1 } });
		expect(answered!.receipts[0]).toMatchObject({
			customer: 'H1',
			allocations: [{ invoice: 'AK-1001', cash: '1200.50' }]
		});
	});
	it('ask which column is which, and say meanwhile what is wrong elsewhere; what is said is read', async () => {
		const customers = source('wer.csv', 'Wer;Firmenname\nH1;Hazel\nW2;Wicker\n');
		const bank = [source('bank.xml', '<Document')];
		const { answered, tables, problems } = await tried({ customers, bank });
		expect(answered).toBeNull();
		expect(tables[0]).toMatchObject({ kind: 'customers', seen: { asks: { fields: ['code'] } } });
		expect(problems).toMatchObject([{ file: 'bank.xml' }]);
		const { key: headings } = tables[0]!.seen;
		const answer = {
			headings,
			columns: { code: 0, name: 1 },
			dayOrder: null,
			decimalSign: null,
			currency: null
		};
		const said = await tried({ customers, answers: { ...files().answers, customers: [answer] } });
		expect(said.answered).toMatchObject({ customers: 2 });
	});
	it('take a bank’s own table, whichever account it names, beside files of other formats', async () => {
		const text =
			'Buchungstag;Betrag;Verwendungszweck;Auftraggeber;Konto\n28.10.2026;8,00;AK-1002;Wicker;DE99ZZ01\n';
		const { answered, tables } = await tried({ bank: [BANK, source('umsatz.csv', text)] });
		expect(answered?.receipts.map((one) => [one.amount, one.customer])).toEqual([
			['1200.50', 'H1'],
			['8.00', 'W2']
		]);
		expect(tables.map(({ kind }) => kind)).toEqual(['customers', 'documents', 'bank-table']);
	});
	it('learn from payments up to the day of the trial alone', async () => {
		const history = source(
			'zahlungen.csv',
			'customer_code,date,amount,currency,payer_account\nW2,2026-10-01,7.00,GBP,NEWACC\nH1,2026-10-20,7.00,GBP,NEWACC\n'
		);
		const bank = [source('b.xml', bankXml([credit(700, 'thanks', { reference: 'E1', account: 'NEWACC' })]))];
		const of = async (today: string) => {
			const result = await tryFiles(files({ history, bank }), { today: today as never });
			return result.ok ? result.value.answered?.receipts[0]?.customer : result.problems;
		};
		expect(await of('2026-10-10')).toBe('W2');
		expect(await of('2026-09-10')).toBeNull();
	});
	it('name the file and line of what cannot be read', async () => {
		const invoices = source(
			'offen.csv',
			'Rechnungsnr.;Kundennr.;Datum;Offener Betrag\nA;Q9;31.08.2026;1,00\n'
		);
		expect(await tryFiles(files({ invoices }))).toEqual({
			ok: false,
			problems: [{ code: 'code-unknown', what: 'customer', text: 'Q9', line: 2, file: 'offen.csv' }]
		});
		const bad = source(
			'offen.csv',
			'Rechnungsnr.;Kundennr.;Datum;Offener Betrag\nA;H1;31.08.2026;1,00\nB;H1;31.08.2026;viel\n'
		);
		expect(await tryFiles(files({ invoices: bad }))).toMatchObject({
			ok: false,
			problems: [{ file: 'offen.csv', line: 3 }]
		});
	});
});
