import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../../day/day';
import type { Customer, OpenItem, ReceiptFacts } from '../../model/records';
import { minor } from '../../money/minor';
import { answerReceipts } from './answer-receipts';
import type { Band } from '../answer';
import { numberDigits } from '../named/number-digits';
import { sampleItem } from '../../model/sample-item';

const customer = (id: number, name: string, over: Partial<Customer> = {}): Customer => ({
	...{
		id,
		code: `C${id}`,
		name,
		otherNames: [],
		payerAccounts: [`ACC${id}`],
		parentId: null,
		currency: 'GBP'
	},
	...over
});
const item = (id: number, customerId: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { customerId, ...over });
let next = 1;
const receipt = (amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id: next++, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: null, text: '', structuredReference: null, endToEndId: null },
	...over
});
const customers = [
	customer(1, 'Hazel Hill Pottery Ltd', { otherNames: ['T/A Kiln Corner Studio'] }),
	customer(2, 'Wicker Lane Ceramics Ltd'),
	customer(3, 'Wicker Lane Ceramics CIC'),
	customer(4, 'Alder Bank Workshops Limited')
];
const number = (n: number) => `AK-${40_000 + n}`;
/** An account with months of items of odd amounts, one a week. */
const months = (customerId: number, count: number) =>
	Array.from({ length: count }, (_, i) =>
		item(customerId * 100 + i, customerId, 10_007 + i * 7_919, {
			number: number(customerId * 100 + i),
			issued: day(`2026-0${1 + Math.floor(i / 4)}-${String(1 + (i % 4) * 7).padStart(2, '0')}`),
			due: day(`2026-0${2 + Math.floor(i / 4)}-${String(1 + (i % 4) * 7).padStart(2, '0')}`)
		})
	);
const books = {
	customers,
	items: [
		...months(1, 12),
		...months(2, 4),
		...months(4, 3),
		item(90, 1, 4_358, { kind: 'credit_note', number: 'AC-7090' })
	]
};
const brief = (one: ReceiptFacts, pile: readonly ReceiptFacts[] = [one], over: object = {}) => {
	const answers = answerReceipts(pile, { ...books, ...over });
	const answer = answers.find((each) => each.receiptId === one.id)!;
	return {
		band: answer.band,
		customer: answer.customerId,
		items: answer.lines.map((line) => line.itemId),
		onAccount: answer.onAccount,
		codes: answer.reasons.map((reason) => reason.code)
	};
};
const sum = (...ids: number[]) =>
	ids.reduce((total, id) => total + books.items.find((one) => one.id === id)!.open, 0);

describe('who pays', () => {
	it.each([
		['a legal form tells two of one name apart', { payerName: 'WICKER LANE CERAMICS LTD' }, 2],
		['a name that was cut off within its legal form', { payerName: 'ALDER BANK WORKSHOPS LI' }, 4],
		['what somebody trades as', { payerName: 'TA KILN CORNER STUDIO' }, 1],
		['a name in the words', { payerName: 'MRS L TREVENA', text: 'for Alder Bank Workshops' }, 4],
		['a name in the words, cut off at their end', { payerName: 'MR X', text: 'Hazel Hill Pot' }, 1]
	])('%s', (_, over, id) => expect(brief(receipt(sum(id * 100 + 1), over)).customer).toBe(id));

	it('a name that fits several is proof with a number of one of them', () => {
		const one = receipt(sum(202), { payerName: 'WICKER LANE CERAMICS', text: number(202) });
		expect(brief(one)).toMatchObject({ band: 'certain', customer: 2, items: [202] });
		expect(brief(one).codes).toContain('name-and-number');
	});
	it('a name in the words alone makes nothing certain', () => {
		const one = receipt(sum(401), { payerName: 'MR X', text: 'Alder Bank Workshops' });
		expect(brief(one).band).toBe('likely');
	});
});

describe('numbers that are not quite right', () => {
	it.each([
		['a letter for a digit', 'AK-4O1O5', 'letter'],
		['two digits swapped', 'AK-40150', 'swapped'],
		['one digit wrong', 'AK-40195', 'digit'],
		['a digit too few', 'AK-4015', 'length']
	])('%s counts where payer and amount agree', (_, text, how) => {
		const one = receipt(sum(105), { payerAccount: 'ACC1', text });
		const [answer] = answerReceipts([one], books);
		expect([answer!.band, answer!.lines[0]!.itemId]).toEqual(['certain', 105]);
		expect(answer!.reasons).toContainEqual(expect.objectContaining({ code: 'number-nearly', how }));
		// Another amount, and the slip proves nothing.
		expect(brief(receipt(sum(105) - 1, { payerAccount: 'ACC1', text })).codes).not.toContain('number-nearly');
	});
	it('but of equal items a slip may mean any', () => {
		const items = [item(1, 1, 5_000, { number: 'AK-40105' }), item(2, 1, 5_000, { number: 'AK-40205' })];
		const one = receipt(5_000, { payerAccount: 'ACC1', text: 'AK-40150' });
		expect(brief(one, [one], { items })).toMatchObject({ band: 'likely', items: [1] });
	});
	it('one beside others that are right', () => {
		const text = `${number(101)}, ${number(103)} and AK-40150`;
		expect(brief(receipt(sum(101, 103, 105), { payerAccount: 'ACC1', text }))).toMatchObject({
			...{ band: 'certain', items: [101, 103, 105] }
		});
	});
});

describe('numbers as people write them', () => {
	const own = (number: string) => ({ items: [item(1, 1, 5_000, { number }), item(2, 1, 7_770)] });
	it.each([
		['over several words', 'RE-2026-000123', 'zu RE 2026 000123 danke'],
		['with other separators', '26/00713', 'facture 26 00713'],
		['its middle digits, where the year stands last', 'K.1837-26', 'factuur 1837'],
		['with its zeros, without the rest', 'RE-2026-000123', '000123'],
		['in three digits, where the sum comes out', 'RE-2026-000123', 'Rg.Nr. 123'],
		['in small letters and run together', 'K.1837-26', 'k183726']
	])('%s', (_, number, text) => {
		const one = receipt(5_000, { payerAccount: 'ACC1', text });
		expect(brief(one, [one], own(number))).toMatchObject({ band: 'certain', items: [1] });
	});
	it('three digits prove nothing where the sum does not come out', () => {
		const one = receipt(4_000, { payerAccount: 'ACC1', text: 'Rg.Nr. 123' });
		expect(brief(one, [one], own('RE-2026-000123')).items).toEqual([]);
	});
	it.each([
		['AK-40233', '40233'],
		['RE/2026/00071', '71'],
		['K.1837-26', '1837'],
		['1234-2026', '1234'],
		['2026', '2026'],
		['ABC', null]
	])('the digits of %s are %s', (number, digits) => expect(numberDigits(number)).toBe(digits));

	it('of two equal credit notes none joins for certain', () => {
		const items = [
			item(1, 1, 20_000, { number: 'AK-40105' }),
			...[2, 3].map((id) => item(id, 1, 900, { kind: 'credit_note', number: `AC-${id}` }))
		];
		const one = receipt(19_100, { payerAccount: 'ACC1', text: 'AK-40105' });
		expect(brief(one, [one], { items }).band).toBe('likely');
	});
});

describe('what for, where the words name nothing', () => {
	it('all up to a day, and all but one of them', () => {
		const upTo = sum(100, 101, 102, 103, 104, 105);
		const found = brief(receipt(upTo, { payerAccount: 'ACC1', text: 'statement' }));
		expect(found).toMatchObject({ band: 'certain', items: [100, 101, 102, 103, 104, 105] });
		expect(found.codes).toContain('all-until');
		const but = brief(receipt(upTo - sum(102), { payerAccount: 'ACC1', text: 'acct to date' }));
		expect(but.items).toEqual([100, 101, 103, 104, 105]);
	});
	it('a credit note joins named items where it closes the gap', () => {
		const text = `${number(101)} ${number(102)} less credit`;
		expect(brief(receipt(sum(101, 102) - 4_358, { payerAccount: 'ACC1', text }))).toMatchObject({
			...{ band: 'certain', items: [90, 101, 102], onAccount: 0 }
		});
	});
	it('on account where the words say so, and not where a number stands beside it', () => {
		const text = 'PAYMENT ON ACCOUNT';
		expect(brief(receipt(50_000, { payerAccount: 'ACC1', text }))).toMatchObject({
			...{ band: 'certain', customer: 1, items: [], onAccount: 50_000 }
		});
		const numbered = receipt(50_000, { payerAccount: 'ACC1', text: `${text} 88231` });
		expect(brief(numbered).band).toBe('likely');
	});
	it('the discount of the terms, where one item less its discount is just what came', () => {
		const terms = item(500, 4, 10_000, { discountBasisPoints: 200, discountUntil: day('2026-10-30') });
		const [answer] = answerReceipts([receipt(9_800, { payerAccount: 'ACC4' })], {
			customers,
			items: [terms, ...months(4, 3)]
		});
		expect(answer).toMatchObject({
			band: 'likely',
			lines: [{ itemId: 500, cash: 9_800, differences: [{ kind: 'settlement_discount', amount: 200 }] }]
		});
	});
	it('words of a part make nothing certain', () => {
		expect(brief(receipt(sum(104), { payerAccount: 'ACC1', text: 'part payment' })).band).toBe('likely');
	});
});

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
