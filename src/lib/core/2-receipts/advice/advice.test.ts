import { describe, expect, it, test } from 'vitest';
import { readAdviceText } from './read-advice-text';
import { readAdviceUbl } from './read-advice-ubl';

const short = (text: string) =>
	readAdviceText(text, 'GBP').map(({ line, numbers, paid, deduction }) => [
		line,
		numbers[0],
		paid,
		...(deduction ? [deduction.kind, deduction.reason, deduction.amount] : [])
	]);

describe('an advice as text', () => {
	test.each<[string, string, unknown[]]>([
		[
			'a line for each document',
			'AK-40017 1,043.20\nAK-40018  £55.00',
			[
				[1, 'AK-40017', 104_320],
				[2, 'AK-40018', 5500]
			]
		],
		['rows copied from a table', 'Invoice\tDate\tAmount\n40017\t2026-09-01\t10.00', [[2, '40017', 1000]]],
		[
			'greeting and total left out',
			'Dear all,\nwe paid today:\nAK-40017 10.00\nTotal 10.00',
			[[3, 'AK-40017', 1000]]
		],
		[
			'gross, deduction and net',
			'AK-40017 100.00 -4.50 95.50 breakage',
			[[1, 'AK-40017', 9550, 'claim', 'damaged', 450]]
		],
		[
			'a discount',
			'AK-40017 100.00 2.00 98.00 less discount',
			[[1, 'AK-40017', 9800, 'settlement_discount', 'other', 200]]
		],
		['a credit note, minus behind', 'AC-7001 62.10-', [[1, 'AC-7001', -6210]]],
		['a day is no number', '30.10.2026 10.00', []],
		['not an amount', 'AK-40017 as agreed', [[1, 'AK-40017', null]]],
		['several amounts that do not add up: the last', 'AK-40017 100.00 50.00 20.00', [[1, 'AK-40017', 2000]]]
	])('%s', (_, text, want) => expect(short(text)).toEqual(want));
});

describe('an advice as UBL', () => {
	const ubl = (lines: string) =>
		`<RemittanceAdvice xmlns="urn:oasis:names:specification:ubl:schema:xsd:RemittanceAdvice-2" xmlns:cac="a" xmlns:cbc="b"><cbc:ID>1</cbc:ID>${lines}</RemittanceAdvice>`;
	const line = (id: string, debit: string, more = '', kind = 'Invoice') =>
		`<cac:RemittanceAdviceLine><cbc:ID>1</cbc:ID>${more}<cbc:DebitLineAmount currencyID="GBP">${debit}</cbc:DebitLineAmount><cac:BillingReference><cac:${kind}DocumentReference><cbc:ID>${id}</cbc:ID></cac:${kind}DocumentReference></cac:BillingReference></cac:RemittanceAdviceLine>`;
	it('gives documents, what is paid, and deductions with their stated reasons', () => {
		const result = readAdviceUbl(
			ubl(
				line('AK-1', '100.00') +
					line(
						'AK-2',
						'80.00',
						'<cbc:Note>two bags wet</cbc:Note><cbc:BalanceAmount>75.50</cbc:BalanceAmount>'
					) +
					line('AC-1', '20.00', '', 'CreditNote')
			),
			'GBP'
		);
		expect(
			result.ok && result.value.map(({ numbers, paid, deduction }) => [numbers[0], paid, deduction])
		).toEqual([
			['AK-1', 10_000, null],
			['AK-2', 7550, { kind: 'claim', reason: 'damaged', amount: 450 }],
			['AC-1', -2000, null]
		]);
	});
	it.each([
		['another document', '<Invoice/>', 'xml-broken'],
		['broken XML', '<RemittanceAdvice><a></RemittanceAdvice>', 'xml-broken'],
		['an amount that is none', ubl(line('AK-1', 'ten')), 'amount-bad']
	])('refuses %s', (_, xml, code) => {
		const result = readAdviceUbl(xml, 'GBP');
		expect(result.ok ? [] : result.problems.map((one) => one.code)).toEqual([code]);
	});
});
