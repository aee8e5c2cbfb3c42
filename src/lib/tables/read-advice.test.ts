import { describe, expect, it } from 'vitest';
import { readAdvice } from './read-advice';

const short = (text: string) => {
	const read = readAdvice(text, 'GBP');
	return read.ok
		? read.value.map(({ numbers, paid, deduction }) => [
				numbers[0],
				paid,
				...(deduction ? [deduction.kind, deduction.reason, deduction.amount] : [])
			])
		: read.problems;
};

describe('an advice as a table', () => {
	it.each<[string, string, unknown[]]>([
		['number and amount', 'Invoice,Amount\nAK-1,100.00\n', [['AK-1', 10_000]]],
		[
			'semicolons, a mark and Windows line ends',
			'\uFEFFInvoice;Amount\r\nAK-1;100.00\r\n',
			[['AK-1', 10_000]]
		],
		['a quoted newline', 'Invoice,Amount,Note\nAK-1,"1,043.20","two\nlines"', [['AK-1', 104_320]]],
		[
			'gross, discount and net',
			'Your invoice\tGross\tDiscount\tNet\nAK-1\t100.00\t2.00\t98.00',
			[['AK-1', 9_800, 'settlement_discount', 'other', 200]]
		],
		[
			'a deduction with its reason',
			'Document,Amount paid,Deduction,Reason\nAK-1,95.50,4.50,breakage',
			[['AK-1', 9_550, 'claim', 'damaged', 450]]
		],
		[
			'only the gross and what was taken off',
			'Invoice number,Gross,Deduction\nAK-1,100.00,1.50',
			[['AK-1', 9_850, 'claim', 'other', 150]]
		],
		[
			'credits are negative',
			'Invoice,Amount\nAC-1,-20.00\nAK-1,100.00',
			[
				['AC-1', -2_000],
				['AK-1', 10_000]
			]
		],
		[
			'German headings, decimals after a comma, a title above',
			'Zahlungsavis;;\nBeleg-Nr.;Bruttobetrag;Skonto;Zahlbetrag\nAK-1;1.200,00;24,00;1.176,00\nAK-2;80,00;;80,00\nSumme;;;1.256,00',
			[
				['AK-1', 117_600, 'settlement_discount', 'other', 2_400],
				['AK-2', 8_000]
			]
		],
		[
			'French headings',
			'Facture;Montant réglé;Retenue;Motif\nAK-1;95,50;4,50;casse',
			[['AK-1', 9_550, 'claim', 'other', 450]]
		],
		['Spanish', 'Nº factura\tImporte pagado\nAK-1\t1.043,20', [['AK-1', 104_320]]],
		[
			'Italian',
			'Fattura;Lordo;Sconto\nAK-1;100,00;2,00',
			[['AK-1', 9_800, 'settlement_discount', 'other', 200]]
		],
		['Dutch', 'Factuurnummer;Betaald bedrag\nAK-1;1.043,20', [['AK-1', 104_320]]],
		[
			'a column of thousands, told by one of them',
			'Ref,Paid\nAK-1,1.234\nAK-2,"12,50"',
			[
				['AK-1', 123_400],
				['AK-2', 1_250]
			]
		],
		['words above that are no headings', 'Hello, we paid your invoice\nAK-1 100.00', [['AK-1', 10_000]]],
		['a total is left out', 'Invoice,Amount\nAK-1,100.00\nTotal,100.00', [['AK-1', 10_000]]]
	])('%s', (_, text, wanted) => expect(short(text)).toEqual(wanted));
	it('an amount that is none names its line and column', () => {
		expect(short('Invoice,Amount\nAK-1,100.00\nAK-2,ten')).toMatchObject([
			{ code: 'amount-bad', text: 'ten', part: 'amount', line: 3 }
		]);
	});
	it('a table without headings is read as text', () => {
		expect(short('AK-1  100.00\nAK-2  50.00')).toEqual([
			['AK-1', 10_000],
			['AK-2', 5_000]
		]);
	});
	it('nothing is nothing', () => expect(short('  ')).toEqual([]));
});
