import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import { readBankText } from '../read-bank-text';
import { refusalOf, statementsOf } from '../testing-read';

interface Line {
	readonly amount: number;
	readonly code: string;
	readonly text: string;
	readonly bank: string;
}
const OPENING = 10_000;

/** A small writer of the same format, after BAI version 2: one account of one group, its trailers right. */
function written(
	entries: readonly Line[],
	{ width = 1000, modifier = '2', use = '1', extra = '' } = {}
): string {
	const sum = entries.reduce((total, one) => total + one.amount, 0);
	const closing = OPENING + sum;
	const account = [`03,0012345678,GBP,010,${OPENING},,,015,${closing},,Z${extra}/`];
	for (const { amount, code, text, bank } of entries) {
		const record = `16,${code},${Math.abs(amount)},V,261029,,${bank},,`;
		account.push(`${record}${text.slice(0, width)}`);
		for (const piece of pieces(text.slice(width), width)) account.push(piece);
	}
	const control = OPENING + closing + entries.reduce((total, one) => total + Math.abs(one.amount), 0);
	account.push(`49,${control},${account.length + 1}/`);
	const group = [`02,ODDP,ZZAM,${use},261028,,GBP,${modifier}/`, ...account];
	group.push(`98,${control},1,${group.length + 1}/`);
	const file = ['01,ZZAM,ODDP,261029,0600,77,,,2/', ...group];
	return [...file, `99,${control},1,${file.length + 1}/`, ''].join('\n');
}
const pieces = (text: string, width: number) =>
	(text.match(new RegExp(`.{1,${width}}`, 'g')) ?? []).map((one) => `88,${one}`);
const credit = (over: Partial<Line> = {}): Line => ({
	amount: 1000,
	code: '165',
	text: 'HAZEL HILL INV 1',
	bank: 'B1',
	...over
});

describe('a file of BAI2', () => {
	it('is read into the model that all formats share', () => {
		const [only, ...more] = statementsOf(
			written([credit(), credit({ amount: -250, code: '475', text: 'CHEQUE 7', bank: '' })])
		);
		expect(more).toEqual([]);
		expect(only).toMatchObject({
			format: 'BAI2',
			header: { account: '0012345678', currency: 'GBP', reference: '77 2026-10-28' },
			balances: { opening: 10000, openingOn: '2026-10-27', closing: 10750, closingOn: '2026-10-28' },
			balanceChecked: true
		});
		expect(only!.entries).toMatchObject([
			{ amount: 1000, booked: '2026-10-28', valued: '2026-10-29', code: '165', entryReference: 'B1' },
			{ amount: -250, code: '475', entryReference: null }
		]);
		expect(only!.entries.map((one) => one.details[0]!.text)).toEqual(['HAZEL HILL INV 1', 'CHEQUE 7']);
	});
	it.each([
		['of a credit', '399', 1],
		['of a debit', '400', -1],
		['of a credit of the bank’s own', '920', 1],
		['of a debit of the bank’s own', '999', -1]
	])('takes the direction %s', (_, code, sign) =>
		expect(statementsOf(written([credit({ amount: sign * 5, code })]))[0]!.entries[0]!.amount).toBe(sign * 5)
	);
	it('goes on in records of type 88, in amounts and in words', () => {
		const text = written([credit({ text: 'INV AK-40081, LESS DISCOUNT,/AGREED' })], { width: 13 });
		expect(statementsOf(text)[0]!.entries[0]!.details[0]!.text).toBe('INV AK-40081, LESS DISCOUN T,/AGREED');
		const split = written([credit()], { extra: ',100' }).replace(',100/', '/\n88,100,1000,1,0/');
		const right = split
			.replace(/49,(\d+),3/, (_, sum) => `49,${Number(sum) + 1000},4`)
			.replace(/98,(\d+),1,5/, (_, sum) => `98,${Number(sum) + 1000},1,6`)
			.replace(/99,(\d+),1,7/, (_, sum) => `99,${Number(sum) + 1000},1,8`);
		expect(statementsOf(right)[0]!.entries).toHaveLength(1);
	});
	it.each([
		['none', ''],
		['unknown', 'Z'],
		['at once', '0'],
		['spread over days', 'S,400,300,300'],
		['spread over named days', 'D,2,0,400,3,600']
	])('leaves when it may be used, %s', (_, funds) => {
		const text = written([credit()]).replace('V,261029,', funds);
		expect(statementsOf(text)[0]!.entries[0]).toMatchObject({ entryReference: 'B1', valued: null });
	});
	it('leaves what moves no money', () => {
		const text = written([credit({ amount: 0, code: '890' })]);
		expect(statementsOf(text)[0]!.entries).toEqual([]);
	});
	it('is the same with blanks that fill its records up, and other line breaks', () => {
		const text = written([credit()]);
		expect(statementsOf(text.replace(/\n/g, '          \r\n'))).toEqual(statementsOf(text));
	});
});

describe('bad input', () => {
	const text = written([credit()]);
	it.each([
		[
			'a record that is missing',
			text.replace(/16,.*\n/, ''),
			'record 49 says 22000, but what is before it comes to 21000. Records may be missing; fetch the file again.'
		],
		[
			'a count that is wrong',
			text.replace('49,22000,3', '49,22000,4'),
			'record 49 says 4, but what is before it comes to 3.'
		],
		[
			'a group’s count',
			text.replace('98,22000,1,', '98,22000,2,'),
			'record 98 says 2, but what is before it comes to 1.'
		],
		[
			'a file’s sum',
			text.replace('99,22000', '99,22001'),
			'record 99 says 22001, but what is before it comes to 22000.'
		],
		[
			'a balance that does not agree',
			text.replace('015,11000', '015,11001').replaceAll('22000', '22001'),
			'the balance is wrong'
		],
		['cut off', text.slice(0, text.indexOf('98,')), 'The part 99 is missing'],
		[
			'an amount with a point',
			text.replace('16,165,1000', '16,165,10.00'),
			'the amount “10.00” GBP in 16 cannot be taken: it is not a number'
		],
		[
			'funds of another type',
			text.replace('V,261029,', 'Q'),
			'“Q” is not written as field 16 funds type should be'
		],
		['no such day', text.replace('261028', '260230'), '“260230” in 02 is not a date'],
		['a test', written([credit()], { use: '4' }), '“4” is not written as field 02 group status should be'],
		['a currency that there is not', text.replaceAll('GBP', 'XQX'), 'its currency is not one of ISO 4217'],
		[
			'a type of record that there is not',
			text.replace('16,', '17,'),
			'is not written as field record should be'
		],
		[
			'an entry outside of an account',
			text.replace(/03,.*\n/, ''),
			'“16” is not written as field record should be'
		]
	])('%s', (_, file, want) => expect(refusalOf(file).map(problemSentence).join(' ')).toContain(want));
	it('no account', () =>
		expect(refusalOf('01,A,B,261029,0600,77,,,2/\n99,0,0,2/').map(problemSentence)).toEqual([
			'The file holds no statement.'
		]));
});

const line = fc.record({
	amount: fc.integer({ min: 1, max: 9_999_999 }),
	debit: fc.boolean(),
	text: fc.stringMatching(/^[A-Z][A-Z0-9 ,.-]{0,60}[A-Z0-9]$/).map((text) => text.replace(/ +/g, ' ')),
	bank: fc.stringMatching(/^[A-Z]{4}[0-9]{1,8}$/).filter((text) => !/^NON/.test(text))
});
const lines = fc.array(
	line.map(({ amount, debit, text, bank }) => ({
		amount: debit ? -amount : amount,
		code: debit ? '495' : '195',
		text,
		bank
	})),
	{ minLength: 1, maxLength: 10 }
);

it('what is written is read, whatever it is', () =>
	fc.assert(
		fc.property(lines, (entries) => {
			const [only] = statementsOf(written(entries));
			expect(only!.entries.map((one) => [one.amount, one.entryReference, one.details[0]!.text])).toEqual(
				entries.map((one) => [one.amount, one.bank, one.text])
			);
		})
	));

it('what is damaged anywhere is read or refused, and its balances agree', () =>
	fc.assert(
		fc.property(lines, fc.nat(), fc.nat(4), fc.string({ maxLength: 3 }), (entries, at, cut, put) => {
			const text = written(entries);
			const place = at % text.length;
			const result = readBankText(text.slice(0, place) + put + text.slice(place + cut));
			if (!result.ok) {
				expect(result.problems.length).toBeGreaterThan(0);
				return;
			}
			for (const { balances, entries: found, balanceChecked } of result.value)
				if (balanceChecked)
					expect(found.reduce<number>((sum, one) => sum + one.amount, balances.opening!)).toBe(
						balances.closing
					);
		})
	));
