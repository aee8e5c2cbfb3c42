import { expect, it, test } from 'vitest';
import { SaxesParser } from 'saxes';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { pain001, type PaymentOrder } from './pain001';

const order = (over: Partial<PaymentOrder> = {}): PaymentOrder => ({
	messageId: 'REFUNDS-2026-10-30-1',
	madeAt: '2026-10-30T10:00:00',
	payOn: day('2026-10-30'),
	firm: 'Ashlock Kiln & Clay Ltd',
	from: { account: 'GB89ZZAM30990114402817', bic: 'ZZAMGB00' },
	currency: 'GBP',
	refunds: [
		{ endToEndId: 'REFUND-1', payee: 'Hazel <Hill>', account: 'GB12ZZHB1', amount: minor(1005), text: 'a' },
		{ endToEndId: 'REFUND-2', payee: 'R', account: 'GB12ZZHB11711681415742', amount: minor(1), text: 'b' }
	],
	...over
});

/** Every text of the file by the path of its element. */
function texts(xml: string): Map<string, string[]> {
	const found = new Map<string, string[]>();
	const path: string[] = [];
	const parser = new SaxesParser();
	parser.on('opentag', (tag) => path.push(tag.name));
	parser.on('closetag', () => path.pop());
	parser.on('text', (text) => {
		const key = path.slice(2).join('/');
		if (text.trim()) found.set(key, [...(found.get(key) ?? []), text]);
	});
	parser.write(xml).close();
	return found;
}

it('adds up twice, and names each payment with its account', () => {
	const found = texts(pain001(order()));
	expect(found.get('GrpHdr/NbOfTxs')).toEqual(['2']);
	expect(found.get('GrpHdr/CtrlSum')).toEqual(['10.06']);
	expect(found.get('PmtInf/CtrlSum')).toEqual(['10.06']);
	expect(found.get('PmtInf/CdtTrfTxInf/Amt/InstdAmt')).toEqual(['10.05', '0.01']);
	expect(found.get('PmtInf/CdtTrfTxInf/Cdtr/Nm')).toEqual(['Hazel <Hill>', 'R']);
	expect(found.get('PmtInf/CdtTrfTxInf/CdtrAcct/Id/IBAN')).toEqual(['GB12ZZHB11711681415742']);
	expect(found.get('PmtInf/CdtTrfTxInf/CdtrAcct/Id/Othr/Id')).toEqual(['GB12ZZHB1']);
	expect(found.get('PmtInf/DbtrAgt/FinInstnId/BICFI')).toEqual(['ZZAMGB00']);
	expect(found.get('PmtInf/ReqdExctnDt/Dt')).toEqual(['2026-10-30']);
});
test.each([
	['JPY', 500, '500'],
	['BHD', 500, '0.500']
])('writes %s with its own decimals', (currency, amount, want) => {
	const [one] = order().refunds;
	const xml = pain001(order({ currency, refunds: [{ ...one!, amount: minor(amount) }] }));
	expect(texts(xml).get('PmtInf/CdtTrfTxInf/Amt/InstdAmt')).toEqual([want]);
});
it('says where no BIC is known, and cuts what is too long', () => {
	const [one] = order().refunds;
	const xml = pain001(
		order({ from: { account: '12345678', bic: null }, refunds: [{ ...one!, payee: 'x'.repeat(200) }] })
	);
	const found = texts(xml);
	expect(found.get('PmtInf/DbtrAgt/FinInstnId/Othr/Id')).toEqual(['NOTPROVIDED']);
	expect(found.get('PmtInf/DbtrAcct/Id/Othr/Id')).toEqual(['12345678']);
	expect(found.get('PmtInf/CdtTrfTxInf/Cdtr/Nm')![0]).toHaveLength(140);
});
