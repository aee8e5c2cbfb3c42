import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { camtXml, type XmlEntry } from '../../../../demo/camt-xml';
import { problemSentence } from '../../../words';
import { receiptsOfEntry } from '../../2-receipts/receipts-of-entry';
import { entryContent } from '../fingerprint';
import { readBankText } from '../read-bank-text';
import { statementsOf } from '../testing-read';

const entry = (inside: string) =>
	`<Ntry><Amt Ccy="GBP">10.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts>BOOK</Sts><BookgDt><Dt>2026-10-28</Dt></BookgDt>${inside}</Ntry>`;
const bal = (type: string, amount: string, sign = 'CRDT') =>
	`<Bal><Tp><CdOrPrtry><Cd>${type}</Cd></CdOrPrtry></Tp><Amt Ccy="GBP">${amount}</Amt><CdtDbtInd>${sign}</CdtDbtInd><Dt><Dt>2026-10-28</Dt></Dt></Bal>`;
const file = (inside: string, version = '02') =>
	`<?xml version="1.0"?><Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.${version}"><BkToCstmrStmt><GrpHdr><MsgId>M</MsgId></GrpHdr>${inside}</BkToCstmrStmt></Document>`;
const statement = (inside: string, id = 'S1') =>
	`<Stmt><Id>${id}</Id><Acct><Id><IBAN>GB00 ZZAM 0001</IBAN></Id><Ccy>GBP</Ccy></Acct>${inside}</Stmt>`;
const codes = (xml: string) => {
	const result = readBankText(xml);
	return result.ok ? [] : result.problems.map((problem) => problem.code);
};

describe('one entry in every version', () => {
	const old = entry(
		'<AcctSvcrRef>B1</AcctSvcrRef><NtryDtls><TxDtls><AmtDtls><TxAmt><Amt Ccy="GBP">10.00</Amt></TxAmt></AmtDtls><Chrgs><Amt Ccy="GBP">0.30</Amt></Chrgs><RltdPties><Dbtr><Nm>HAZEL HILL</Nm></Dbtr><DbtrAcct><Id><IBAN>GB11</IBAN></Id></DbtrAcct></RltdPties><RmtInf><Ustrd>INV 1</Ustrd><Ustrd>INV 2</Ustrd></RmtInf></TxDtls></NtryDtls>'
	);
	const now = entry(
		'<AcctSvcrRef>B1</AcctSvcrRef><NtryDtls><TxDtls><Amt Ccy="GBP">10.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Chrgs><Rcrd><Amt Ccy="GBP">0.30</Amt></Rcrd></Chrgs><RltdPties><Dbtr><Pty><Nm>HAZEL HILL</Nm></Pty></Dbtr><DbtrAcct><Id><IBAN>GB11</IBAN></Id></DbtrAcct></RltdPties><RmtInf><Ustrd>INV 1</Ustrd><Ustrd>INV 2</Ustrd></RmtInf></TxDtls></NtryDtls>'
	).replace('<Sts>BOOK</Sts>', '<Sts><Cd>BOOK</Cd></Sts>');
	test.each(['02', '03', '04', '05', '06', '07', '08', '09', '10', '11', '12', '13'])('001.%s', (version) => {
		const [only] = statementsOf(file(statement(Number(version) < 8 ? old : now), version));
		expect(only!.header).toMatchObject({ account: 'GB00ZZAM0001', reference: 'S1', currency: 'GBP' });
		expect(only!.entries[0]).toMatchObject({ amount: 1000, booked: '2026-10-28', bankReference: 'B1' });
		expect(only!.entries[0]!.details[0]).toMatchObject({
			amount: 1000,
			counterpartyName: 'HAZEL HILL',
			counterpartyAccount: 'GB11',
			text: 'INV 1 INV 2',
			charges: 30
		});
	});
	test.each([
		[
			'a SOAP envelope',
			['S1'],
			(xml: string) =>
				`<s:Envelope xmlns:s="http://schemas.xmlsoap.org/soap/envelope/"><s:Header/><s:Body>${xml}</s:Body></s:Envelope>`
		],
		[
			'a business application header',
			['S1'],
			(xml: string) =>
				`<Msg><AppHdr xmlns="urn:iso:std:iso:20022:tech:xsd:head.001.001.02"><MsgDefIdr>camt.053.001.08</MsgDefIdr></AppHdr>${xml}</Msg>`
		],
		[
			'a bank’s own frame, two of them',
			['S1', 'S2'],
			(xml: string) => `<Batch>${xml}<Note>two</Note>${xml.replace('<Id>S1<', '<Id>S2<')}</Batch>`
		]
	])('within %s', (_, references, around) => {
		const statements = statementsOf(around(file(statement(now), '08').replace(/<\?xml.*?\?>/, '')));
		expect(statements.map((one) => one.entries.length)).toEqual(references.map(() => 1));
		expect(statements.map((one) => one.header.reference)).toEqual(references);
	});
	it('takes a prefix that is declared around the message', () => {
		const inner = file(statement(now), '08')
			.replace(/<\?xml.*?\?>/, '')
			.replace(/ xmlns="[^"]*"/, '')
			.replace(/<(\/?)/g, '<$1c:');
		expect(
			statementsOf(`<Box xmlns:c="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08">${inner}</Box>`)
		).toHaveLength(1);
	});
	it('takes a prefix on every element as well', () => {
		const xml = file(statement(now), '08')
			.replace(/<(\/?)(?!\?)/g, '<$1c:')
			.replace('xmlns=', 'xmlns:c=');
		expect(statementsOf(xml)[0]!.entries).toHaveLength(1);
	});
});

describe('what stands in entries', () => {
	it('takes the sign from the direction, also of a reversal', () => {
		const [only] = statementsOf(
			file(statement(entry('<RvslInd>true</RvslInd>').replace('CRDT', 'DBIT') + entry('')))
		);
		expect(only!.entries.map((one) => [one.amount, one.reversal])).toEqual([
			[-1000, true],
			[1000, false]
		]);
	});
	it('leaves out what is not booked, and counts it', () => {
		const [only] = statementsOf(file(statement(entry('').replace('BOOK', 'PDNG') + entry(''))));
		expect([only!.entries.length, only!.notBooked]).toEqual([1, 1]);
	});
	it('reads structured references, document numbers and returns; NOTPROVIDED is nothing', () => {
		const inside =
			'<NtryDtls><TxDtls><Refs><EndToEndId>NOTPROVIDED</EndToEndId></Refs><RmtInf><Strd><RfrdDocInf><Nb>AK-1</Nb></RfrdDocInf><CdtrRefInf><Ref>RF18AK1</Ref></CdtrRefInf></Strd></RmtInf><RtrInf><Rsn><Cd>AC04</Cd></Rsn></RtrInf></TxDtls></NtryDtls>';
		expect(statementsOf(file(statement(entry(inside))))[0]!.entries[0]!.details[0]).toMatchObject({
			endToEndId: null,
			structuredReference: 'RF18AK1',
			text: 'AK-1',
			returnReason: 'AC04'
		});
	});
	it('takes the one who had paid from a return, though the money goes to them', () => {
		const inside = (reason: string) =>
			`<NtryDtls><TxDtls><RltdPties><Dbtr><Nm>Hazel Hill</Nm></Dbtr><Cdtr><Nm>Ashlock</Nm></Cdtr></RltdPties>${reason}</TxDtls></NtryDtls>`;
		const nameOf = (reason: string) =>
			statementsOf(file(statement(entry(inside(reason)).replaceAll('CRDT', 'DBIT'))))[0]!.entries[0]!
				.details[0]!.counterpartyName;
		expect([nameOf('<RtrInf><Rsn><Cd>AM04</Cd></Rsn></RtrInf>'), nameOf('')]).toEqual([
			'Hazel Hill',
			'Ashlock'
		]);
	});
	it('gives null for what is missing', () => {
		const [only] = statementsOf(file(statement(entry('<NtryDtls><TxDtls/></NtryDtls>'))));
		expect(only!.entries[0]!.details[0]).toEqual({
			amount: null,
			counterpartyName: null,
			counterpartyAccount: null,
			endToEndId: null,
			structuredReference: null,
			text: '',
			charges: 0,
			instructed: null,
			returnReason: null
		});
	});
	it('makes one receipt a detail only where the details add up', () => {
		const part = (amount: string) => `<TxDtls><Amt Ccy="GBP">${amount}</Amt></TxDtls>`;
		const receipts = (inside: string) =>
			receiptsOfEntry(
				statementsOf(file(statement(entry(`<NtryDtls>${inside}</NtryDtls>`))))[0]!.entries[0]!
			).map((one) => one.amount);
		expect(receipts(part('4.00') + part('6.00'))).toEqual([400, 600]);
		expect(receipts(part('4.00') + part('5.00'))).toEqual([1000]);
		expect(receipts('<TxDtls/><TxDtls/>')).toEqual([1000]);
	});
	it('reads several statements and accounts, and the pages of one', () => {
		const pages =
			statement(bal('OPBD', '0.00') + bal('ITBD', '10.00') + entry('')) +
			statement(bal('ITBD', '10.00') + bal('CLBD', '20.00') + entry(''), 'S2');
		expect(
			statementsOf(file(pages)).map((one) => [one.balances.opening, one.balances.closing, one.balanceChecked])
		).toEqual([
			[0, 1000, true],
			[1000, 2000, true]
		]);
	});
	it('says that it could not check where there is no balance', () =>
		expect(statementsOf(file(statement(entry(''))))[0]!.balanceChecked).toBe(false));
	it('tells entries by the bank’s reference where it gives one, by all its words where not', () => {
		const [a, b] = statementsOf(
			file(
				statement(
					entry('<AcctSvcrRef>B1</AcctSvcrRef><AddtlNtryInf>x</AddtlNtryInf>') +
						entry('<AcctSvcrRef>B1</AcctSvcrRef>')
				)
			)
		)[0]!.entries;
		expect(entryContent(a!)).toBe(entryContent(b!));
		const [c, d] = statementsOf(
			file(statement(entry('<AddtlNtryInf>x</AddtlNtryInf>') + entry('<AddtlNtryInf>y</AddtlNtryInf>')))
		)[0]!.entries;
		expect(entryContent(c!)).not.toBe(entryContent(d!));
	});
});

describe('bad input', () => {
	const bomb = '<!DOCTYPE d [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;&a;&a;">]>';
	test.each<[string, string, string[]]>([
		['empty', '', ['file-empty']],
		['blank', ' \n ', ['file-empty']],
		['no XML', 'Date;Amount\n1;2', ['xml-broken']],
		['a page instead', '<html><body></body></html>', ['not-camt']],
		['another message', file(statement('')).replace('camt.053', 'camt.060'), ['not-camt']],
		['a version of tomorrow', file(statement(''), '14'), ['camt-version-unknown']],
		['cut off', file(statement(entry(''))).slice(0, 250), ['xml-cut-off']],
		['mismatched tags', file('<Stmt></Stmnt>'), ['part-missing', 'xml-broken']],
		['an entity bomb', file(statement(entry(''))).replace('<Document', `${bomb}<Document`), ['xml-doctype']],
		[
			'an external entity',
			file(statement(entry(''))).replace('<Document', '<!DOCTYPE d SYSTEM "file:///etc/passwd"><Document'),
			['xml-doctype']
		],
		[
			'an entity that nobody declared',
			file(statement(entry('<AddtlNtryInf>&evil;</AddtlNtryInf>'))),
			['xml-broken']
		],
		['no statement', file(''), ['no-statement']],
		['no account', file('<Stmt><Id>S</Id></Stmt>'), ['part-missing']],
		['three decimals', file(statement(entry('').replace('10.00', '10.005'))), ['amount-bad']],
		['an amount that is none', file(statement(entry('').replace('10.00', 'ten'))), ['amount-bad']],
		['a negative amount', file(statement(entry('').replace('10.00', '-10.00'))), ['amount-bad']],
		['a currency that is none', file(statement(entry('').replace('GBP', 'XYZ'))), ['amount-bad']],
		[
			'another currency than the account',
			file(statement(entry('').replace('GBP', 'EUR'))),
			['entry-currency']
		],
		['a date that is none', file(statement(entry('').replace('10-28', '02-30'))), ['date-bad']],
		['no direction', file(statement(entry('').replace('CRDT', 'UP'))), ['part-missing']],
		[
			'a wrong balance',
			file(statement(bal('OPBD', '0.00') + bal('CLBD', '11.00') + entry(''))),
			['balance-wrong']
		],
		['nested too deep', file('<a>'.repeat(80)), ['xml-broken']]
	])('%s', (_, xml, want) => expect(codes(xml)).toEqual(want));

	it('says statement, entry and line, and says all that is wrong at once', () => {
		const xml = file(
			statement(
				`\n${entry('<AcctSvcrRef>B1</AcctSvcrRef>').replace('10.00', '1.234')}\n${entry('<AcctSvcrRef>B2</AcctSvcrRef>').replace('2026-10-28', 'soon')}`
			)
		);
		const result = readBankText(xml);
		expect(result.ok ? [] : result.problems.map(problemSentence)).toEqual([
			'Statement S1, entry B1, line 2: the amount “1.234” GBP in Ntry/Amt cannot be taken: it has more decimals than the currency.',
			'Statement S1, entry B2, line 3: “soon” in BookgDt is not a date.'
		]);
	});
	it('stops after fifty problems', () => {
		const result = readBankText(file(statement(entry('').replace('10.00', 'x').repeat(200))));
		expect(result.ok ? 0 : result.problems.length).toBe(51);
	});
});

describe('properties', () => {
	const signs = fc.string({
		unit: fc.constantFrom('a', 'Ö', '<', '&', '"', ' ', '1', '/', '😀'),
		maxLength: 20
	});
	const entries = fc.array(
		fc.record({
			amount: fc.integer({ min: -1e9, max: 1e9 }).filter((n) => n !== 0),
			text: signs,
			name: fc.option(signs, { nil: null })
		}),
		{ maxLength: 12 }
	);
	const xmlOf = (rows: { amount: number; text: string; name: string | null }[]) => {
		const all: XmlEntry[] = rows.map((row, i) => ({
			amount: row.amount,
			booked: '2026-10-28',
			reference: `R${i}`,
			details: [{ amount: Math.abs(row.amount), name: row.name, account: null, text: row.text }]
		}));
		return [
			...camtXml(
				[
					{
						reference: 'S',
						sequence: 1,
						account: 'GB1',
						currency: 'GBP',
						opening: 5,
						openingOn: '2026-10-27',
						closingOn: '2026-10-28',
						entries: all
					}
				],
				'M'
			)
		].join('');
	};
	it('what is written is read, wherever the file is cut into chunks', () =>
		fc.assert(
			fc.property(entries, fc.array(fc.nat(4000), { maxLength: 6 }), (rows, cuts) => {
				const xml = xmlOf(rows);
				const at = [...new Set([0, ...cuts.map((cut) => cut % xml.length), xml.length])].sort(
					(a, b) => a - b
				);
				const result = readBankText(...at.slice(1).map((end, i) => xml.slice(at[i], end)));
				if (!result.ok) throw new Error(JSON.stringify(result.problems));
				expect(result.value[0]!.entries.map((one) => one.amount)).toEqual(rows.map((row) => row.amount));
				expect(result.value[0]!.entries.map((one) => one.details[0]!.text)).toEqual(
					rows.map((row) => row.text.trim())
				);
				expect(result.value[0]!.balanceChecked).toBe(true);
			})
		));
	it('a file cut anywhere before its end is never taken', () =>
		fc.assert(
			fc.property(entries, fc.double({ min: 0, max: 0.999, noNaN: true }), (rows, share) => {
				const xml = xmlOf(rows).trimEnd();
				expect(readBankText(xml.slice(0, Math.floor(xml.length * share))).ok).toBe(false);
			})
		));
});
