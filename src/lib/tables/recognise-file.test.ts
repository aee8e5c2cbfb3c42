import { readFileSync } from 'node:fs';
import { deflateRawSync } from 'node:zlib';
import { describe, expect, it, test } from 'vitest';
import fc from 'fast-check';
import { FILE_KINDS, type FileKind } from '../core/model/file-kind';
import { FILE_KIND_ADVICE, FILE_KIND_WORDS } from '../words';
import { recogniseFile } from './recognise-file';

const of = (text: string) => recogniseFile(new TextEncoder().encode(text));
const camt = readFileSync('fixtures/bank-files/yen.xml');

test.each<[FileKind, string]>([
	['documents', 'number,kind,customer_code,issue_date,due_date,currency,total,open\nAK-1,invoice,H1'],
	['documents', '\uFEFFNumber;Kind;Customer_Code;Total\r\n'],
	['documents', '<?xml version="1.0"?>\n<!-- made today --><ubl:Invoice xmlns:ubl="x"><ID>1</ID>'],
	['documents', '<CreditNote xmlns="urn:oasis:names:specification:ubl:schema:xsd:CreditNote-2">'],
	['documents', 'Kunden-Nr.;Rg.-Nr.;Rechnungsdatum;Fällig am;Saldo\nH1;4711;31.10.2026;;1,00'],
	['documents', 'Aged list\n\nAccount,Invoice No,Invoice Date,Balance\nH1,4711,31/10/2026,1.00'],
	['customers', 'Debiteurnummer;Bedrijfsnaam;E-mailadres\nH1;Hazel;a@hazel.example'],
	['bank-table', 'Date,Reference,Account number,Amount,Balance\n30/10/2026,X,1,1.00,2.00'],
	['customers', 'code\tname\tcurrency\nH1\tHazel\tGBP'],
	['history', 'payer_name,payer_account,customer_code,date,amount,currency,invoice_numbers\n'],
	['history', 'Zahlungsdatum;Kunde;Betrag;Auftraggeber;IBAN;Rechnungen\n14.09.2026;K9;512,20;A;;1\n'],
	['history', 'Account,Date paid,Amount,Invoice No\nH1,30/10/2026,12.00,AK-1\n'],
	['documents', 'Account,Invoice No,Date,Amount,Payment due\nH1,AK-1,30/10/2026,12.00,01/11/2026\n'],
	['rates', 'Date,USD,JPY,BGN\n30 October 2026,1.1,160,1.9'],
	['rates', 'date,currency,rate\n2026-10-30,EUR,0.85'],
	[
		'rates',
		'<Envelope><Cube><Cube time="2026-10-30"><Cube currency="USD" rate="1.1"/></Cube></Cube></Envelope>'
	],
	['processor-report', 'date,customer name,reference,gross,fee\n2026-10-29,"Studio, one",AK-1,100.00,1.60'],
	['processor-report', 'Payer;Amount;Commission\nA;1,00;0,10'],
	['bank-table', 'Date,Description,Paid out,Paid in,Balance\n30/10/2026,X,,1.00,2.00'],
	['bank-table', 'Buchungstag;Empfänger;IBAN;Betrag\n'],
	['advice', 'Invoice,Amount\nAK-1,100.00\n'],
	['advice', 'Dear Sirs, we paid today:\nAK-40017   1,043.20\nAK-40018  100.00'],
	['advice', '<RemittanceAdvice xmlns="urn:oasis">'],
	['bank-file', '<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.054.001.08">'],
	['other-xml', '<Document xmlns="urn:iso:std:iso:20022:tech:xsd:pain.001.001.09">'],
	['other-xml', '<?xml version="1.0"?>'],
	['bank-file', ':20:STARTUMS\n:25:1234'],
	['bank-file', '{1:F01BANKGB2L}{2:O9400000}{4:\n:20:X'],
	['bank-file', ':20:X\n:25:1\n:34F:GBP0,'],
	['bank-file', '{1:F01BANKGB2L}{2:O9420000}{4:\n:20:X'],
	['bank-file', 'OFXHEADER:100\nDATA:OFXSGML'],
	['bank-file', '<?xml version="1.0"?><?OFX OFXHEADER="200"?><OFX>'],
	['bank-file', '01,ZZAM,ODDP,261028,0600,1,,,2/'],
	['other-bank-file', '!Type:Bank\nD30/10/26'],
	['web-page', '<!DOCTYPE html><html><head><title>Sign in'],
	['web-page', '<HTML><body>'],
	['other-table', 'colour,size\nred,4'],
	['empty', ''],
	['empty', ' \n\t'],
	['unknown', 'hello'],
	['unknown', 'a\0b']
])('%s: %s', (kind, text) => expect(of(text)).toBe(kind));

describe('by bytes', () => {
	test.each<[FileKind, readonly number[]]>([
		['picture', [0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a]],
		['picture', [0xff, 0xd8, 0xff, 0xe0]],
		['picture', [...new TextEncoder().encode('RIFF1234WEBP')]],
		['pdf', [...new TextEncoder().encode('%PDF-1.7')]],
		['old-spreadsheet', [0xd0, 0xcf, 0x11, 0xe0, 0xa1]],
		['spreadsheet', [0x50, 0x4b, 0x03, 0x04, 0, 0, ...new TextEncoder().encode('xl/workbook.xml')]],
		['archive', [0x50, 0x4b, 0x03, 0x04, 0, 0, ...new TextEncoder().encode('camt.xml')]],
		['archive', [0x1f, 0x8b, 0x08]]
	])('%s', (kind, bytes) => expect(recogniseFile(new Uint8Array(bytes))).toBe(kind));
	it('a statement, in whatever encoding', () => {
		expect(recogniseFile(camt)).toBe('bank-file');
		const text = camt.toString('utf8');
		expect(recogniseFile(Buffer.from(`\uFEFF${text}`, 'utf16le'))).toBe('bank-file');
		expect(recogniseFile(Buffer.from(text, 'utf16le'))).toBe('bank-file');
		expect(recogniseFile(Buffer.from(`\uFEFF${text}`, 'utf8'))).toBe('bank-file');
		expect(recogniseFile(camt.subarray(0, 400))).toBe('bank-file');
	});
	it('anything at all is of some kind, and has its words', () => {
		for (const kind of FILE_KINDS) expect(FILE_KIND_WORDS[kind] && FILE_KIND_ADVICE[kind]).toBeTruthy();
		fc.assert(
			fc.property(fc.uint8Array({ maxLength: 400 }), (bytes) => {
				expect(FILE_KINDS).toContain(recogniseFile(bytes));
				expect(FILE_KINDS).toContain(recogniseFile(deflateRawSync(bytes)));
			})
		);
	});
});
