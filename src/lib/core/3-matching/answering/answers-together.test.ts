import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';

import { answerReceipts } from './answer-receipts';
import type { Band } from '../answer';

import { customer, item, receipt, customers, number, books, brief, sum } from './testing-potteries';

describe('a pile together', () => {
	it('what others name is not there for those that name nothing', () => {
		const items = [item(1, 1, 5_000, { number: number(1) }), item(2, 1, 5_000, { number: number(2) })];
		const named = receipt(5_000, { payerAccount: 'ACC1', text: number(1) });
		const silent = receipt(5_000, { payerAccount: 'ACC1', booked: day('2026-10-27') });
		expect(brief(silent, [silent, named], { items }).items).toEqual([2]);
	});
	it('equal monthly sums take one item after another', () => {
		const items = [1, 2, 3].map((id) =>
			item(id, 1, 48_000, { number: number(id), due: day(`2026-0${id}-01`) })
		);
		const pile = [1, 2, 3].map((n) =>
			receipt(48_000, { payerAccount: 'ACC1', booked: day(`2026-10-0${n}`) })
		);
		expect(pile.map((one) => brief(one, pile, { items }).items[0])).toEqual([1, 2, 3]);
	});
	it('the same sum for the same number by the same payer looks paid twice', () => {
		const pile = [receipt(sum(103)), receipt(sum(103))].map((one) => ({
			...{ ...one, payerAccount: 'ACC1', text: number(103) }
		}));
		expect(brief(pile[1]!, pile)).toMatchObject({ band: 'likely', items: [], onAccount: sum(103) });
		expect(brief(pile[1]!, pile).codes).toContain('paid-twice');
	});
});

describe('whatever is in the pile', () => {
	const STRENGTH: Readonly<Record<Band, number>> = { certain: 3, likely: 2, choose: 1, none: 0 };
	const words = fc.constantFrom(
		'',
		'BACS',
		number(101),
		'AK-4O102',
		'on account',
		'statement',
		'40103/04',
		'part'
	);
	const who = fc.constantFrom(
		'HAZEL HILL POTTERY',
		'WICKER LANE CERAMICS',
		'NOBODY AT ALL',
		'ALDER BANK WORKSHO'
	);
	const account = fc.constantFrom('ACC1', 'ACC2', null, 'X');
	const amount = fc.oneof(
		fc.constantFrom(
			...[1, 10 ** 13, 5_000, sum(101), sum(102, 103), sum(100, 101, 102, 103), sum(101) - 4_358]
		),
		fc.integer({ min: 1, max: 300_000 })
	);
	const facts = fc.record({ amount, text: words, payerName: who, payerAccount: account });
	const pileOf = (
		rows: readonly { amount: number; text: string; payerName: string; payerAccount: string | null }[]
	) => rows.map(({ amount: value, ...over }, i) => ({ ...receipt(value, over), id: i + 1 }));

	it('order changes nothing, cash adds up, nothing is taken twice or beyond what is open', () => {
		fc.assert(
			fc.property(fc.array(facts, { maxLength: 8 }), fc.infiniteStream(fc.nat()), (rows, random) => {
				const pile = pileOf(rows);
				const shuffled = <T>(list: readonly T[]) =>
					list
						.map((one) => ({ one, at: random.next().value as number }))
						.sort((a, b) => a.at - b.at)
						.map(({ one }) => one);
				const answers = answerReceipts(pile, books);
				const again = answerReceipts(shuffled(pile), {
					customers: shuffled(books.customers),
					items: shuffled(books.items)
				});
				for (const answer of answers)
					expect(again.find((one) => one.receiptId === answer.receiptId)).toEqual(answer);
				const taken = new Map<number, number>();
				for (const answer of answers) {
					const cash = answer.lines.reduce((total, line) => total + line.cash, 0);
					expect(cash + answer.onAccount).toBe(pile.find((one) => one.id === answer.receiptId)!.amount);
					if (STRENGTH[answer.band] < 2) continue;
					for (const line of answer.lines)
						taken.set(line.itemId, (taken.get(line.itemId) ?? 0) + Math.abs(line.cash));
				}
				for (const [id, cash] of taken) expect(cash).toBeLessThanOrEqual(sum(id));
			})
		);
	});

	it('what others pay changes nothing that names what it pays', () => {
		const strange = fc.array(
			fc.record({
				...{
					amount: fc.integer({ min: 1, max: 300_000 }),
					text: fc.constantFrom('', 'BACS', 'rent', 'RF18', '99999')
				},
				...{ payerName: fc.constantFrom('NOBODY AT ALL', 'TAX OFFICE'), payerAccount: fc.constant(null) }
			}),
			{ maxLength: 6 }
		);
		fc.assert(
			fc.property(fc.array(facts, { maxLength: 5 }), strange, (rows, more) => {
				const pile = pileOf(rows);
				const others = pileOf(more).map((one) => ({ ...one, id: one.id + 100 }));
				const alone = answerReceipts(pile, books);
				const among = answerReceipts([...others, ...pile], books);
				expect(among.filter((one) => one.receiptId <= 100)).toEqual(alone);
			})
		);
	});

	it('a known account never makes an answer less sure than no account', () => {
		fc.assert(
			fc.property(amount, words, (value, text) => {
				const of = (over: Partial<ReceiptFacts>) =>
					STRENGTH[brief({ ...receipt(value, { text, ...over }), id: 1 }).band];
				const name = of({ payerName: 'HAZEL HILL POTTERY' });
				expect(of({ payerName: 'HAZEL HILL POTTERY', payerAccount: 'ACC1' })).toBeGreaterThanOrEqual(name);
				expect(name).toBeGreaterThanOrEqual(of({ payerName: 'NOBODY AT ALL' }));
			})
		);
	});

	it.each([
		['empty books', [], [], receipt(100)],
		[
			'five thousand identical invoices',
			[customer(1, 'A')],
			Array.from({ length: 5_000 }, (_, i) => item(i, 1, 48_000)),
			receipt(96_000, { payerAccount: 'ACC1' })
		],
		[
			'ten thousand characters made to be slow',
			customers,
			books.items,
			receipt(1, { text: '40101/'.repeat(1_700), payerAccount: 'ACC1' })
		],
		[
			'names of one letter',
			[customer(1, 'A'), customer(2, 'B')],
			[item(1, 1, 5)],
			receipt(5, { payerName: 'A' })
		],
		...[
			'RF12 '.repeat(2_000),
			'RF12ABCD'.repeat(1_250),
			'SP Z '.repeat(2_000),
			'No.'.repeat(3_333),
			'40101-40199 '.repeat(800),
			'4O101 '.repeat(1_600),
			'1'.repeat(10_000),
			'#'.repeat(10_000),
			`40101/${'01/02/'.repeat(800)}`
		].flatMap((text): [string, Customer[], readonly OpenItem[], ReceiptFacts][] => [
			[
				`words like ${text.slice(0, 9)}`,
				customers,
				books.items,
				receipt(123_456, { text, payerAccount: 'ACC1' })
			],
			[`a name like ${text.slice(0, 9)}`, customers, books.items, receipt(123_456, { payerName: text })]
		]),
		[
			'five thousand different items, and nothing named',
			[customer(1, 'A')],
			Array.from({ length: 5_000 }, (_, i) => item(i, 1, 1_000 + ((i * 7_919) % 900_000))),
			receipt(1_234_567, { payerAccount: 'ACC1' })
		]
	])('%s: an answer, always', (_, some, items, one) => {
		expect(answerReceipts([one], { customers: some, items })).toHaveLength(1);
	});
});
