import { describe, expect, it } from 'vitest';
import { addDays } from '../../day/arithmetic';
import { day } from '../../day/day';
import type { Customer, ReceiptFacts } from '../../model/records';
import { sampleItem } from '../../model/sample-item';
import { minor } from '../../money/minor';
import { answerReceipts } from '../answering/answer-receipts';

const customer = (id: number, name: string, account = true): Customer => ({
	...{ id, code: `C${id}`, name, otherNames: [], parentId: null, currency: 'GBP' },
	payerAccounts: account ? [`ACC${id}`] : []
});
const customers = [
	customer(1, 'Marlow Street Kilns Ltd'),
	customer(2, 'Marlow Street Kilns', false),
	customer(3, 'Yarrow Mill Ceramics Ltd', false)
];
/** Three of the same sum, and others between them. */
const items = [
	...[24_500, 13_240, 56_611, 24_500, 24_500].map((open, i) =>
		sampleItem(i + 1, open, { customerId: 1, due: addDays(day('2026-08-01'), i * 20) })
	),
	sampleItem(6, 30_017, { customerId: 2 }),
	sampleItem(7, 91_300, { customerId: 3 })
];
const receipt = (id: number, amount: number, over: Partial<ReceiptFacts> = {}): ReceiptFacts => ({
	...{ id, booked: day('2026-10-28'), amount: minor(amount), currency: 'GBP', payerName: null },
	...{ payerAccount: 'ACC1', text: '', structuredReference: null, endToEndId: null, ...over }
});
const answers = (...pile: ReceiptFacts[]) =>
	answerReceipts(pile, { customers, items }).map(({ band, lines, onAccount }) => [
		band,
		lines.map((line) => line.itemId),
		onAccount
	]);
const yarrow = { payerName: 'YARROW MILL CERAMICS', payerAccount: null, text: 'AK-40007' };

describe('receipts that want the same', () => {
	it('of equal items the next takes the next', () =>
		expect(answers(receipt(1, 24_500), receipt(2, 24_500))).toEqual([
			['likely', [1], 0],
			['likely', [4], 0]
		]));
	it('all up to a day moves what took one of its items only as the oldest of equal ones', () => {
		const sum = 24_500 + 13_240 + 56_611;
		const upTo = receipt(2, sum, { text: 'acct to date' });
		expect(answers(upTo)[0]![1]).toEqual([1, 2, 3]);
		expect(answers({ ...receipt(1, 24_500), booked: day('2026-10-27') }, upTo).map(([, ids]) => ids)).toEqual(
			[[4], [1, 2, 3]]
		);
	});
	it('but not what names it, nor what has no equal one left', () => {
		const upTo = receipt(2, 3 * 24_500 + 13_240 + 56_611, { text: 'acct to date' });
		expect(answers(receipt(1, 24_500, { text: 'AK-40001' }), upTo)[1]![0]).toBe('choose');
		expect(answers(receipt(1, 24_500), upTo).map(([band]) => band)).toEqual(['choose', 'certain']);
	});
	it('the same payer’s same number and sum a second time looks paid twice', () =>
		expect(answers(receipt(1, 91_300, yarrow), receipt(2, 91_300, yarrow))).toEqual([
			['certain', [7], 0],
			['likely', [], 91_300]
		]));
	it('a name that was cut off is the same payer, where both are known to be the customer', () =>
		expect(
			answers(
				receipt(1, 91_300, yarrow),
				receipt(2, 91_300, { ...yarrow, payerName: 'YARROW MILL CERAM' })
			)[1]
		).toEqual(['likely', [], 91_300]));
	it('a later one that is surer is not certain, for one of the two is too much', () =>
		expect(
			answers(
				receipt(1, 91_300, { ...yarrow, payerName: 'MR P HOLM' }),
				receipt(2, 91_300, { ...yarrow, booked: day('2026-10-29') })
			).map(([band]) => band)
		).toEqual(['choose', 'likely']));
});

describe('two customers of one name but for the legal form', () => {
	const silent = (payerName: string) => answers(receipt(1, 30_017, { payerName, payerAccount: null }))[0];
	it('the name without a form is half a proof of the one that has none: enough for a sum of its own', () =>
		expect(silent('MARLOW STREET KILNS')).toEqual(['certain', [6], 0]));
	it('and not for money on account', () =>
		expect(
			answers(
				receipt(1, 5_000, { payerName: 'MARLOW STREET KILNS', payerAccount: null, text: 'on account' })
			)[0]
		).toEqual(['likely', [], 5_000]));
	it('with a number it is enough', () =>
		expect(
			answers(
				receipt(1, 30_017, { payerName: 'MARLOW STREET KILNS', payerAccount: null, text: 'AK-40006' })
			)[0]
		).toEqual(['certain', [6], 0]));
	it('with the form of the other it is the other', () =>
		expect(
			answers(receipt(1, 13_240, { payerName: 'Marlow Street Kilns Limited', payerAccount: null }))[0]
		).toEqual(['certain', [2], 0]));
});

describe('a round sum with words that nobody knows', () => {
	const band = (text: string, amount = 35_000) =>
		answerReceipts([receipt(1, amount, { text })], { customers, items: [sampleItem(1, amount)] })[0]!.band;
	it.each([
		['common words', 'BACS payment, thanks', 'certain'],
		['the payer’s own name', 'Marlow Street', 'certain'],
		['words that may say anything', 'qwertz uiop', 'likely'],
		['all up to now', 'statement', 'certain']
	])('%s', (_, text, want) => expect(band(text)).toBe(want));
	it('a sum that is not round is what it is', () => expect(band('qwertz uiop', 71_003)).toBe('certain'));
});

describe('a number that is open in another currency', () => {
	const euro = sampleItem(8, 40_000, { customerId: 3, currency: 'EUR' });
	const books = { customers, items: [euro] };
	it('says whose money it is, and is for a person to lay', () => {
		const [one] = answerReceipts([receipt(1, 34_100, { text: 'AK-40008', payerAccount: null })], books);
		expect([one!.band, one!.customerId, one!.lines]).toEqual(['choose', 3, []]);
		expect(one!.reasons.at(-1)).toEqual({
			...{ code: 'named-in-other-currency', number: 'AK-40008', of: 'EUR', came: 'GBP' }
		});
	});
});

describe('a sum that came before and fits nothing', () => {
	const before = (booked: string, amount = 47_310) => ({
		...{ customerId: 1, currency: 'GBP', numbers: ['AK-39990'] },
		...{ booked: day(booked), amount: minor(amount) }
	});
	const codes = (...allocatedBefore: ReturnType<typeof before>[]) =>
		answerReceipts([receipt(1, 47_310)], { customers, items, allocatedBefore })[0]!.reasons.map(
			({ code }) => code
		);
	it.each([
		['not long before', [before('2026-10-20')], true],
		['more than once', [before('2026-09-20'), before('2026-10-20')], true],
		['long before', [before('2026-08-01')], false],
		['after it', [before('2026-10-29')], false],
		['another sum', [before('2026-10-20', 47_311)], false]
	])('%s', (_, placed, asked) => expect(codes(...placed).includes('same-sum-before')).toBe(asked));
	it('what fits is not asked about', () => {
		const [one] = answerReceipts([receipt(1, 13_240)], {
			...{ customers, items },
			allocatedBefore: [before('2026-10-20', 13_240)]
		});
		expect([one!.band, one!.reasons.some(({ code }) => code === 'same-sum-before')]).toEqual([
			'certain',
			false
		]);
	});
});

describe('a round sum that is said to be on account', () => {
	const books = { customers, items: [sampleItem(1, 35_000), sampleItem(2, 41_317)] };
	const given = (amount: number) =>
		answerReceipts([receipt(1, amount, { text: 'payment on account' })], books)[0]!;
	it('is that first, with what comes to it as another answer', () => {
		const one = given(35_000);
		expect([one.band, one.lines, one.onAccount, one.otherAnswers]).toEqual(['likely', [], 35_000, 1]);
		expect(one.others[0]!.lines.map((line) => line.itemId)).toEqual([1]);
	});
	it('is certain where nothing comes to it', () => expect(given(40_000).band).toBe('certain'));
	it('a sum that is not round is what it comes to, for a look', () =>
		expect([given(41_317).band, given(41_317).lines.length]).toEqual(['likely', 1]));
});

describe('a stranger whose words name customers of one name', () => {
	const stranger = (amount: number, text = 'for Marlow Street Kilns') =>
		answerReceipts([receipt(1, amount, { payerName: 'MRS HOLM', payerAccount: null, text })], {
			customers,
			items
		})[0]!;
	it('is for the one that has what fits, for a look', () =>
		expect([stranger(30_017).band, stranger(30_017).customerId]).toEqual(['likely', 2]));
	it('is nobody’s where it fits none', () => {
		const one = stranger(77_777);
		expect([one.band, one.customerId]).toEqual(['none', null]);
		expect(one.reasons.map(({ code }) => code)).toContain('shared-fits');
	});
	it('is the one whose legal form is written', () =>
		expect(stranger(13_240, 'for Marlow Street Kilns Ltd').customerId).toBe(1));
});

describe('a name that is a customer’s and may be another’s cut off', () => {
	const answer = (payerName: string, ...names: string[]) => {
		const people = names.map((name, i) => customer(i + 1, name, false));
		const one = receipt(1, 5_000, { payerName, payerAccount: null, text: 'on account' });
		const [given] = answerReceipts([one], { customers: people, items: [] });
		return [given!.band, given!.customerId];
	};
	it.each([
		['with what the other has more', 'MERE NOVA POTTERY NORTH', ['certain', 2]],
		['as long as banks leave it', 'MERE NOVA POTTERY', ['likely', 1]],
		['and with a space at its end', 'MERE NOVA POTTERY ', ['likely', 1]],
		['longer than banks would leave it', 'The Mere Nova Pottery', ['certain', 1]]
	])('%s', (_, name, want) =>
		expect(answer(name, 'Mere Nova Pottery', 'Mere Nova Pottery North')).toEqual(want)
	);
	it('beside one with a short word more, which may be a legal form', () =>
		expect(answer('TARN WORKS', 'Tarn Works', 'Tarn Works zpo')).toEqual(['likely', 1]));
});
