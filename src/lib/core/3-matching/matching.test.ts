import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { day } from '../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../model/records';
import { minor } from '../money/minor';
import { answerReceipts } from './answering/answer-receipts';
import { nameKey } from '../text/name-key';
import { wordsOfText } from '../text/words-of-text';
import { sampleItem } from '../model/sample-item';

const customer = (id: number, name: string, over: Partial<Customer> = {}): Customer => ({
	id,
	code: `C${id}`,
	name,
	otherNames: [],
	payerAccounts: [`ACC${id}`],
	parentId: null,
	currency: 'GBP',
	...over
});
const item = (id: number, customerId: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, {
		customerId,
		due: day(`2026-10-${String((id % 28) + 1).padStart(2, '0')}`),
		...over
	});
const receipt = (amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	id: 1,
	booked: day('2026-10-28'),
	amount: minor(amount),
	currency: 'GBP',
	payerName: null,
	payerAccount: null,
	text: '',
	structuredReference: null,
	endToEndId: null,
	...over
});
const books = {
	customers: [
		customer(1, 'Hazel Hill Pottery Ltd'),
		customer(2, 'Mallory Council'),
		customer(3, 'Mallory School', { parentId: 2, payerAccounts: [] }),
		customer(4, 'Yarrow Ltd'),
		customer(5, 'Yarrow CIC')
	],
	items: [
		item(1, 1, 750),
		item(2, 1, 480),
		item(3, 1, 659),
		item(4, 1, 62, { kind: 'credit_note', number: 'AC-7004' }),
		item(10, 3, 900),
		item(11, 2, 333),
		item(20, 4, 100),
		item(21, 5, 100),
		item(30, 2, 5000, { paymentReference: 'RF18AK40030', purchaseOrder: 'PO778' })
	],
	settledNumbers: ['AK-39999']
};
const answer = (one: ReceiptFacts) => answerReceipts([one], books)[0]!;
const brief = (one: ReceiptFacts) => {
	const { band, customerId, lines, onAccount } = answer(one);
	return [band, customerId, lines.map((line) => [line.itemId, line.cash]), onAccount];
};

describe('the first matcher', () => {
	test.each<[string, ReceiptFacts, unknown[]]>([
		[
			'number, known account, exact',
			receipt(750, { payerAccount: 'ACC1', text: 'INV AK-40001' }),
			['certain', 1, [[1, 750]], 0]
		],
		[
			'number written without its dash',
			receipt(750, { payerAccount: 'ACC1', text: 'ak40001 thanks' }),
			['certain', 1, [[1, 750]], 0]
		],
		[
			'number, name as the bank prints it',
			receipt(750, { payerName: 'HAZEL HILL POTTERY', text: 'AK-40001' }),
			['certain', 1, [[1, 750]], 0]
		],
		[
			'two numbers and a credit note',
			receipt(1168, { payerAccount: 'ACC1', text: 'AK-40001 AK-40002 less AC-7004' }),
			[
				'certain',
				1,
				[
					[4, -62],
					[1, 750],
					[2, 480]
				],
				0
			]
		],
		[
			'number, payer unknown',
			receipt(750, { payerName: 'A Stranger', text: 'AK-40001' }),
			['likely', 1, [[1, 750]], 0]
		],
		[
			'number of another account',
			receipt(750, { payerAccount: 'ACC4', text: 'AK-40001' }),
			['likely', 1, [[1, 750]], 0]
		],
		[
			'a parent for its branch',
			receipt(900, { payerAccount: 'ACC2', text: 'AK-40010' }),
			['certain', 3, [[10, 900]], 0]
		],
		[
			'short',
			receipt(700, { payerAccount: 'ACC1', text: 'AK-40001 less breakage' }),
			['likely', 1, [[1, 700]], 0]
		],
		['long', receipt(800, { payerAccount: 'ACC1', text: 'AK-40001' }), ['likely', 1, [[1, 750]], 50]],
		[
			'a structured reference',
			receipt(5000, { payerAccount: 'ACC2', structuredReference: 'RF18 AK40030' }),
			['certain', 2, [[30, 5000]], 0]
		],
		[
			'an order number',
			receipt(5000, { payerAccount: 'ACC2', text: 'your PO778' }),
			['certain', 2, [[30, 5000]], 0]
		],
		['one amount, no words', receipt(659, { payerAccount: 'ACC1' }), ['certain', 1, [[3, 659]], 0]],
		[
			'two items, no words',
			receipt(1230, { payerAccount: 'ACC1', text: 'BACS' }),
			[
				'certain',
				1,
				[
					[1, 750],
					[2, 480]
				],
				0
			]
		],
		[
			'three items, no words',
			receipt(1889, { payerAccount: 'ACC1' }),
			[
				'certain',
				1,
				[
					[1, 750],
					[2, 480],
					[3, 659]
				],
				0
			]
		],
		['a known payer, nothing fits', receipt(123, { payerAccount: 'ACC1' }), ['choose', 1, [], 123]],
		[
			'a stranger',
			receipt(8041, { payerName: 'MRS L TREVENA', text: 'pots, thank you' }),
			['none', null, [], 8041]
		],
		['a name that two share', receipt(100, { payerName: 'YARROW' }), ['none', null, [], 100]],
		['money that went out', receipt(-100, { payerAccount: 'ACC1' }), ['none', null, [], -100]],
		[
			'a number that is settled with one that is not',
			receipt(750, { payerAccount: 'ACC1', text: 'AK-40001 AK-39999' }),
			['likely', 1, [[1, 750]], 0]
		],
		[
			'another currency',
			receipt(750, { payerAccount: 'ACC1', text: 'AK-40001', currency: 'EUR' }),
			['choose', 1, [], 750]
		]
	])('%s', (_, one, want) => expect(brief(one)).toEqual(want));

	it('takes the oldest of equal amounts, for a person to see', () => {
		const equal = {
			customers: [customer(1, 'A')],
			items: [item(2, 1, 480, { due: day('2026-09-01') }), item(1, 1, 480), item(3, 1, 480)]
		};
		const [only] = answerReceipts([receipt(480, { payerAccount: 'ACC1' })], equal);
		expect([only!.band, only!.lines[0]!.itemId, only!.otherAnswers]).toEqual(['likely', 2, 2]);
		expect(only!.reasons.map((reason) => reason.code)).toContain('oldest-of-equal');
	});
	it('means the next instalment when a number names several', () => {
		const kiln = [1, 2, 3].map((part) =>
			item(part, 1, [100, 450, 450][part - 1]!, { documentId: 9, number: 'AK-40009', part, parts: 3 })
		);
		const [only] = answerReceipts([receipt(100, { payerAccount: 'ACC1', text: 'AK-40009' })], {
			customers: [customer(1, 'A')],
			items: kiln
		});
		expect([only!.band, only!.lines.map((line) => line.itemId)]).toEqual(['certain', [1]]);
	});
	it('does not give one invoice to two receipts', () => {
		const two = [
			receipt(750, { id: 1, payerAccount: 'ACC1' }),
			receipt(750, { id: 2, payerAccount: 'ACC1', text: 'AK-40001' })
		];
		expect(answerReceipts(two, books).map((one) => one.band)).toEqual(['choose', 'certain']);
	});
	it('underlines what it read', () => {
		const text = 'INV AK-40001, AK40002.';
		expect(
			answer(receipt(1230, { payerAccount: 'ACC1', text })).recognised.map(({ from, to }) =>
				text.slice(from, to)
			)
		).toEqual(['AK-40001', 'AK40002.']);
	});
});

test.each([
	['Hazel Hill Pottery Ltd.', 'HAZEL HILL POTTERY'],
	['Töpferei Lindenhof GmbH', 'TOPFEREI LINDENHOF'],
	['The Clay & Co', 'CLAY'],
	['Ltd', 'LTD'],
	['Drover’s  Way', 'DROVERS WAY']
])('%s is compared as %s', (name, want) => expect(nameKey(name)).toBe(want));

it('reads text made to be slow in one pass', () =>
	expect(wordsOfText('a-'.repeat(500_000)).length).toBeLessThanOrEqual(1));

describe('properties', () => {
	const world = fc.record({
		opens: fc.array(
			fc.record({
				owner: fc.integer({ min: 1, max: 3 }),
				open: fc.integer({ min: 1, max: 40 }),
				credit: fc.boolean()
			}),
			{ minLength: 1, maxLength: 12 }
		),
		pays: fc.array(
			fc.record({
				from: fc.integer({ min: 1, max: 4 }),
				amount: fc.integer({ min: 1, max: 90 }),
				names: fc.array(fc.integer({ min: 0, max: 14 }), { maxLength: 3 })
			}),
			{ minLength: 1, maxLength: 6 }
		),
		seed: fc.nat()
	});
	const build = ({
		opens,
		pays
	}: {
		opens: { owner: number; open: number; credit: boolean }[];
		pays: { from: number; amount: number; names: number[] }[];
	}) => ({
		customers: [1, 2, 3].map((id) => customer(id, `Customer ${id}`)),
		items: opens.map((one, i) => item(i, one.owner, one.open, one.credit ? { kind: 'credit_note' } : {})),
		receipts: pays.map((one, i) =>
			receipt(one.amount, {
				id: i + 1,
				payerAccount: `ACC${one.from}`,
				text: one.names.map((n) => `AK-${40000 + n}`).join(' ')
			})
		)
	});
	it('cash adds up, nothing is taken beyond what is open, nothing certain is short or has a rival', () =>
		fc.assert(
			fc.property(world, (made) => {
				const { customers, items, receipts } = build(made);
				const open = new Map(items.map((one) => [one.id, one.open as number]));
				const sure = new Map<number, number>();
				for (const [i, one] of answerReceipts(receipts, { customers, items }).entries()) {
					expect(one.lines.reduce((sum, line) => sum + line.cash, 0) + one.onAccount).toBe(
						receipts[i]!.amount
					);
					for (const line of one.lines)
						expect(Math.abs(line.cash)).toBeLessThanOrEqual(open.get(line.itemId)!);
					if (one.band !== 'certain') continue;
					expect([one.onAccount, one.otherAnswers, one.customerId === null]).toEqual([0, 0, false]);
					for (const line of one.lines)
						sure.set(line.itemId, (sure.get(line.itemId) ?? 0) + Math.abs(line.cash));
				}
				for (const [id, taken] of sure) expect(taken).toBeLessThanOrEqual(open.get(id)!);
			})
		));
	it('the order of customers, items and receipts changes no answer', () =>
		fc.assert(
			fc.property(world, (made) => {
				const { customers, items, receipts } = build(made);
				const first = answerReceipts(receipts, { customers, items });
				const again = answerReceipts([...receipts].reverse(), {
					customers: [...customers].reverse(),
					items: [...items].reverse()
				}).reverse();
				expect(again).toEqual(first);
			})
		));
});
