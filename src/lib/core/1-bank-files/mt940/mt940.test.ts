import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayFromNumber, dayNumber, day } from '../../day/day';
import { receiptsOfEntry } from '../../2-receipts/receipts-of-entry';
import { problemSentence } from '../../../words';
import { readBankText } from '../read-bank-text';
import { refusalOf, statementsOf } from '../testing-read';

const CRLF = '\r\n';
/** A message of one entry of ten pounds, with its fields as given in place of the usual ones. */
function message(over: Partial<Record<string, string>> = {}): string {
	const fields: readonly (readonly [string, string])[] = [
		['20', 'ODDPENNY'],
		['25', 'GB00ZZAM00000000000001'],
		['28C', '214/1'],
		['60F', 'C261027GBP100,00'],
		['60M', ''],
		['61', '2610281028C10,00NTRFNONREF//B1'],
		['86', 'HAZEL HILL INV 1'],
		['62F', 'C261028GBP110,00'],
		['62M', '']
	];
	const lines = fields
		.map(([tag, usual]) => [tag, tag in over ? over[tag] : usual] as const)
		.flatMap(([tag, text]) => (text ? [`:${tag}:${text}`] : []));
	return [...lines, '-', ''].join(CRLF);
}
const first = (over: Partial<Record<string, string>>) => statementsOf(message(over))[0]!.entries[0]!;

describe('a statement message', () => {
	it('is read into the model that all formats share', () => {
		const [only, ...more] = statementsOf(message());
		expect(more).toEqual([]);
		expect(only).toMatchObject({
			format: 'MT940',
			header: {
				account: 'GB00ZZAM00000000000001',
				currency: 'GBP',
				reference: '214/1 2026-10-28',
				sequence: '214/1'
			},
			balances: { opening: 10000, openingOn: '2026-10-27', closing: 11000, closingOn: '2026-10-28' },
			balanceChecked: true
		});
		expect(only!.entries).toMatchObject([
			{
				amount: 1000,
				booked: '2026-10-28',
				valued: '2026-10-28',
				code: 'NTRF',
				entryReference: 'B1',
				reversal: false
			}
		]);
		expect(receiptsOfEntry(only!.entries[0]!)[0]).toMatchObject({ amount: 1000, text: 'HAZEL HILL INV 1' });
	});
	it('is the same in its envelope, with other line breaks, a mark before it, and cut anywhere', () => {
		const plain = statementsOf(message());
		const envelope = `{1:F01ZZAMGB2LXXXX0000000000}{2:I940ZZAMGB2LXXXXN}{4:${CRLF}${message().replace(/-\r\n$/, '-}')}`;
		const texts = [
			envelope,
			message().replaceAll(CRLF, '\n'),
			message().replaceAll(CRLF, '\r'),
			`\uFEFF${message()}`
		];
		for (const text of [...texts, message().replace(/-\r\n$/, '')]) expect(statementsOf(text)).toEqual(plain);
		const long = message({ '86': `${'LONG '.repeat(900)}END` });
		const whole = statementsOf(long);
		for (const size of [1, 7, 4000, 4001]) {
			const parts = long.match(new RegExp(`[\\s\\S]{1,${size}}`, 'g'))!;
			expect(readBankText(...parts)).toEqual({ ok: true, value: whole });
		}
	});
	it.each([
		['a credit', 'C10,00', { amount: 1000, reversal: false }, '110,00'],
		['a debit', 'D10,00', { amount: -1000, reversal: false }, '90,00'],
		['the reversal of a credit', 'RC10,00', { amount: -1000, reversal: true }, '90,00'],
		['the reversal of a debit', 'RD10,00', { amount: 1000, reversal: true }, '110,00'],
		['a letter of the currency', 'CP10,', { amount: 1000 }, '110,'],
		['a penny', 'CP0,01', { amount: 1 }, '100,01']
	])('has %s', (_, mark, want, closing) => {
		const over = { '61': `2610281028${mark}NTRFNONREF`, '62F': `C261028GBP${closing}` };
		expect(first(over)).toMatchObject(want);
	});
	it('books over the end of a year on the day that is near', () => {
		const over = { '61': '2701021231C10,00NTRFNONREF' };
		expect(first(over)).toMatchObject({ valued: '2027-01-02', booked: '2026-12-31' });
	});
	it('books on the day of value where no other is given', () =>
		expect(first({ '61': '261028C10,00NTRFNONREF' })).toMatchObject({
			booked: '2026-10-28',
			valued: '2026-10-28'
		}));
	it('keeps what its second line adds, and reads what was ordered there', () => {
		expect(first({ '61': `2610281028C10,00NTRFNONREF${CRLF}COUNTER CREDIT` }).text).toBe('COUNTER CREDIT');
		const paid = first({ '61': `2610281028C10,00NTRFNONREF${CRLF}/OCMT/USD12,50/CHGS/GBP0,30/` });
		expect(paid.details[0]).toMatchObject({ instructed: { amount: '12.50', currency: 'USD' }, charges: 30 });
	});
	it('is one of several, and of pages that go on', () => {
		const page1 = message({ '62F': undefined, '62M': 'C261028GBP110,00' });
		const page2 = message({
			...{ '28C': '214/2', '60F': undefined, '60M': 'C261028GBP110,00' },
			'62F': 'C261028GBP120,00'
		});
		const statements = statementsOf(page1 + page2);
		expect(
			statements.map((one) => [one.header.reference, one.balances.opening, one.balances.closing])
		).toEqual([
			['214/1 2026-10-28', 10000, 11000],
			['214/2 2026-10-28', 11000, 12000]
		]);
	});
	it('leaves words of the whole statement, and fields it does not need', () => {
		const text = message().replace(
			'-\r\n',
			':64:C261028GBP110,00\r\n:65:C261029GBP110,00\r\n:86:OUR NEW RATES\r\n-\r\n'
		);
		expect(statementsOf(text)).toEqual(statementsOf(message()));
	});
	it('cuts words that nobody writes, and reads on', () => {
		const words = Array.from({ length: 150_000 }, (_, at) => `:86:WORDS ${at}`).join(CRLF);
		const { text } = first({ '86': `HAZEL${CRLF}${words}` }).details[0]!;
		expect([text.startsWith('HAZEL'), text.length <= 10_000]).toEqual([true, true]);
	});
	it('takes what looks like a field within words for words', () =>
		expect(first({ '86': `SEE${CRLF}:99:HERE${CRLF}: AND` }).details[0]!.text).toBe('SEE :99:HERE : AND'));
	it.each([
		['20050550/1234567890EUR', '200505501234567890'],
		['20050550/4567EUR', '200505500000004567'],
		['ZZAMGB2L/20406012345678', '20406012345678'],
		['GB00 ZZAM 0001', 'GB00ZZAM0001'],
		['204060 12345678', '20406012345678']
	])('is of account %s', (text, want) =>
		expect(
			statementsOf(message({ '25': text }).replaceAll('GBP', text.endsWith('EUR') ? 'EUR' : 'GBP'))[0]!.header
				.account
		).toBe(want)
	);
});

describe('bad input', () => {
	it.each([
		[
			'no such day',
			{ '61': '2602300230C10,00NTRFNONREF' },
			['Statement 214/1, line 5: “260230” in :61: is not a date.']
		],
		[
			'no such day beside the other',
			{ '61': '2703010229C10,00NTRFNONREF' },
			['Statement 214/1, line 5: “0229” in :61: is not a date.']
		],
		[
			'no amount',
			{ '61': '2610281028C10.0.0NTRFNONREF' },
			['Statement 214/1, line 5: the amount “10.0.0” GBP in :61: cannot be taken: it is not a number.']
		],
		[
			'parts of pennies',
			{ '61': '2610281028C10,001NTRFNONREF' },
			[
				'Statement 214/1, line 5: the amount “10,001” GBP in :61: cannot be taken: it has more decimals than the currency.'
			]
		],
		[
			'another direction',
			{ '61': '2610281028X10,00NTRFNONREF' },
			['Statement 214/1, line 5: “2610281028X10,00NTRFNONREF” is not written as field :61: should be.']
		],
		[
			'a balance in words',
			{ '62F': 'C261028GBPTEN' },
			['Statement 214/1, line 7: “C261028GBPTEN” is not written as field :62F: should be.']
		],
		[
			'no closing balance',
			{ '62F': undefined },
			['Statement 214/1, line 1: the part :62F: is missing or not one of its allowed values.']
		],
		[
			'no opening balance',
			{ '60F': undefined },
			['Statement 214/1, line 4: the part :60F: is missing or not one of its allowed values.']
		],
		[
			'no account',
			{ '25': undefined },
			['Statement 214/1, line 1: the part :25: is missing or not one of its allowed values.']
		],
		[
			'a balance that does not agree',
			{ '62F': 'C261028GBP111,00' },
			[
				'Statement 214/1 2026-10-28: the balance is wrong: opening 100.00 and entries of 10.00 do not come to the closing balance of 111.00. Entries may be missing; fetch the statement again.'
			]
		]
	])('%s', (_, over, want) => expect(refusalOf(message(over)).map(problemSentence)).toEqual(want));
	it.each(['60F', '62F'])('a second balance in field %s', (tag) => {
		const twice = message().replace(new RegExp(`:${tag}:[^\\r]*\\r\\n`), '$&$&');
		expect(refusalOf(twice).map(problemSentence)[0]).toContain(`is not written as field :${tag}: should be`);
	});
	it('a file without a message', () =>
		expect(refusalOf('{1:F01ZZAM}{2:I940ZZAM}').map(problemSentence)).toEqual([
			'The file holds no statement.'
		]));
	it('more faults than anybody reads', () => {
		const bad = Array.from({ length: 80 }, () => ':61:x').join(CRLF);
		const said = refusalOf(`:20:A${CRLF}:25:1${CRLF}:28C:1${CRLF}:60F:C261027GBP1,${CRLF}${bad}`).map(
			problemSentence
		);
		expect(said).toHaveLength(51);
	});
});

/** Signs of SWIFT's character set x that stand in words here; no colon or hyphen, which may begin a field or end a message. */
const words = fc.stringMatching(/^[A-Z][A-Z0-9 ]{0,50}[A-Z0-9]$/).map((text) => text.replace(/ +/g, ' '));
const entry = fc.record({
	after: fc.integer({ min: -40, max: 40 }),
	amount: fc.integer({ min: -9_999_999, max: 9_999_999 }).filter((n) => n !== 0),
	reversal: fc.boolean(),
	reference: fc.stringMatching(/^[A-Z][A-Z0-9]{3,12}$/).filter((text) => !/^NON/.test(text)),
	text: words
});
const decimal = (n: number) =>
	`${Math.trunc(Math.abs(n) / 100)},${String(Math.abs(n) % 100).padStart(2, '0')}`;
const short = (text: string) => text.slice(2).replaceAll('-', '');

/** A small writer of the same format, after SWIFT Standards MT, MT 940. */
function written(
	opening: number,
	entries: readonly (typeof entry extends fc.Arbitrary<infer T> ? T : never)[]
): string {
	const on = dayNumber(day('2026-12-20'));
	const balance = (n: number) => `${n < 0 ? 'D' : 'C'}261220GBP${decimal(n)}`;
	const lines = entries.flatMap((one) => {
		const mark = one.reversal ? (one.amount < 0 ? 'RC' : 'RD') : one.amount < 0 ? 'D' : 'C';
		const valued = dayFromNumber(on + one.after);
		return [
			`:61:${short(valued)}1220${mark}${decimal(one.amount)}NTRFNONREF//${one.reference}`,
			...(one.text.match(/.{1,65}/g) ?? []).map((line, at) => (at === 0 ? `:86:${line}` : line))
		];
	});
	const closing = entries.reduce((sum, one) => sum + one.amount, opening);
	return [
		':20:X',
		':25:GB01',
		':28C:1/1',
		`:60F:${balance(opening)}`,
		...lines,
		`:62F:${balance(closing)}`,
		'-'
	].join(CRLF);
}

it('what is written is read, whatever it is', () =>
	fc.assert(
		fc.property(
			fc.integer({ min: -1e9, max: 1e9 }),
			fc.array(entry, { maxLength: 12 }),
			(opening, entries) => {
				const [only] = statementsOf(written(opening, entries));
				expect(only!.balances.opening).toBe(opening);
				expect(
					only!.entries.map((one) => [
						one.amount,
						one.reversal,
						one.entryReference,
						one.booked,
						one.details[0]!.text
					])
				).toEqual(entries.map((one) => [one.amount, one.reversal, one.reference, '2026-12-20', one.text]));
			}
		)
	));

it('what is damaged anywhere is read or refused, never half', () =>
	fc.assert(
		fc.property(
			fc.array(entry, { minLength: 1, maxLength: 4 }),
			fc.nat(),
			fc.nat(4),
			fc.string({ maxLength: 3 }),
			(entries, at, cut, put) => {
				const text = written(100, entries);
				const place = at % text.length;
				const result = readBankText(text.slice(0, place) + put + text.slice(place + cut));
				if (!result.ok) {
					expect(result.problems.length).toBeGreaterThan(0);
					return;
				}
				for (const { balances, entries: found } of result.value)
					expect(found.reduce<number>((sum, one) => sum + one.amount, balances.opening!)).toBe(
						balances.closing
					);
			}
		)
	));
