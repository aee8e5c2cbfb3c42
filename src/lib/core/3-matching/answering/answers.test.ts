import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import type { Answer, Band } from '../answer';
import { answerReceipts } from './answer-receipts';
import { NO_HABITS, type Habits } from '../lessons/habits';
import type { CreditOnAccount, MatchBooks } from '../match-books';

const customer = (id: number, name: string, over: Partial<Customer> = {}): Customer => ({
	...{ id, code: `C${id}`, name, otherNames: [], payerAccounts: [`ACC${id}`], parentId: null },
	...{ currency: 'GBP', ...over }
});
const CUSTOMERS = [
	customer(1, 'Stannary Education Trust'),
	customer(2, 'Stannary Lane College', { parentId: 1 }),
	customer(3, 'Stannary Bridge School', { parentId: 1 }),
	customer(4, 'Marl Haven Keramik GmbH', { currency: 'EUR' }),
	customer(5, 'Copse Bridge Glassworks')
];
const item = (id: number, customerId: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, {
		...{ customerId, currency: CUSTOMERS[customerId - 1]!.currency },
		...{ issued: addDays(day('2026-06-01'), id), due: addDays(day('2026-07-01'), id), ...over }
	});
const ITEMS = [
	item(11, 1, 51_317),
	item(21, 2, 20_411),
	item(22, 2, 73_009),
	item(31, 3, 12_223),
	item(32, 3, 64_801),
	item(41, 4, 80_000),
	item(42, 4, 31_700),
	item(51, 5, 24_000),
	item(52, 5, 24_000),
	item(53, 5, 38_119),
	item(54, 5, 9_450, { kind: 'credit_note', number: 'AC-7054' }),
	item(55, 5, 61_250),
	item(56, 5, 17_030)
];
const number = (id: number) => `AK-${40_000 + id}`;
const open = (...ids: number[]) => ids.reduce((sum, id) => sum + ITEMS.find((one) => one.id === id)!.open, 0);
let next = 1;
const receipt = (amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id: next++, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: null, text: '', structuredReference: null, endToEndId: null, ...over }
});
const BOOKS: MatchBooks = { customers: CUSTOMERS, items: ITEMS, baseCurrency: 'GBP' };
const answer = (one: ReceiptFacts, over: Partial<MatchBooks> = {}) =>
	answerReceipts([one], { ...BOOKS, ...over })[0]!;
const short = ({ band, customerId, lines }: Answer) => [band, customerId, lines.map((line) => line.itemId)];
const codes = (one: Answer) => one.reasons.map((reason) => reason.code);
const gaps = (one: Answer) =>
	one.lines.flatMap((line) => line.differences.map(({ kind, amount }) => [kind, amount]));

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

describe('what a gap is called', () => {
	const by5 = (gap: number, words: string) =>
		answer(receipt(open(55) - gap, { payerAccount: 'ACC5', text: `${number(55)} ${words}` }));
	it.each<[string, number, string | null, string]>([
		['less damaged', 4_000, 'claim', 'damaged'],
		['abzgl. Bruch', 4_000, 'claim', 'damaged'],
		['short del', 4_000, 'claim', 'missing'],
		['moins retard', 4_000, 'claim', 'late'],
		['prix convenu, remise', 4_000, 'claim', 'price'],
		['goods returned', 4_000, 'claim', 'returned'],
		['minus 40', 4_000, 'claim', 'other'],
		['less WHT', 6_125, 'withholding_tax', ''],
		['retenue à la source', 6_125, 'withholding_tax', ''],
		['thank you', 4_000, null, ''],
		['thank you', 37, 'small_difference', ''],
		['less WHT', 40_000, 'claim', 'other']
	])('“%s” with %d short: %s %s', (words, gap, kind, reason) => {
		const paid = by5(gap, words);
		expect(gaps(paid)).toEqual(kind === null ? [] : [[kind, gap]]);
		const said = paid.reasons.find((one) => one.code === 'claim-said');
		expect(said?.claim ?? '').toBe(reason);
		expect(paid.band).toBe('likely');
	});
	it('a bank on the way keeps full halves, from abroad only', () => {
		const from = (id: number, gap: number) =>
			gaps(
				answer(
					receipt(open(id) - gap, {
						currency: CUSTOMERS[Math.floor(id / 10) - 1]!.currency,
						payerAccount: `ACC${Math.floor(id / 10)}`,
						text: number(id)
					})
				)
			);
		expect(from(41, 1_350)).toEqual([['bank_charge', 1_350]]);
		expect(from(41, 1_351)).toEqual([]);
		expect(from(55, 1_350)).toEqual([]);
	});
	const habits = (id: number, over: Partial<Habits>) => ({
		habits: new Map([[id, { ...NO_HABITS, ...over }]])
	});
	it('what banks kept before, and the rate of tax of before, need no words', () => {
		const known = habits(5, {
			charges: [{ amount: 1_351, currency: 'GBP', times: 2 }],
			taxRates: [{ basisPoints: 1_000, times: 2 }]
		});
		const paid = (gap: number) =>
			gaps(answer(receipt(open(55) - gap, { payerAccount: 'ACC5', text: number(55) }), known));
		expect(paid(1_351)).toEqual([['bank_charge', 1_351]]);
		expect(paid(6_125)).toEqual([['withholding_tax', 6_125]]);
		expect(paid(6_126)).toEqual([]);
	});
	it('tax of several items is shared by what is open of each, to the penny', () => {
		const both = open(55) + open(56);
		const paid = answer(
			receipt(both - 7_828, { payerAccount: 'ACC5', text: `${number(55)} ${number(56)} WHT` })
		);
		expect(paid.lines.reduce((sum, line) => sum + line.differences[0]!.amount, 0)).toBe(7_828);
		expect(gaps(paid)).toEqual([
			['withholding_tax', 6_125],
			['withholding_tax', 1_703]
		]);
	});
	it('a discount is allowed as late as it was before', () => {
		const offered = item(57, 5, 50_000, { discountBasisPoints: 200, discountUntil: day('2026-10-20') });
		const one = receipt(49_000, { payerAccount: 'ACC5', text: number(57) });
		const items = [...ITEMS, offered];
		expect(gaps(answer(one, { items }))).toEqual([]);
		const late = answer(one, { items, ...habits(5, { lateDiscount: { times: 3, days: 9 } }) });
		expect([gaps(late), late.band]).toEqual([[['settlement_discount', 1_000]], 'likely']);
		expect(codes(late)).toContain('late-discount-habit');
	});
	it('two swapped digits are said, and close nothing', () => {
		const paid = answer(receipt(62_150, { payerAccount: 'ACC5', text: number(55) }));
		expect([codes(paid).includes('digits-swapped'), gaps(paid), paid.onAccount]).toEqual([true, [], 900]);
		const silent = answer(receipt(71_030, { payerAccount: 'ACC5' }), {
			items: ITEMS.filter((one) => one.id === 56)
		});
		expect(short(silent)).toEqual(['choose', 5, [56]]);
	});
	it('a part that is said to be one is explained; a part that is not is not', () => {
		const part = (words: string, amount = 20_000) =>
			answer(receipt(amount, { payerAccount: 'ACC5', text: `${words} ${number(55)}` })).band;
		expect(part('part payment')).toBe('certain');
		expect(part('Teilzahlung')).toBe('certain');
		expect(part('first half of', 30_625)).toBe('certain');
		expect(part('your invoice')).toBe('likely');
		expect(part('part payment', 20_017)).toBe('likely');
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
