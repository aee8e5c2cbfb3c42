import { describe, expect, it, test } from 'vitest';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { answerReceipts } from '../answering/answer-receipts';
import { numberDigits } from './number-digits';

const customer = (id: number, name: string): Customer => ({
	...{
		id,
		code: `C${id}`,
		name,
		otherNames: [],
		payerAccounts: [`ACC${id}`],
		parentId: null,
		currency: 'GBP'
	}
});
const item = (id: number, number: string, open: number, customerId = 1, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { number, customerId, ...over });
const customers = [
	customer(1, 'Wicker Lane Adult Learning'),
	customer(2, 'Garrick Kilns'),
	customer(3, 'Garrick Kilns North')
];
const items = [
	item(1, 'AK-40233', 1_000),
	item(2, 'AK-40234', 2_000),
	item(3, 'AK-40251', 4_000),
	item(4, 'AK-41151', 8_000),
	item(5, 'RE/2026/00071', 16_000),
	item(6, 'AK-40500', 32_000, 2),
	item(7, 'AK-9912', 64_000, 2)
];
const answer = (amount: number, text: string, over: Partial<ReceiptFacts> = {}) =>
	answerReceipts(
		[
			{
				...{ id: 1, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP' },
				...{ payerName: null, payerAccount: 'ACC1', text, structuredReference: null, endToEndId: null },
				...over
			}
		],
		{ customers, items }
	)[0]!;
const read = (amount: number, text: string, over: Partial<ReceiptFacts> = {}) => {
	const one = answer(amount, text, over);
	return [one.band, ...one.lines.map((line) => line.itemId)];
};

describe('numbers as people write them', () => {
	test.each<[string, number, string, unknown[]]>([
		['without the prefix', 1_000, 'inv 40233', ['certain', 1]],
		['with a word glued before it', 1_000, 'No.AK-40233', ['certain', 1]],
		['with a sign before it', 1_000, '#40233', ['certain', 1]],
		['with a word and a year', 16_000, 'Rg.Nr.:RE/2026/00071', ['certain', 5]],
		['with zeros before it', 1_000, 'no. 0040233', ['certain', 1]],
		['several, at slashes', 3_000, 'AK-40233/AK-40234', ['certain', 1, 2]],
		['several without the prefix', 3_000, '40233/40234', ['certain', 1, 2]],
		['shortened in a list', 7_000, '40233/34/51', ['certain', 1, 2, 3]],
		['shortened after zeros', 7_000, '0040233/34/51', ['certain', 1, 2, 3]],
		['shortened to what only the amount tells', 9_000, '40233/51', ['certain', 1, 4]],
		['the digits of another pattern', 16_000, 'Rechnung 00071', ['likely', 5]],
		['a sign before it', 1_000, '#40233', ['certain', 1]],
		['with a full stop', 1_000, 'paying 40233.', ['certain', 1]]
	])('%s', (_, amount, text, wanted) => {
		if (wanted[0] === 'likely') expect(read(amount, text).slice(1)).toEqual(wanted.slice(1));
		else expect(read(amount, text)).toEqual(wanted);
	});
	it('what is recognised is underlined, each part by itself', () => {
		const text = 'inv 40233/34 thanks';
		expect(answer(3_000, text).recognised.map(({ from, to }) => text.slice(from, to))).toEqual([
			'40233',
			'34'
		]);
	});
	it('a shortened list that could be read in two ways names none of them', () => {
		const two = [...items, item(8, 'AK-42251', 8_000)];
		const one = answerReceipts(
			[
				{
					...{ id: 1, booked: day('2026-10-28'), amount: minor(9_000), currency: 'GBP', payerName: null },
					...{ payerAccount: 'ACC1', text: '40233/51', structuredReference: null, endToEndId: null }
				}
			],
			{ customers, items: two }
		)[0]!;
		expect(one.band).not.toBe('certain');
	});
	it('digits alone are somebody else’s number with five of them, or where just that came, and never certain', () => {
		expect(read(32_000, '40500', { payerAccount: 'NEW' })).toEqual(['likely', 6]);
		expect(read(64_000, '9912', { payerAccount: 'NEW' })[0]).toBe('likely');
		expect(read(64_001, '9912', { payerAccount: 'NEW' })[0]).toBe('none');
	});
	it('a year, an amount or a day is no number of ours', () => {
		expect(read(777, 'paid 2026 10.2026 40,233')[0]).not.toBe('certain');
	});
});

describe('a run of numbers', () => {
	test.each<[string, number, string, number[]]>([
		['from the first to the last, as one word', 7_000, '40233-40251', [1, 2, 3]],
		['with prefixes and spaces', 7_000, 'AK-40233 - AK-40251', [1, 2, 3]],
		['in words', 7_000, 'invoices AK40233 to AK40251', [1, 2, 3]],
		['with a space in each', 7_000, 'AK 40233 to AK 40251', [1, 2, 3]],
		['the last shortened', 7_000, '40233-51', [1, 2, 3]],
		['just the ends, where those come to the amount', 5_000, '40233-40251', [1, 3]],
		['of two neighbours', 3_000, '40233-40234', [1, 2]],
		['all of it, where too little came', 6_950, '40233 bis 40251', [1, 2, 3]]
	])('%s', (_, amount, text, wanted) => {
		expect(read(amount, text).slice(1)).toEqual(wanted);
	});
	it('nobody known, it is that of the one account that has both', () => {
		expect(read(7_000, '40233-40251', { payerAccount: 'NEW' }).slice(1)).toEqual([1, 2, 3]);
	});
	test.each([
		['whose ends are of two accounts', 47_000, '40233-40500', 'NEW'],
		['that ends before it begins', 777, '40251-40233', 'ACC1'],
		['that is a day', 777, '2026-10-28', 'ACC1'],
		['whose end is not open', 777, '40233-40239', 'ACC1'],
		['that is too long', 777, '40234-41151', 'ACC1']
	])('is none, %s', (_, amount, text, payerAccount) => {
		expect(read(amount, text, { payerAccount }).slice(1)).toEqual([]);
	});
	it('is underlined as one', () => {
		const text = 'for 40233-40251, thanks';
		expect(answer(7_000, text).recognised.map(({ from, to }) => text.slice(from, to))).toEqual([
			'40233-40251'
		]);
	});
	it('that is a number of ours is just that', () => {
		const one = answerReceipts(
			[
				{
					...{ id: 1, booked: day('2026-10-28'), amount: minor(500), currency: 'GBP', payerName: null },
					...{ payerAccount: 'ACC1', text: '40233-40251', structuredReference: null, endToEndId: null }
				}
			],
			{ customers, items: [...items, item(9, '40233-40251', 500)] }
		)[0]!;
		expect(one.lines.map((line) => line.itemId)).toEqual([9]);
	});
});

describe('a name that the bank cut off', () => {
	it('is that of the one customer whose begins so', () => {
		expect(read(1_000, 'AK-40233', { payerAccount: null, payerName: 'WICKER LANE ADULT L' })).toEqual([
			'certain',
			1
		]);
	});
	it('with an amount alone it is for a person to look at', () => {
		expect(read(1_000, 'thanks', { payerAccount: null, payerName: 'WICKER LANE ADULT L' })).toEqual([
			'likely',
			1
		]);
	});
	it.each(['WICKER LANE', 'GARRICK KILNS NORTHERN POTTERIES', 'WICKER LANE ADULTS'])(
		'%s proves nobody',
		(payerName) => {
			expect(answer(1_000, 'thanks', { payerAccount: null, payerName }).customerId).toBeNull();
		}
	);
});

test.each([
	['AK-40233', '40233'],
	['RE/2026/00071', '71'],
	['2026-0007-B', '7'],
	['none', null],
	['A000', null]
])('the digits of %s', (number, digits) => expect(numberDigits(number)).toBe(digits));

describe('a creditor reference', () => {
	// Its check digits are those of ISO 11649.
	const asked = item(8, 'AK-40777', 500, 1, { paymentReference: 'RF18539007547034' });
	const of = (text: string, amount = 500) => {
		const facts = { booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null };
		const one = { id: 1, ...facts, payerAccount: 'ACC1', text, structuredReference: null, endToEndId: null };
		const [given] = answerReceipts([one], { customers, items: [...items, asked, item(9, 'AK-40778', 700)] });
		return [
			given!.band,
			given!.lines.map((line) => line.itemId),
			given!.reasons.some((why) => why.code === 'number-nearly')
		];
	};
	test.each([
		['in groups of four', 'ref RF18 5390 0754 7034', 500, ['certain', [8], false]],
		['in one, with words after it', 'RF18539007547034 thanks', 500, ['certain', [8], false]],
		['with less than was asked for', 'RF18539007547034', 400, ['likely', [8], false]],
		['with two digits swapped, and just what is open', 'RF18 5390 0754 7043', 500, ['certain', [8], true]],
		['with a digit missing', 'RF1853900754703', 500, ['certain', [8], true]],
		['with a slip, and another sum', 'RF18 5390 0754 7043', 400, ['choose', [], false]]
	])('%s', (_, text, amount, want) => expect(of(text, amount)).toEqual(want));
});

it('a number that is settled is recognised where it stands, and called as it is written in the books', () => {
	const facts = { booked: day('2026-10-28'), amount: minor(1_000), currency: 'GBP', payerName: null };
	const text = 'AK-40233 and No.AK-39999';
	const one = { id: 1, ...facts, payerAccount: 'ACC1', text, structuredReference: null, endToEndId: null };
	const [given] = answerReceipts([one], { customers, items, settledNumbers: ['AK-39999'] });
	expect(given!.recognised.map(({ from, to }) => text.slice(from, to))).toEqual(['AK-40233', 'AK-39999']);
	expect(given!.reasons.at(-1)).toEqual({ code: 'number-settled', number: 'AK-39999' });
});
