import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import { readBankText } from '../read-bank-text';
import { refusalOf, statementsOf } from '../testing-read';

interface Line {
	readonly amount: string;
	readonly id: string;
	readonly name: string;
	readonly memo: string;
	readonly posted: string;
	readonly more: string;
}
const HEADER = 'OFXHEADER:100\nDATA:OFXSGML\nVERSION:102\nSECURITY:NONE\nENCODING:USASCII\nCHARSET:1252\n\n';
const credit = (over: Partial<Line> = {}): Line => ({
	...{ amount: '10.00', id: 'F1', name: 'HAZEL HILL', memo: 'INV 1', posted: '20261028', more: '' },
	...over
});

/** A small writer of both: SGML leaves values open, XML closes them and stands without line breaks. */
function written(
	entries: readonly Line[],
	{ xml = false, account = '<BANKID>204060<ACCTID>12345678', currency = 'GBP' } = {}
): string {
	const safe = (text: string) => (xml ? text.replace(/&/g, '&amp;').replace(/</g, '&lt;') : text);
	const lines = entries.map(
		(one) =>
			`<STMTTRN>\n<TRNTYPE>CREDIT\n<DTPOSTED>${one.posted}\n<TRNAMT>${one.amount}\n<FITID>${one.id}\n<NAME>${safe(one.name)}\n<MEMO>${safe(one.memo)}\n${one.more}</STMTTRN>\n`
	);
	const body = `<OFX>\n<SIGNONMSGSRSV1><SONRS><STATUS><CODE>0\n<SEVERITY>INFO\n</STATUS><DTSERVER>20261029\n<LANGUAGE>ENG\n</SONRS></SIGNONMSGSRSV1>\n<BANKMSGSRSV1><STMTTRNRS><TRNUID>1\n<STATUS><CODE>0\n</STATUS><STMTRS><CURDEF>${currency}\n<BANKACCTFROM>${account}\n<ACCTTYPE>CHECKING\n</BANKACCTFROM>\n<BANKTRANLIST><DTSTART>20261028\n<DTEND>20261028\n${lines.join('')}</BANKTRANLIST>\n<LEDGERBAL><BALAMT>110.00\n<DTASOF>20261028\n</LEDGERBAL></STMTRS></STMTTRNRS></BANKMSGSRSV1>\n</OFX>\n`;
	if (!xml) return HEADER + body;
	const closed = body.replace(/<([A-Z]+)>([^<\n]+)\n?/g, '<$1>$2</$1>').replace(/\n/g, '');
	return `<?xml version="1.0" encoding="UTF-8"?><?OFX OFXHEADER="200" VERSION="211"?>${closed}`;
}
const first = (over: Partial<Line>) => statementsOf(written([credit(over)]))[0]!.entries[0]!;

describe('a file of OFX', () => {
	it.each([false, true])('is read into the model that all formats share, as XML: %s', (xml) => {
		const [only, ...more] = statementsOf(
			written([credit(), credit({ amount: '-2.50', id: 'F2', name: 'CHARGES', memo: '' })], { xml })
		);
		expect(more).toEqual([]);
		expect(only).toMatchObject({
			format: 'OFX',
			header: { account: '20406012345678', currency: 'GBP', reference: '2026-10-28 to 2026-10-28' },
			balances: { opening: null, openingOn: null, closing: 11000, closingOn: '2026-10-28' },
			balanceChecked: false
		});
		expect(only!.entries).toMatchObject([
			{ amount: 1000, booked: '2026-10-28', bankReference: 'F1', code: 'CREDIT' },
			{ amount: -250, bankReference: 'F2' }
		]);
		expect(only!.entries[0]!.details[0]).toMatchObject({ counterpartyName: 'HAZEL HILL', text: 'INV 1' });
	});
	it('takes an ampersand and a smaller-than that stand by themselves, and those that are written out', () => {
		expect(
			first({ name: 'TARN & WORKS', memo: 'A < B &amp; C &#163;5 &#xA3;6 &nope;' }).details[0]
		).toMatchObject({
			counterpartyName: 'TARN & WORKS',
			text: 'A < B & C £5 £6 &nope;'
		});
	});
	it.each([
		['20261028', '2026-10-28'],
		['20261028120000', '2026-10-28'],
		['20261028235959.999[-5:EST]', '2026-10-28'],
		['20261028000000[0:GMT]', '2026-10-28'],
		['202610281200', '2026-10-28']
	])('books %s on the day as it is written', (posted, want) => expect(first({ posted }).booked).toBe(want));
	it.each([
		['+10.00', 1000],
		['-10', -1000],
		['10,5', 1050],
		['.5', 50]
	])('takes %s', (amount, want) => expect(first({ amount }).amount).toBe(want));
	it('keeps a cheque’s number, and another account', () => {
		const more = '<CHECKNUM>100412\n<BANKACCTTO><BANKID>204060\n<ACCTID>87654321\n</BANKACCTTO>\n';
		const entry = first({ more });
		expect([entry.entryReference, entry.details[0]!.counterpartyAccount]).toEqual(['100412', '87654321']);
	});
	it('leaves an element empty that is', () =>
		expect(first({ name: '', memo: 'ONLY A MEMO' }).details[0]).toMatchObject({
			counterpartyName: null,
			text: 'ONLY A MEMO'
		}));
	it('leaves out what is pending, and counts it', () => {
		const pending =
			'<BANKTRANLISTP><DTASOF>20261028\n<STMTTRNP><TRNAMT>5.00\n<NAME>LATER\n</STMTTRNP></BANKTRANLISTP>';
		const [only] = statementsOf(written([credit()]).replace('<LEDGERBAL>', `${pending}<LEDGERBAL>`));
		expect([only!.entries.length, only!.notBooked]).toEqual([1, 1]);
	});
	it('is of a German account, a card, or any other', () => {
		const accounts = ['<BANKID>50010517<ACCTID>648489890', '<ACCTID>GB00ZZAM1'].map(
			(account) => statementsOf(written([], { account }))[0]!.header.account
		);
		expect(accounts).toEqual(['500105170648489890', 'GB00ZZAM1']);
		const card = written([credit()], { account: '<ACCTID>9988' })
			.replaceAll('BANKACCTFROM', 'CCACCTFROM')
			.replaceAll('STMTRS>', 'CCSTMTRS>');
		expect(statementsOf(card)[0]).toMatchObject({ header: { account: '9988' }, entries: [{ amount: 1000 }] });
	});
	it('is the same wherever it is cut', () => {
		const text = written([credit({ memo: 'A < B & C' })]);
		for (const size of [1, 5, 4000])
			expect(readBankText(...text.match(new RegExp(`[\\s\\S]{1,${size}}`, 'g'))!)).toEqual({
				ok: true,
				value: statementsOf(text)
			});
	});
});

describe('bad input', () => {
	const text = written([credit()]);
	it.each([
		['no such day', written([credit({ posted: '20260230' })]), '“20260230” in DTPOSTED is not a date'],
		[
			'no amount',
			written([credit({ amount: 'ten' })]),
			'the amount “ten” GBP in TRNAMT cannot be taken: it is not a number'
		],
		['parts of pennies', written([credit({ amount: '1.005' })]), 'it has more decimals than the currency'],
		[
			'another currency',
			written([credit({ more: '<CURRENCY><CURRATE>1.1\n<CURSYM>USD\n</CURRENCY>\n' })]),
			'The entry is in USD, but the account is kept in GBP'.slice(4)
		],
		[
			'a correction',
			written([credit({ more: '<CORRECTFITID>F0\n<CORRECTACTION>DELETE\n' })]),
			't corrects the entry F0, which cannot be taken from a file'
		],
		['no currency', written([credit()], { currency: '' }), 'the part CURDEF is missing'],
		['no account', written([credit()], { account: '' }), 'the part ACCTID is missing'],
		['cut off', text.slice(0, text.indexOf('</STMTTRNRS>')), 'The part </OFX> is missing'],
		[
			'ends in another order',
			text.replace('</BANKTRANLIST>', '</STMTRS>'),
			'“</STMTRS>” is not written as field STMTRS should be'
		],
		[
			'no statement',
			`${HEADER}<OFX><SIGNONMSGSRSV1><SONRS></SONRS></SIGNONMSGSRSV1></OFX>`,
			'The file holds no statement'
		]
	])('%s', (_, file, want) => expect(refusalOf(file).map(problemSentence).join(' ')).toContain(want));
});

const words = fc
	.stringMatching(/^[A-Z][A-Za-z0-9 &.,'-]{0,40}[A-Z0-9]$/)
	.map((text) => text.replace(/ +/g, ' '))
	.filter((text) => !/&\w+;/.test(text));
const lines = fc.array(
	fc.record({
		pence: fc.integer({ min: -9_999_999, max: 9_999_999 }),
		id: fc.stringMatching(/^[A-Z0-9]{1,12}$/),
		name: words,
		memo: words
	}),
	{ maxLength: 8 }
);
const asLines = (some: readonly { pence: number; id: string; name: string; memo: string }[]) =>
	some.map(({ pence, ...one }) => credit({ ...one, amount: (pence / 100).toFixed(2) }));

it('what is written is read, whatever it is, in both ways', () =>
	fc.assert(
		fc.property(lines, fc.boolean(), (some, xml) => {
			const [only] = statementsOf(written(asLines(some), { xml }));
			expect(
				only!.entries.map((one) => [
					one.amount,
					one.bankReference,
					one.details[0]!.counterpartyName,
					one.details[0]!.text
				])
			).toEqual(some.map((one) => [one.pence, one.id, one.name, one.memo]));
		})
	));

it('what is damaged anywhere is read or refused', () =>
	fc.assert(
		fc.property(lines, fc.nat(), fc.nat(9), fc.string({ maxLength: 3 }), (some, at, cut, put) => {
			const text = written(asLines(some));
			const place = at % text.length;
			const result = readBankText(text.slice(0, place) + put + text.slice(place + cut));
			// Whatever it says, it says it: more entries than there were are not made up.
			if (result.ok)
				expect(result.value.flatMap((one) => one.entries).length).toBeLessThanOrEqual(some.length);
			else expect(result.problems.length).toBeGreaterThan(0);
		})
	));
