import { describe, expect, it } from 'vitest';
import { problemSentence } from '../words';
import { readBankTable } from './read-bank-table';
import { openOwnTable } from './read-own-table';
import { recogniseFile } from './recognise-file';
import { isAsking, type TableAnswer } from './table-seen';

const GBP = { number: 'GB00ZZAM20406012345678', currency: 'GBP' };
const EUR = { number: 'DE02200505501234567890', currency: 'EUR' };
const table = (...lines: readonly string[]) => lines.join('\r\n');
function read(text: string, account = GBP, answers: readonly TableAnswer[] = []) {
	const opened = openOwnTable('bank-table', { text, file: null }, answers);
	if (!opened.ok) throw new Error(opened.problems.map(problemSentence).join(' '));
	return readBankTable(opened.value, account);
}
const asLines = (text: string, account = GBP) => {
	const { statement, problems } = read(text, account);
	if (!statement) return problems.map(problemSentence);
	const { opening, closing } = statement.balances;
	return [
		`${opening} to ${closing}`,
		...statement.entries.map(
			({ booked, amount, details: [one] }) =>
				`${booked} ${amount} ${one!.counterpartyName ?? '-'}: ${one!.text}`
		)
	];
};

const ENGLISH = table(
	'Date,Type,Description,Paid out,Paid in,Balance',
	'28/10/2026,CR,HAZEL HILL POTTERY INV AK-1,,"1,200.00","2,191.00"',
	'28/10/2026,CHG,ACCOUNT CHARGES,9.00,,991.00',
	'27/10/2026,,BALANCE BROUGHT FORWARD,,,"1,000.00"'
);
const GERMAN = table(
	'Umsatzanzeige;Datei erstellt am: 31.10.2026',
	'IBAN;DE02 2005 0550 1234 5678 90',
	'',
	'Buchung;Wertstellung;Auftraggeber/Empfänger;Buchungstext;Verwendungszweck;Saldo;Währung;Betrag;Währung',
	'28.10.2026;28.10.2026;Töpferei Linde;Gutschrift;"RE AK-1; Danke";1.200,00;EUR;200,50;EUR',
	'27.10.2026;27.10.2026;Tonwerk Au;Überweisung;Miete;999,50;EUR;-1.000,00;EUR'
);

describe('a bank’s own table', () => {
	it.each([
		[
			'with two columns of amounts, newest first, and a balance carried forward',
			ENGLISH,
			GBP,
			[
				'100000 to 219100',
				'2026-10-28 -900 -: ACCOUNT CHARGES',
				'2026-10-28 120000 -: HAZEL HILL POTTERY INV AK-1'
			]
		],
		[
			'in German, with lines above it',
			GERMAN,
			EUR,
			[
				'199950 to 120000',
				'2026-10-27 -100000 Tonwerk Au: Miete',
				'2026-10-28 20050 Töpferei Linde: RE AK-1; Danke'
			]
		],
		[
			'with a word beside the amount',
			table(
				'Datum;Naam tegenpartij;Tegenrekening;Af Bij;Bedrag (EUR);Mededelingen',
				'20261028;Kleihuis BV;NL02ZZAM0123456789;Bij;1.234,56;AK-1',
				'20261029;Bank;;Af;9,00;Kosten'
			),
			EUR,
			['null to null', '2026-10-28 123456 Kleihuis BV: AK-1', '2026-10-29 -900 Bank: Kosten']
		],
		[
			'with debits that have a minus',
			table('Date,Details,Debit,Credit', '2026-10-28,RENT,-50.00,', '2026-10-28,AK-1,,20.00'),
			GBP,
			['null to null', '2026-10-28 -5000 -: RENT', '2026-10-28 2000 -: AK-1']
		],
		[
			'with details in several columns',
			table(
				'Date,Amount,Description,Reference,Counterparty name',
				'2026-10-28,20.00,PAYMENT,AK-1,HAZEL HILL'
			),
			GBP,
			['null to null', '2026-10-28 2000 HAZEL HILL: PAYMENT AK-1']
		],
		[
			'with words of entries that sound like headings',
			table('When,What,Money', '28/10/2026,DEPOSIT OF A CREDIT BALANCE,20.00'),
			GBP,
			[]
		],
		[
			'without headings, below a title',
			table('Statement of October', '28/10/2026,20.00,DEPOSIT OF A CREDIT'),
			GBP,
			['null to null', '2026-10-28 2000 -: DEPOSIT OF A CREDIT']
		],
		[
			'without headings',
			table('28/10/2026,20.00,HAZEL HILL AK-1', '29/10/2026,-3.50,CHARGES'),
			GBP,
			['null to null', '2026-10-28 2000 -: HAZEL HILL AK-1', '2026-10-29 -350 -: CHARGES']
		]
	])('%s', (_, text, account, want) => {
		expect(asLines(text, account)).toEqual(want);
	});
	it.each([ENGLISH, GERMAN])('is recognised', (text) =>
		expect(recogniseFile(Buffer.from(text))).toBe('bank-table')
	);
	it('leaves out what moved no money, and says which lines', () =>
		expect(read(ENGLISH).seen.leftOut).toEqual([4]));
	it('has a reference that tells two of one day apart', () => {
		const one = (balance: string) =>
			read(table('Date,Amount,Balance', `2026-10-28,20.00,${balance}`)).statement!.header.reference;
		expect([one('20.00'), one('40.00')]).toEqual([
			'2026-10-28 to 2026-10-28 at 2000',
			'2026-10-28 to 2026-10-28 at 4000'
		]);
	});
	it('asks for what it does not say: a column, the order of its dates', () => {
		const { seen } = read(table('When,What,How much', '02/10/2026,AK-1,1.234'));
		expect([isAsking(seen), seen.asks]).toEqual([
			true,
			{ fields: ['booked', 'amount'], dayOrder: false, decimalSign: false }
		]);
		const said: TableAnswer = {
			headings: seen.key,
			columns: { booked: 0, text: 1, amount: 2 },
			dayOrder: null,
			decimalSign: null,
			currency: null
		};
		const next = read(table('When,What,How much', '02/10/2026,AK-1,1.234'), GBP, [said]);
		expect(next.seen.asks).toEqual({ fields: [], dayOrder: true, decimalSign: true });
		const whole = read(table('When,What,How much', '02/10/2026,AK-1,1.234'), GBP, [
			{ ...said, dayOrder: 'day-first', decimalSign: ',' }
		]);
		expect(whole.statement!.entries).toMatchObject([{ booked: '2026-10-02', amount: 123400 }]);
	});
});

describe('what is refused', () => {
	const rows = (headings: string, ...lines: readonly string[]) => table(headings, ...lines);
	it.each([
		[
			'a line that is missing',
			ENGLISH.replace(/28\/10\/2026,CHG[^\r]*\r\n/, ''),
			GBP,
			'Line 2: the balance 2,191.00 does not follow from the line before: it should be 2,200.00.'
		],
		[
			'a line that is there twice',
			ENGLISH.replace(/(28\/10\/2026,CHG[^\r]*\r\n)/, '$1$1'),
			GBP,
			'does not follow from the line before'
		],
		[
			'no such day',
			rows('Date,Amount,Balance', '2026-10-28,1.00,1.00', '2026-02-30,1.00,2.00'),
			GBP,
			'Line 3: “2026-02-30” in booking date cannot be taken: it is not a date.'
		],
		[
			'an amount in words',
			rows('Date,Amount,Balance', '2026-10-28,1.00,1.00', '2026-10-28,1.00,2.00', '2026-10-28,ten,2.00'),
			GBP,
			'Line 4: “ten” in amount cannot be taken: it is not an amount.'
		],
		[
			'parts of pennies',
			rows('Date,Amount,Name', '2026-10-28,1.005,A', '2026-10-28,1.50,B'),
			GBP,
			'it has more decimals than the currency'
		],
		[
			'in and out at once',
			rows('Date,Paid out,Paid in', '2026-10-28,1.00,2.00'),
			GBP,
			'beside it stands what was paid in'
		],
		[
			'debits of both signs',
			rows('Date,Paid out,Paid in', '2026-10-28,1.00,', '2026-10-28,-2.00,'),
			GBP,
			'some of the column are below zero and others are not'
		],
		[
			'a word that is neither',
			rows('Date,Amount,Debit or credit', '2026-10-28,1.00,maybe'),
			GBP,
			'it is neither debit nor credit'
		],
		[
			'credit beside a minus',
			rows('Date,Amount,Debit or credit', '2026-10-28,-1.00,CR'),
			GBP,
			'it says credit beside an amount below zero'
		],
		[
			'another currency',
			rows('Date,Amount,Currency,Name', '2026-10-28,1.00,EUR,A'),
			GBP,
			'the account is kept in GBP'
		],
		[
			'another account',
			rows('Date,Amount,Own account,Name', '2026-10-28,1.00,20-40-60 99999999,A'),
			GBP,
			'it is another account than GB00ZZAM20406012345678'
		],
		[
			'nothing that moved money',
			rows('Date,Amount,Balance', '2026-10-28,0.00,5.00'),
			GBP,
			'The file holds no statement.'
		]
	])('%s', (_, text, account, want) => expect(asLines(text, account).join(' ')).toContain(want));
	it('nothing of the same account by its sort code and number', () =>
		expect(asLines(rows('Date,Amount,Own account,Name', '2026-10-28,1.00,20-40-60 12345678,A'))).toHaveLength(
			2
		));
});
