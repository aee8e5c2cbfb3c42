import fc from 'fast-check';
import { expect, test } from 'vitest';
import { age } from '../6-reports/age';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { toDecimal } from '../money/to-decimal';
import { sampleItem } from '../model/sample-item';
import { parseXml, type XmlElement } from '../xml/parse-xml';
import type { Activity, Letter } from './letter';
import { statementUbl } from './statement-ubl';
import { writeLetter } from './write-letter';

const today = day('2026-10-30');
type Own = {
	readonly open: number;
	readonly number: string;
	readonly kind: 'invoice' | 'credit_note' | 'charge';
};

function statement(items: readonly Own[], activity?: Activity): Letter {
	const letter = writeLetter('statement', {
		items: items.map(({ open, number, kind }, n) =>
			sampleItem(open, open, {
				id: n + 1,
				number,
				kind,
				due: day('2026-10-01'),
				purchaseOrder: n % 2 ? 'PO <7>' : null
			})
		),
		...{ credits: [{ date: day('2026-10-20'), open: minor(40) }], dated: [], date: today, currency: 'GBP' },
		...{ language: 'en', payments: new Map(), note: 'Please & thank you' },
		pay: { account: { iban: 'GB00ZZAM1234', bic: 'ZZAMGB2L', bank: 'Mere' }, link: null },
		customer: { id: 1, code: 'H1', name: 'Hazel <b> & Co', address: ['1 Mill Lane', 'Tarn'] },
		firm: { name: 'Ashlock', address: ['Kiln Yard'], email: 'a@b.example', phone: '01', registration: '' },
		...(activity
			? { activity, statement: { kind: 'activity' as const, from: day('2026-10-01'), to: today } }
			: {}),
		age: (rows) => age(rows, today, [30, 60, 90])
	});
	if (!letter.ok) throw new Error('refused');
	return letter.value;
}

function read(letter: Letter): XmlElement {
	const parsed = parseXml(statementUbl(letter, 'H1-1'));
	if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems));
	return parsed.value;
}
const all = (root: XmlElement, name: string): XmlElement[] =>
	root.children.flatMap((one) => [...(one.name === name ? [one] : []), ...all(one, name)]);
const pence = (element: XmlElement | undefined) => Math.round(Number(element?.text ?? 0) * 100);
const one = (root: XmlElement, name: string) => root.children.find((child) => child.name === name);

/** The order in which elements stand (UBL 2.1, UBL-Statement-2.1.xsd and UBL-CommonAggregateComponents-2.1.xsd). */
const ORDER: Readonly<Record<string, readonly string[]>> = {
	Statement: [
		...['UBLVersionID', 'ID', 'IssueDate', 'Note', 'DocumentCurrencyCode', 'TotalDebitAmount'],
		...['TotalCreditAmount', 'TotalBalanceAmount', 'LineCountNumeric', 'StatementPeriod'],
		...['AccountingSupplierParty', 'AccountingCustomerParty', 'PaymentMeans', 'StatementLine']
	],
	StatementLine: [
		...['ID', 'Note', 'BalanceBroughtForwardIndicator', 'DebitLineAmount', 'CreditLineAmount'],
		...['BalanceAmount', 'PaymentTerms', 'BillingReference', 'DocumentReference']
	],
	AccountingCustomerParty: ['SupplierAssignedAccountID', 'Party'],
	Party: ['PartyName', 'PostalAddress', 'Contact'],
	PaymentMeans: ['PaymentMeansCode', 'PaymentID', 'PayeeFinancialAccount'],
	PayeeFinancialAccount: ['ID', 'FinancialInstitutionBranch'],
	InvoiceDocumentReference: ['ID', 'IssueDate'],
	CreditNoteDocumentReference: ['ID', 'IssueDate']
};
function inOrder(element: XmlElement): void {
	const order = ORDER[element.name];
	if (order) {
		const at = element.children.map((child) => order.indexOf(child.name));
		expect(at, element.name).not.toContain(-1);
		expect(at).toEqual([...at].sort((a, b) => a - b));
	}
	for (const child of element.children) inOrder(child);
}

const items = fc.array(
	fc.record({
		open: fc.integer({ min: 1, max: 1_000_000 }),
		number: fc
			.string({ minLength: 1, maxLength: 12 })
			.map((text) => text.replace(/[^\x20-\x7e]/g, '-').trim() || 'A'),
		kind: fc.constantFrom('invoice' as const, 'credit_note' as const, 'charge' as const)
	}),
	{ minLength: 1, maxLength: 8 }
);

test('lines come to the totals, and those to the balance of the paper, whatever is open', () => {
	fc.assert(
		fc.property(items, (open) => {
			const letter = statement(open);
			const root = read(letter);
			inOrder(root);
			const [debit, credit] = [one(root, 'TotalDebitAmount'), one(root, 'TotalCreditAmount')].map(pence);
			expect(debit! - credit!).toBe(letter.owed);
			expect(one(root, 'TotalBalanceAmount')?.text).toBe(toDecimal(letter.owed, 'GBP'));
			const lines = root.children.filter((child) => child.name === 'StatementLine');
			expect(one(root, 'LineCountNumeric')?.text).toBe(String(lines.length));
			const sum = lines.reduce(
				(so, line) => so + pence(one(line, 'DebitLineAmount')) - pence(one(line, 'CreditLineAmount')),
				0
			);
			expect(sum).toBe(letter.owed);
			expect(
				all(root, 'InvoiceDocumentReference').length + all(root, 'CreditNoteDocumentReference').length
			).toBe(open.length);
		})
	);
});

test('one of a period begins with what was brought forward and ends with the closing balance', () => {
	const movements = [
		{ kind: 'invoice' as const, reference: 'AK-1', amount: minor(5000) },
		{ kind: 'payment' as const, reference: 'BACS', amount: minor(-7000) },
		{ kind: 'credit_note' as const, reference: 'AC-1', amount: minor(-500) }
	].map((part) => ({ ...part, date: day('2026-10-10'), text: '', settles: [] }));
	const activity = { opening: minor(4000), movements, closing: minor(1500) };
	const root = read(statement([], activity));
	inOrder(root);
	expect(all(root, 'StatementPeriod')[0]?.children.map((child) => child.text)).toEqual([
		'2026-10-01',
		'2026-10-30'
	]);
	const lines = root.children.filter((child) => child.name === 'StatementLine');
	expect(lines.map((line) => one(line, 'BalanceBroughtForwardIndicator')?.text)).toEqual([
		...['true', 'false', 'false', 'false']
	]);
	expect(lines.map((line) => pence(one(line, 'BalanceAmount')))).toEqual([4000, 5000, -7000, -500]);
	expect(one(root, 'TotalBalanceAmount')?.text).toBe('15.00');
	expect(all(root, 'CreditNoteDocumentReference').map((child) => one(child, 'ID')?.text)).toEqual(['AC-1']);
});

test('names, notes and addresses are whole, whatever signs they have', () => {
	const root = read(
		statement([
			{ open: 1000, number: 'A&B', kind: 'invoice' },
			{ open: 1, number: 'C', kind: 'invoice' }
		])
	);
	expect(all(root, 'Name').map((child) => child.text)).toEqual(['Ashlock', 'Hazel <b> & Co']);
	expect(all(root, 'Line').map((child) => child.text)).toEqual(['Kiln Yard', '1 Mill Lane', 'Tarn']);
	expect(one(root, 'Note')?.text).toBe('Please & thank you');
	expect(all(root, 'DocumentReference').map((child) => one(child, 'ID')?.text)).toEqual(['PO <7>']);
	expect(all(root, 'PayeeFinancialAccount')[0]?.children[0]?.text).toBe('GB00ZZAM1234');
});
