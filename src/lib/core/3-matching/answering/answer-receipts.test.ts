import { describe, expect, it } from 'vitest';
import { day } from '../../day/day';

import { answerReceipts } from './answer-receipts';

import { numberDigits } from '../named/number-digits';

import { item, receipt, customers, number, months, books, brief, sum } from './testing-potteries';

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
