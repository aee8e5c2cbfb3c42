import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { day } from '../../day/day';
import type { PastPayment } from '../../model/past-payment';
import type { Customer, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { answerReceipts } from '../answering/answer-receipts';
import { nameKey } from '../../text/name-key';
import { learnPayers, lessonsOfHistory, type PayerLesson } from './payer-lessons';
import { wordsKey } from '../../text/words-key';

const lesson = (over: Partial<PayerLesson> = {}): PayerLesson => ({
	...{ trait: 'account', key: 'A1', customerId: 1, times: 1, told: false },
	...over
});

describe('whose something is, as payments have taught', () => {
	test.each<[string, PayerLesson[], [number, number] | null]>([
		['one payment', [lesson()], [1, 1]],
		['several', [lesson({ times: 3 })], [1, 3]],
		['of several customers: nothing', [lesson({ times: 3 }), lesson({ customerId: 2 })], null],
		['of several, and told of one', [lesson({ times: 3 }), lesson({ customerId: 2, told: true })], [2, 1]],
		['told of two: nothing', [lesson({ told: true }), lesson({ customerId: 2, told: true })], null],
		['of another account', [lesson({ key: 'A2' })], null],
		['of a name that is called the same', [lesson({ trait: 'name' })], null],
		['nothing that stands', [lesson({ times: 0 })], null]
	])('%s', (_, lessons, want) => {
		const taught = learnPayers(lessons)('account', 'A1');
		expect(taught && [taught.customerId, taught.times]).toEqual(want);
	});
	it('in any order', () => {
		const all = [
			lesson({ times: 3 }),
			lesson({ customerId: 2, told: true }),
			lesson({ key: 'A2', times: 2 })
		];
		for (const list of [all, [...all].reverse()])
			expect([
				learnPayers(list)('account', 'A1')?.customerId,
				learnPayers(list)('account', 'A2')?.times
			]).toEqual([2, 2]);
	});
	it('a history gives lessons by account and by name, of customers that are known', () => {
		const past = (
			customerCode: string,
			payerName: string | null,
			payerAccount: string | null
		): PastPayment => ({
			...{ customerCode, payerName, payerAccount, date: day('2026-09-01'), amount: minor(100) },
			...{ currency: 'GBP', numbers: [] }
		});
		const rows = [
			past('C1', 'Kiln Corner Ltd', 'A1'),
			past('C1', 'KILN CORNER', 'A1'),
			past('C9', 'Kiln Corner', 'A1')
		];
		expect(lessonsOfHistory([...rows, past('C1', null, null)], new Map([['C1', 1]]))).toEqual([
			lesson({ times: 2 }),
			lesson({ trait: 'name', key: 'KILN CORNER', times: 2 })
		]);
	});
});

describe('words that payments are known by', () => {
	test.each([
		['TERM FEES 2026/3 HARTWELL', 'TERM FEES HARTWELL'],
		['Zahlung Förderverein Töpferhof 0815', 'FORDERVEREIN TOPFERHOF'],
		['BACS payment, thank you', null],
		['hire 4711', null],
		['', null]
	])('“%s”', (text, want) => expect(wordsKey(text)).toBe(want));
});

describe('a payer whom payments have taught', () => {
	const customer = (id: number, name: string): Customer => ({
		...{ id, code: `C${id}`, name, otherNames: [], payerAccounts: [], parentId: null, currency: 'GBP' }
	});
	const customers = [customer(1, 'Hazel Hill Ltd'), customer(2, 'Wicker Lane School')];
	const items = [
		sampleItem(1, 48_219, { customerId: 1 }),
		sampleItem(2, 71_007, { customerId: 1 }),
		sampleItem(3, 33_331, { customerId: 2 })
	];
	const answer = (over: Partial<ReceiptFacts>, payerLessons: PayerLesson[]) => {
		const receipt: ReceiptFacts = {
			...{ id: 1, booked: day('2026-10-28'), amount: minor(48_219), currency: 'GBP', text: '' },
			...{ payerName: 'KILN CORNER', payerAccount: 'A1', structuredReference: null, endToEndId: null },
			...over
		};
		const [given] = answerReceipts([receipt], { customers, items, payerLessons });
		return [given!.band, given!.customerId, given!.lines.map((line) => line.itemId), given!.reasons[0]!.code];
	};
	const named = { text: 'AK-40001' };
	const unpaid = { amount: minor(33_331) };
	test.each<[string, Partial<ReceiptFacts>, PayerLesson[], unknown[]]>([
		['nobody knows the payer', {}, [], ['none', null, [], 'payer-unknown']],
		['one payment is no proof, by amount', {}, [lesson()], ['likely', 1, [1], 'account-taught']],
		['nor by a number', named, [lesson()], ['likely', 1, [1], 'account-taught']],
		['two are, by a number', named, [lesson({ times: 2 })], ['certain', 1, [1], 'account-taught']],
		['and by an amount of its own', {}, [lesson({ times: 2 })], ['certain', 1, [1], 'account-taught']],
		[
			'by name, where the bank gives no account',
			{ ...named, payerAccount: null },
			[lesson({ trait: 'name', key: 'KILN CORNER', times: 2 })],
			['certain', 1, [1], 'name-taught']
		],
		[
			'a name is half a proof beside another account',
			named,
			[lesson({ trait: 'name', key: 'KILN CORNER', times: 5 })],
			['likely', 1, [1], 'name-taught']
		],
		[
			'what one payment taught is no word against a number',
			{ text: 'AK-40003', ...unpaid },
			[lesson()],
			['likely', 2, [3], 'account-taught']
		],
		[
			'a name of a customer is one against the lesson of an account',
			{ payerName: 'WICKER LANE SCHOOL', ...unpaid },
			[lesson({ times: 4 })],
			['certain', 2, [3], 'name-known']
		],
		[
			'words that were said before are for a look',
			{ text: 'clay fund summer term 2026', payerAccount: null },
			[lesson({ trait: 'words', key: 'CLAY FUND SUMMER TERM', times: 4 })],
			['likely', 1, [1], 'payer-unknown']
		],
		[
			'but not those of one payment',
			{ text: 'clay fund summer term 2026', payerAccount: null },
			[lesson({ trait: 'words', key: 'CLAY FUND SUMMER TERM' })],
			['none', null, [], 'payer-unknown']
		],
		[
			'what one payment taught is less than a name that is known',
			{ ...named, payerName: 'HAZEL HILL LTD' },
			[lesson()],
			['certain', 1, [1], 'name-known']
		],
		[
			'and less than one that was cut off',
			{ text: 'AK-40003', payerName: 'WICKER LANE SCHO', ...unpaid },
			[lesson({ customerId: 2 })],
			['certain', 2, [3], 'name-cut']
		],
		['a customer that is gone', {}, [lesson({ customerId: 99 })], ['none', null, [], 'payer-unknown']]
	])('%s', (_, over, lessons, want) => expect(answer(over, lessons)).toEqual(want));

	it('a lesson of whose it is never makes an answer less sure', () => {
		const STRENGTH = ['none', 'choose', 'likely', 'certain'];
		const payer = fc.constantFrom(
			'HAZEL HILL LTD',
			'HAZEL HILL',
			'HAZEL HILL LIMIT',
			'HAZLE HILL',
			'KILN CORNER',
			null
		);
		const text = fc.constantFrom(
			'',
			'AK-40001',
			'AK-4O001',
			'AK-40003',
			'on account',
			'Hazel Hill Ltd',
			'thanks'
		);
		const amount = fc.constantFrom(48_219, 71_007, 119_226, 33_331, 5_000, 48_000);
		const told = fc.record({ times: fc.integer({ min: 1, max: 3 }), told: fc.boolean() });
		fc.assert(
			fc.property(payer, text, amount, told, (payerName, said, sum, over) => {
				const facts = { payerName, text: said, amount: minor(sum) };
				const sure = (lessons: PayerLesson[]) => STRENGTH.indexOf(answer(facts, lessons)[0] as string);
				const taught = (['account', 'name'] as const).map((trait) =>
					lesson({ trait, key: trait === 'account' ? 'A1' : nameKey(payerName ?? ''), ...over })
				);
				// Not where it is said to be somebody else's: then the lesson speaks against it.
				if (said !== 'AK-40003') expect(sure(taught)).toBeGreaterThanOrEqual(sure([]));
			})
		);
	});
});
