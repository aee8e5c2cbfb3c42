import { describe, expect, it } from 'vitest';

import { day } from '../../day/day';

import { NO_HABITS, type Habits } from '../lessons/habits';

import { CUSTOMERS, item, ITEMS, number, open, receipt, answer, short, codes, gaps } from './testing-groups';

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
