import fc from 'fast-check';
import { describe, expect, it } from 'vitest';

import { day } from '../../day/day';
import type { ReceiptFacts } from '../../model/records';

import { minor } from '../../money/minor';
import type { Band } from '../answer';
import { answerReceipts } from './answer-receipts';
import { NO_HABITS, type Habits } from '../lessons/habits';
import type { CreditOnAccount, MatchBooks } from '../match-books';
import { CUSTOMERS, item, ITEMS, number, open, receipt, BOOKS, answer, short, codes } from './testing-groups';

describe('accounts of one group', () => {
	it('a parent pays for several branches at once, by their numbers', () => {
		const words = `${number(21)} ${number(32)} ${number(11)}`;
		const paid = answer(receipt(open(21, 32, 11), { payerAccount: 'ACC1', text: words }));
		expect(short(paid)).toEqual(['certain', 1, [11, 21, 32]]);
		expect(codes(paid).filter((code) => code === 'parent-pays')).toHaveLength(2);
	});
	it('for one branch it is the branch’s', () =>
		expect(short(answer(receipt(open(22), { payerAccount: 'ACC1', text: number(22) })))).toEqual([
			'certain',
			2,
			[22]
		]));
	it('numbers of branches of one parent, from nobody known, are for a look', () => {
		const paid = answer(
			receipt(open(21, 31), { payerName: 'MRS HOLM', text: `${number(21)} ${number(31)}` })
		);
		expect(short(paid)).toEqual(['likely', 1, [21, 31]]);
	});
	it('a branch that pays for its sister is somebody else', () =>
		expect(short(answer(receipt(open(31), { payerAccount: 'ACC2', text: number(31) })))).toEqual([
			'likely',
			3,
			[31]
		]));
	it('without words, what fits nothing of the parent’s may be a branch’s, never for certain', () => {
		const paid = answer(receipt(open(22), { payerAccount: 'ACC1' }));
		expect(short(paid)).toEqual(['likely', 1, [22]]);
		expect(codes(paid)).toContain('parent-pays');
	});
	it('what fits the parent’s own is no less its own; but with a twin at a branch it is for a look', () => {
		expect(short(answer(receipt(open(11), { payerAccount: 'ACC1' })))).toEqual(['certain', 1, [11]]);
		const twin = [...ITEMS, item(33, 3, open(11))];
		expect(short(answer(receipt(open(11), { payerAccount: 'ACC1' }), { items: twin }))[0]).toBe('likely');
	});
	it('strangers to each other, that come to just what came, are for a look; else a choice', () => {
		const both = { payerName: 'A HOLM', text: `${number(21)} ${number(53)}` };
		expect(short(answer(receipt(open(21, 53), both)))).toEqual(['likely', 2, [21, 53]]);
		expect(answer(receipt(open(21, 53) - 1_000, both)).band).toBe('choose');
	});
});

describe('earlier money on account', () => {
	const credit = (receiptId: number, customerId: number, amount: number): CreditOnAccount => ({
		...{ receiptId, customerId, amount: minor(amount), currency: 'GBP', booked: day('2026-10-01') }
	});
	const credits = [credit(901, 5, 5_000), credit(902, 5, 2_119)];
	it('closes the gap of what is named, to the penny, for a look', () => {
		const paid = answer(receipt(open(53) - 5_000, { payerAccount: 'ACC5', text: number(53) }), { credits });
		expect(short(paid)).toEqual(['likely', 5, [53]]);
		expect(paid.credits).toEqual([{ receiptId: 901, use: 5_000 }]);
		expect([paid.lines[0]!.cash, paid.onAccount]).toEqual([38_119, 0]);
		expect(codes(paid)).toContain('earlier-money');
	});
	it('all of it together, too', () => {
		const paid = answer(receipt(open(53) - 7_119, { payerAccount: 'ACC5', text: number(53) }), { credits });
		expect(paid.credits.map((one) => one.receiptId)).toEqual([901, 902]);
	});
	it('joins where the words name nothing, and what came fits nothing alone', () => {
		const paid = answer(receipt(open(55) - 2_119, { payerAccount: 'ACC5' }), { credits });
		expect([...short(paid), paid.credits.map((one) => one.receiptId)]).toEqual(['likely', 5, [55], [902]]);
	});
	it('is not for two receipts', () => {
		const pile = [53, 55].map((id) => receipt(open(id) - 5_000, { payerAccount: 'ACC5', text: number(id) }));
		const both = answerReceipts(pile, { ...BOOKS, credits });
		expect(both.map((one) => one.band).sort()).toEqual(['choose', 'likely']);
	});
	it('that closes no gap is left alone', () => {
		const paid = answer(receipt(open(53) - 4_000, { payerAccount: 'ACC5', text: number(53) }), { credits });
		expect([paid.credits, paid.onAccount]).toEqual([[], 0]);
	});
});

describe('habits in answers', () => {
	const withHabits = (over: Partial<Habits>) => ({ habits: new Map([[5, { ...NO_HABITS, ...over }]]) });
	const equal = receipt(24_000, { payerAccount: 'ACC5' });
	it('of equal ones the oldest, and for certain only where it always was', () => {
		expect(short(answer(equal))).toEqual(['likely', 5, [51]]);
		expect(answer(equal, withHabits({ oldestFirst: { times: 4, not: 0 } })).band).toBe('likely');
		const firm = answer(equal, withHabits({ oldestFirst: { times: 9, not: 0 } }));
		expect([firm.band, codes(firm).includes('oldest-habit')]).toEqual(['certain', true]);
		expect(answer(equal, withHabits({ oldestFirst: { times: 9, not: 1 } })).band).toBe('likely');
	});
	it('sums of their own go onto the oldest', () => {
		const some = receipt(50_000, { payerAccount: 'ACC5' });
		expect(answer(some).lines).toEqual([]);
		const filled = answer(some, withHabits({ fillsOldest: { times: 4, of: 5 } }));
		expect(filled.lines.map((line) => [line.itemId, line.cash])).toEqual([
			[51, 24_000],
			[52, 24_000],
			[53, 2_000]
		]);
		expect(filled.band).toBe('likely');
	});
	it('a round sum that fits nothing is said to be one', () =>
		expect(codes(answer(receipt(50_000, { payerAccount: 'ACC5' })))).toContain('round-sum'));
});

describe('a list that was cut off', () => {
	const words = `Invoices ${number(53)}, ${number(55)}, AK-4`;
	it('is completed where only one set comes to the rest', () => {
		const paid = answer(receipt(open(53, 55, 56), { payerAccount: 'ACC5', text: words }));
		expect(short(paid)).toEqual(['likely', 5, [53, 55, 56]]);
		expect(codes(paid)).toContain('list-cut');
	});
	it('of several sets one is a choice', () =>
		expect(
			answer(receipt(open(53, 55, 51), { payerAccount: 'ACC5', text: words }), {
				items: [...ITEMS, item(58, 5, 12_000), item(59, 5, 12_000)]
			}).band
		).toBe('choose'));
	it('that was not cut off is not', () => {
		const whole = `Invoices ${number(53)} and ${number(55)} thanks`;
		expect(short(answer(receipt(open(53, 55, 56), { payerAccount: 'ACC5', text: whole })))[2]).toEqual([
			53, 55
		]);
	});
});

describe('any books', () => {
	const STRENGTH: Readonly<Record<Band, number>> = { certain: 3, likely: 2, choose: 1, none: 0 };
	const amount = fc.oneof(
		fc.constantFrom(
			open(11),
			open(21, 32),
			open(51),
			open(53, 54 - 3),
			open(53) - 5_000,
			open(55) - 2_119,
			50_000
		),
		fc.subarray([11, 21, 22, 31, 51, 53, 55, 56], { minLength: 1, maxLength: 3 }).map((ids) => open(...ids)),
		fc.integer({ min: 1, max: 200_000 })
	);
	const words = fc.constantFrom(
		...[
			'',
			number(21),
			`${number(21)} ${number(53)}`,
			`part payment ${number(55)}`,
			`${number(55)} less WHT`,
			'on account'
		],
		...[`${number(53)}, AK-4`, 'statement', '40055 short del', 'AK-4OO53']
	);
	const name = fc.constantFrom(
		'STANNARY LANE COLEGE',
		'Stannary Education Trust',
		'COPSE BRIDGE GLASS',
		'MR X'
	);
	const account = fc.constantFrom(null, 'ACC1', 'ACC2', 'ACC5', 'NEW');
	const facts = fc.record({ amount, text: words, payerName: name, payerAccount: account });
	const credits: readonly CreditOnAccount[] = [5_000, 2_119, 9_999].map((sum, i) => ({
		...{ receiptId: 901 + i, customerId: i === 2 ? 1 : 5, amount: minor(sum), currency: 'GBP' },
		booked: day('2026-10-01')
	}));
	const habits = new Map<number, Habits>([
		[5, { ...NO_HABITS, oldestFirst: { times: 8, not: 0 }, fillsOldest: { times: 4, of: 6 } }],
		[1, { ...NO_HABITS, byStatement: { times: 4, of: 5 } }]
	]);

	it('order changes nothing, cash and earlier money add up, nothing is taken twice', () => {
		fc.assert(
			fc.property(fc.array(facts, { maxLength: 7 }), fc.infiniteStream(fc.nat()), (rows, random) => {
				const shuffled = <T>(list: readonly T[]) =>
					list
						.map((one) => ({ one, at: random.next().value as number }))
						.sort((a, b) => a.at - b.at)
						.map(({ one }) => one);
				const pile = rows.map(({ amount: sum, ...over }, i) => ({ ...receipt(sum, over), id: i + 1 }));
				const books = { ...BOOKS, credits, habits };
				const answers = answerReceipts(pile, books);
				const again = answerReceipts(shuffled(pile), {
					...books,
					...{ customers: shuffled(CUSTOMERS), items: shuffled(ITEMS), credits: shuffled(credits) }
				});
				const [cash, used] = [new Map<number, number>(), new Map<number, number>()];
				for (const one of answers) {
					expect(again.find((other) => other.receiptId === one.receiptId)).toEqual(one);
					const came = pile.find(({ id }) => id === one.receiptId)!.amount;
					const earlier = one.credits.reduce((sum, credit) => sum + credit.use, 0);
					const laid = one.lines.reduce((sum, line) => sum + line.cash, 0);
					expect(laid + one.onAccount).toBe(came + earlier);
					expect(one.onAccount).toBeGreaterThanOrEqual(0);
					if (one.band === 'certain') expect(one.credits).toEqual([]);
					if (STRENGTH[one.band] < 2) continue;
					for (const line of one.lines) {
						const settled = Math.abs(line.cash) + line.differences.reduce((sum, gap) => sum + gap.amount, 0);
						cash.set(line.itemId, (cash.get(line.itemId) ?? 0) + settled);
					}
					for (const credit of one.credits)
						used.set(credit.receiptId, (used.get(credit.receiptId) ?? 0) + credit.use);
				}
				for (const [id, sum] of cash) expect(sum).toBeLessThanOrEqual(open(id));
				for (const [id, sum] of used)
					expect(sum).toBeLessThanOrEqual(credits.find((one) => one.receiptId === id)!.amount);
			})
		);
	});

	it('more evidence never makes an answer less sure', () => {
		const band = (one: ReceiptFacts, over: Partial<MatchBooks> = {}) => STRENGTH[answer(one, over).band];
		const own = fc.constantFrom(51, 53, 55, 56);
		fc.assert(
			fc.property(own, fc.constantFrom('', 'BACS', 'thank you'), (id, text) => {
				const silent = { ...receipt(open(id), { payerName: 'COPSE BRIDGE GLASSWORKS', text }), id: 1 };
				const unknown = { ...silent, payerName: 'MR X' };
				const named = { text: `${text} ${number(id)}` };
				const steps = [
					[unknown, silent],
					[{ ...silent, payerName: 'COPSE BRIDGE GLASSW' }, silent],
					[{ ...silent, payerName: 'COPSE BRIGDE GLASSWORKS' }, silent],
					[silent, { ...silent, payerAccount: 'ACC5' }],
					[silent, { ...silent, ...named }],
					[unknown, { ...unknown, ...named }],
					[
						{ ...unknown, ...named },
						{ ...silent, ...named }
					],
					[
						{ ...silent, payerAccount: 'ACC5' },
						{ ...silent, payerAccount: 'ACC5', ...named }
					],
					[silent, { ...silent, knownCustomerId: 5 }]
				] as const;
				for (const [less, more] of steps) expect(band(more)).toBeGreaterThanOrEqual(band(less));
				expect(band(silent, { habits })).toBeGreaterThanOrEqual(band(silent));
			})
		);
	});
});
