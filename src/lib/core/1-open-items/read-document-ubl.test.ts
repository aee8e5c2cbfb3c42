import { describe, expect, it } from 'vitest';
import { readDocumentUbl } from './read-document-ubl';

interface Parts {
	root?: string;
	head?: string;
	buyer?: string;
	terms?: string;
	whole?: string;
	taxes?: string;
	totals?: string;
	lines?: string;
}

const amount = (name: string, text: string, currency = 'GBP') =>
	`<cbc:${name} currencyID="${currency}">${text}</cbc:${name}>`;
const line = (text: string, net: string, percent: string, name = 'InvoiceLine') =>
	`<cac:${name}><cbc:ID>1</cbc:ID>${amount('LineExtensionAmount', net)}<cac:Item><cbc:Name>${text}</cbc:Name><cac:ClassifiedTaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>${percent}</cbc:Percent></cac:ClassifiedTaxCategory></cac:Item></cac:${name}>`;
const tax = (net: string, sum: string, percent: string) =>
	`<cac:TaxSubtotal>${amount('TaxableAmount', net)}${amount('TaxAmount', sum)}<cac:TaxCategory><cbc:ID>S</cbc:ID><cbc:Percent>${percent}</cbc:Percent></cac:TaxCategory></cac:TaxSubtotal>`;
const totals = (inclusive: string, payable: string, more = '') =>
	`<cac:LegalMonetaryTotal>${amount('TaxInclusiveAmount', inclusive)}${more}${amount('PayableAmount', payable)}</cac:LegalMonetaryTotal>`;

/** An invoice with clay at 20 % and a book at none: 100.00 + 20.00 + 12.50. */
function ubl(over: Parts = {}): string {
	const { root = 'Invoice' } = over;
	return `<?xml version="1.0" encoding="UTF-8"?>
<ubl:${root} xmlns:ubl="urn:oasis:names:specification:ubl:schema:xsd:${root}-2" xmlns:cac="urn:oasis:names:specification:ubl:schema:xsd:CommonAggregateComponents-2" xmlns:cbc="urn:oasis:names:specification:ubl:schema:xsd:CommonBasicComponents-2">
${over.head ?? '<cbc:ID>AK-50001</cbc:ID><cbc:IssueDate>2026-10-01</cbc:IssueDate><cbc:DueDate>2026-10-31</cbc:DueDate><cbc:DocumentCurrencyCode>GBP</cbc:DocumentCurrencyCode><cac:OrderReference><cbc:ID>PO 7</cbc:ID><cbc:SalesOrderID>CK-9</cbc:SalesOrderID></cac:OrderReference>'}
${over.buyer ?? '<cac:AccountingCustomerParty><cac:Party><cac:PartyIdentification><cbc:ID>H1</cbc:ID></cac:PartyIdentification><cac:PartyLegalEntity><cbc:RegistrationName>Hazel Hill Pottery</cbc:RegistrationName></cac:PartyLegalEntity></cac:Party></cac:AccountingCustomerParty>'}
<cac:PaymentMeans><cbc:PaymentMeansCode>30</cbc:PaymentMeansCode><cbc:PaymentID>RF18AK50001</cbc:PaymentID></cac:PaymentMeans>
${over.terms ?? ''}${over.whole ?? ''}
<cac:TaxTotal>${amount('TaxAmount', '20.00')}${over.taxes ?? tax('100.00', '20.00', '20') + tax('12.50', '0.00', '0')}</cac:TaxTotal>
${over.totals ?? totals('132.50', '132.50')}
${over.lines ?? line('stoneware clay', '100.00', '20') + line('glaze book', '12.50', '0')}
</ubl:${root}>`;
}

const read = (over: Parts = {}) => readDocumentUbl(ubl(over), 'one.xml');
const value = (over: Parts = {}) => {
	const result = read(over);
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
};

describe('an invoice in UBL 2.1', () => {
	it('is read with its references, lines and taxes', () => {
		expect(value()).toEqual({
			...{ file: 'one.xml', line: 2, number: 'AK-50001', kind: 'invoice', customerCode: 'H1' },
			...{ customerName: 'Hazel Hill Pottery', issued: '2026-10-01', due: '2026-10-31', currency: 'GBP' },
			...{ total: 13_250, open: 13_250, purchaseOrder: 'PO 7', orderReference: 'CK-9' },
			...{ paymentReference: 'RF18AK50001', text: 'stoneware clay', instalments: [], discount: null },
			lines: [
				{ text: 'stoneware clay', net: 10_000, taxBasisPoints: 2000, tax: 2_000 },
				{ text: 'glaze book', net: 1_250, taxBasisPoints: 0, tax: 0 }
			]
		});
	});
	it('a credit note has its own lines and sign', () => {
		const note = value({
			root: 'CreditNote',
			lines: line('returned', '112.50', '20', 'CreditNoteLine'),
			taxes: tax('112.50', '22.50', '20'),
			totals: totals('135.00', '135.00')
		});
		expect(note).toMatchObject({ kind: 'credit_note', total: 13_500, open: 13_500 });
	});
	it('tax is a sum for all lines of a rate: the largest line takes the rounding', () => {
		const { lines } = value({
			lines: line('a', '0.33', '20') + line('b', '0.33', '20') + line('c', '0.34', '20'),
			taxes: tax('1.00', '0.20', '20'),
			totals: totals('1.20', '1.20')
		});
		expect(lines.map((one) => one.tax)).toEqual([7, 7, 6]);
	});
	it('allowances and charges of the whole, and the rounding of what is payable, are lines', () => {
		const whole =
			`<cac:AllowanceCharge><cbc:ChargeIndicator>false</cbc:ChargeIndicator><cbc:AllowanceChargeReason>loyal</cbc:AllowanceChargeReason>${amount('Amount', '10.00')}<cac:TaxCategory><cbc:Percent>20</cbc:Percent></cac:TaxCategory></cac:AllowanceCharge>` +
			`<cac:AllowanceCharge><cbc:ChargeIndicator>true</cbc:ChargeIndicator><cbc:AllowanceChargeReason>carriage</cbc:AllowanceChargeReason>${amount('Amount', '5.00')}<cac:TaxCategory><cbc:Percent>20</cbc:Percent></cac:TaxCategory></cac:AllowanceCharge>`;
		const read = value({
			whole,
			lines: line('clay', '100.00', '20'),
			taxes: tax('95.00', '19.00', '20'),
			totals: totals('114.00', '114.05', amount('PayableRoundingAmount', '0.05'))
		});
		expect(read.total).toBe(11_405);
		expect(read.lines.map((one) => `${one.text} ${one.net}`)).toEqual([
			'clay 10000',
			'loyal -1000',
			'carriage 500',
			'rounding 5'
		]);
	});
	it('what was prepaid is not open', () => {
		const prepaid = totals('132.50', '100.00', amount('PrepaidAmount', '32.50'));
		expect(value({ totals: prepaid })).toMatchObject({ total: 13_250, open: 10_000 });
	});
	it('payment terms with amounts and days are instalments, with a percentage a discount', () => {
		const part = (sum: string, on: string) =>
			`<cac:PaymentTerms>${amount('Amount', sum)}<cbc:PaymentDueDate>${on}</cbc:PaymentDueDate></cac:PaymentTerms>`;
		const terms =
			part('32.50', '2026-10-15') +
			part('100.00', '2026-11-15') +
			'<cac:PaymentTerms><cbc:SettlementDiscountPercent>2.5</cbc:SettlementDiscountPercent><cac:SettlementPeriod><cbc:EndDate>2026-10-10</cbc:EndDate></cac:SettlementPeriod></cac:PaymentTerms>';
		expect(value({ terms })).toMatchObject({
			instalments: [
				{ due: '2026-10-15', amount: 3_250 },
				{ due: '2026-11-15', amount: 10_000 }
			],
			discount: { basisPoints: 250, until: '2026-10-10' }
		});
	});
	it('without a due date it follows the terms of the customer, who may be known by name alone', () => {
		const head =
			'<cbc:ID>A</cbc:ID><cbc:IssueDate>2026-10-01</cbc:IssueDate><cbc:DocumentCurrencyCode>GBP</cbc:DocumentCurrencyCode>';
		const buyer =
			'<cac:AccountingCustomerParty><cac:Party><cac:PartyName><cbc:Name>Hazel</cbc:Name></cac:PartyName></cac:Party></cac:AccountingCustomerParty>';
		expect(value({ head, buyer })).toMatchObject({ due: null, customerCode: '', customerName: 'Hazel' });
	});
});

const HEAD = (id: string, day: string, currency: string) =>
	`<cbc:ID>${id}</cbc:ID><cbc:IssueDate>${day}</cbc:IssueDate><cbc:DocumentCurrencyCode>${currency}</cbc:DocumentCurrencyCode>`;

describe('what does not fit is refused with file, line and reason', () => {
	it.each<[string, Parts, string]>([
		['a number missing', { head: HEAD('', '2026-10-01', 'GBP') }, 'part-missing'],
		['a day that is none', { head: HEAD('A', '2026-02-30', 'GBP') }, 'date-bad'],
		['a currency that is none', { head: HEAD('A', '2026-10-01', 'XQX') }, 'code-unknown'],
		['no buyer', { buyer: '' }, 'part-missing'],
		['three decimals', { totals: totals('132.505', '132.50') }, 'amount-bad'],
		['words for an amount', { totals: totals('much', '132.50') }, 'amount-bad'],
		[
			'another currency within',
			{ totals: totals('132.50', '132.50').replace('GBP', 'EUR') },
			'entry-currency'
		],
		['lines that do not come to the total', { totals: totals('140.00', '140.00') }, 'sums-differ'],
		[
			'tax that is not the rate’s',
			{ taxes: tax('100.00', '25.00', '20') + tax('12.50', '0.00', '0') },
			'sums-differ'
		],
		['more open than the total', { totals: totals('132.50', '140.00') }, 'csv-field'],
		['nothing open', { totals: totals('132.50', '0.00') }, 'csv-field'],
		['no total', { totals: '' }, 'part-missing'],
		['a tax of 101 percent', { lines: line('clay', '100.00', '101') }, 'csv-field'],
		['a number that is too long', { head: HEAD('A'.repeat(61), '2026-10-01', 'GBP') }, 'csv-field'],
		['another document', { root: 'Order' }, 'not-a-document']
	])('%s', (_, over, code) => {
		const result = read(over);
		expect(result.ok ? [] : result.problems.map((one) => one.code)).toContain(code);
		expect(result.ok ? [] : result.problems).toEqual(
			expect.arrayContaining([expect.objectContaining({ file: 'one.xml', line: expect.any(Number) })])
		);
	});
	it.each([
		['cut off', ubl().slice(0, 700), 'xml-broken'],
		['empty', '', 'file-empty'],
		['with a document type', `<!DOCTYPE x [<!ENTITY a "b">]>${ubl().slice(38)}`, 'xml-doctype'],
		['nested without end', '<a>'.repeat(200), 'xml-broken']
	])('%s', (_, xml, code) => {
		expect(readDocumentUbl(xml, 'x.xml')).toMatchObject({ ok: false, problems: [{ code, file: 'x.xml' }] });
	});
});
