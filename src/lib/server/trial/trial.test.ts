import { readCustomers, readDocuments, readHistory } from '../../core/1-open-items/testing-all-rows';
import { describe, expect, it } from 'vitest';
import { parseTable } from '../../tables/parse-table';
import { readBankFile } from '../receipts/store/read-bank-file';
import { bankXml, credit } from '../testing';
import { runTrial } from './run-trial';

async function trial(customers: string, documents: string, entries: Parameters<typeof bankXml>[0]) {
	const people = parseTable(customers, []);
	const owed = parseTable(documents, []);
	const read = await readBankFile('bank.xml', [Buffer.from(bankXml(entries))]);
	if (!people.ok || !owed.ok || !read.ok) throw new Error('the sample is wrong');
	const [c, d] = [readCustomers(people.value), readDocuments(owed.value)];
	if (!c.ok || !d.ok) throw new Error('the sample is wrong');
	return runTrial({ customers: c.value, documents: d.value, statements: read.value.statements });
}
const CUSTOMERS = 'code,name,currency,payer_accounts,parent_code\nH1,Hazel,GBP,ACCH1,\nB1,Branch,GBP,,H1\n';
const DOCUMENTS = [
	'number,kind,customer_code,issue_date,due_date,currency,total,open,instalments',
	'AK-1001,invoice,H1,2026-09-01,2026-10-01,GBP,10.00,10.00,',
	'AK-1002,invoice,H1,2026-09-01,2026-10-01,GBP,90.00,60.00,2026-10-01 45.00|2026-11-01 45.00',
	'AC-1003,credit_note,H1,2026-09-01,2026-10-01,GBP,4.00,4.00,',
	''
].join('\n');

describe('a trial run', () => {
	it('answers as Money in would, in decimals, and leaves out money that went', async () => {
		const result = await trial(CUSTOMERS, DOCUMENTS, [
			credit(1000, 'AK-1001', { reference: 'E1' }),
			credit(-500, 'CHARGES', { reference: 'E2' }),
			credit(777, 'who knows', { reference: 'E3', account: 'X', name: 'Stranger' })
		]);
		if (!result.ok) throw new Error('refused');
		expect(result.value.receipts[0]).toMatchObject({
			entryRef: 'E1',
			bookingDate: '2026-10-28',
			amount: '10.00',
			band: 'certain',
			customer: 'H1',
			allocations: [{ invoice: 'AK-1001', cash: '10.00', differences: [] }],
			onAccount: '0.00',
			otherAnswers: 0
		});
		expect(result.value.receipts[0]!.reasons.length).toBeGreaterThan(0);
		expect(result.value.receipts.map((one) => [one.entryRef, one.band, one.customer])).toEqual([
			['E1', 'certain', 'H1'],
			['E3', 'none', null]
		]);
		expect(result.value.summary).toEqual({ receipts: 2, certain: 1, likely: 0, choose: 0, none: 1 });
	});
	it('keeps cash and what is on account equal to what came', async () => {
		const result = await trial(CUSTOMERS, DOCUMENTS, [
			credit(5600, 'AK-1002 less AC-1003', { reference: 'E1' }),
			credit(9999, 'AK-1001', { reference: 'E2' })
		]);
		if (!result.ok) throw new Error('refused');
		for (const one of result.value.receipts) {
			const cash = one.allocations.reduce((sum, part) => sum + Math.round(Number(part.cash) * 100), 0);
			expect(cash + Math.round(Number(one.onAccount) * 100)).toBe(Math.round(Number(one.amount) * 100));
		}
	});
	it('takes what was paid before off the earliest instalment', async () => {
		const result = await trial(CUSTOMERS, DOCUMENTS, [credit(6000, 'AK-1002', { reference: 'E1' })]);
		expect(result.ok && result.value.receipts[0]!.allocations.map((part) => part.cash)).toEqual([
			'15.00',
			'45.00'
		]);
	});
	it('refuses customers that are not there, naming the line', async () => {
		const result = await trial(CUSTOMERS, DOCUMENTS.replace(',H1,', ',Q9,'), []);
		expect(result.ok ? [] : result.problems).toEqual([
			{ code: 'code-unknown', what: 'customer', text: 'Q9', line: 2 }
		]);
	});
});

describe('what was settled before', () => {
	const read = (text: string) => {
		const rows = parseTable(text, []);
		return rows.ok ? readHistory(rows.value) : rows;
	};
	it('teaches who pays, and which numbers are settled', async () => {
		const row = 'KILN CORNER,NEWACC,H1,2026-08-01,5.00,GBP,AK-900|AK-901';
		const history = read(
			`payer_name,payer_account,customer_code,date,amount,currency,invoice_numbers\n${row}\n${row}\n`
		);
		if (!history.ok) throw new Error('refused');
		const people = parseTable(CUSTOMERS, []);
		const owed = parseTable(DOCUMENTS, []);
		const bank = bankXml([
			credit(1000, 'AK-1001', { reference: 'E1', account: 'NEWACC' }),
			credit(500, 'AK-901', { reference: 'E2', account: 'NEWACC' })
		]);
		const file = await readBankFile('bank.xml', [Buffer.from(bank)]);
		if (!people.ok || !owed.ok || !file.ok) throw new Error('the sample is wrong');
		const [c, d] = [readCustomers(people.value), readDocuments(owed.value)];
		if (!c.ok || !d.ok) throw new Error('the sample is wrong');
		const { statements } = file.value;
		const result = runTrial({ customers: c.value, documents: d.value, statements, history: history.value });
		if (!result.ok) throw new Error('refused');
		expect(result.value.receipts.map((one) => [one.band, one.customer])).toEqual([
			['certain', 'H1'],
			['choose', 'H1']
		]);
		expect(result.value.receipts[1]!.reasons.join(' ')).toContain('is settled');
	});
	it('names line and field of what cannot be read', () => {
		const bad = read('customer_code,date,amount,currency\nH1,31.8.2026,5.00,GBP\nH1,2026-08-01,five,GBP\n');
		expect(bad.ok ? [] : bad.problems).toMatchObject([
			{ code: 'csv-field', field: 'date', line: 2 },
			{ code: 'csv-field', field: 'amount', line: 3 }
		]);
	});
});
