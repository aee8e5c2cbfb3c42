import { describe, expect, it, test } from 'vitest';

import { minor } from '../money/minor';
import { day } from '../day/day';
import { imbalance } from '../5-journal/imbalance';
import { numberPosting } from '../5-journal/number-posting';
import { journalOfPosting } from '../5-journal/journal-of-posting';
import { discountOffered } from './discount-offered';

import { allocate } from './allocate';

import { item, line, order, earlier } from './testing-orders';

describe('every way a payment can fall', () => {
	it('places a credit note against an invoice with no money at all', () => {
		const note = item(5, 50, { kind: 'credit_note' });
		const result = allocate({ ...order(0, line(item(1, 300), 50), line(note, -50)), receipt: null });
		expect(result.ok && result.value.changes.map((change) => change.open)).toEqual([250, 0]);
		expect(result.ok && result.value.credits).toEqual([]);
	});
	it('places earlier money first, then the new, and says what is left of each', () => {
		const result = allocate({ ...order(100, line(item(1, 300), 220)), credits: [earlier(3, 150, 130)] });
		expect(
			result.ok && result.value.allocations.map(({ source, amount }) => ({ ...source, amount }))
		).toEqual([
			{ receiptId: 3, amount: 130 },
			{ receiptId: 9, amount: 90 }
		]);
		expect(result.ok && result.value.credits.map((one) => [one.receiptId, one.onAccount])).toEqual([
			[3, 20],
			[9, 10]
		]);
	});
	it('settles items of several accounts from one payment', () => {
		const other = item(2, 40, { customerId: 2 });
		const result = allocate(order(100, line(item(1, 60), 60), line(other, 40)));
		expect(
			result.ok && result.value.allocations.map((part) => [part.creditCustomerId, part.itemCustomerId])
		).toEqual([
			[1, 1],
			[1, 2]
		]);
	});
	it('credits the customer in full where a fee was kept, and keeps the rest of the fee on account', () => {
		const base = order(985, line(item(1, 900), 900));
		const result = allocate({
			...base,
			receipt: {
				...base.receipt!,
				fees: [{ kind: 'processor_fee', amount: minor(15), base: minor(15) }]
			}
		});
		expect(result.ok && result.value.credits[0]!.onAccount).toBe(100);
		expect(result.ok && result.value.receiptAdjustments.map((one) => [one.kind, one.amount])).toEqual([
			['processor_fee', 15]
		]);
	});
	it('takes what is to be paid back off the credit', () => {
		const base = order(1000, line(item(1, 900), 900));
		const result = allocate({
			...base,
			receipt: { ...base.receipt!, surplus: [{ kind: 'refund', amount: minor(100) }] }
		});
		expect(result.ok && result.value.credits[0]).toEqual({ receiptId: 9, onAccount: 0, onAccountBase: 0 });
		expect(result.ok && result.value.receiptAdjustments[0]).toMatchObject({ amount: -100, base: -100 });
	});
	it('gives one gap several names', () => {
		const result = allocate(
			order(900, line(item(1, 1000), 900, ['settlement_discount', 20], ['bank_charge', 15], ['claim', 65]))
		);
		expect(result.ok && result.value.changes[0]!.open).toBe(0);
		expect(result.ok && result.value.differences.reduce((sum, gap) => sum + gap.amount, 0)).toBe(100);
	});
	it('settles an item in another currency, in parts from several credits, to the cent', () => {
		const owed = item(1, 1000, { currency: 'EUR', openBase: minor(870) });
		const result = allocate({
			...order(500, { item: owed, cash: minor(853), settles: minor(1000), differences: [] }),
			credits: [earlier(3, 400, 400)]
		});
		if (!result.ok) throw new Error(JSON.stringify(result.problems));
		expect(result.value.allocations.map((part) => [part.creditAmount, part.amount])).toEqual([
			[400, 469],
			[453, 531]
		]);
		expect(result.value.changes).toEqual([{ itemId: 1, open: 0, openBase: 0 }]);
		const lines = journalOfPosting(
			null,
			numberPosting(result.value, { allocation: 1, difference: 1, receiptAdjustment: 1 })
		);
		expect(imbalance(lines).size).toBe(0);
	});
	test.each<[string, number, number | null]>([
		['in time', 0, 640],
		['three days late', 3, 640]
	])('knows the discount that was offered: %s', (_, late, want) => {
		const offered = discountOffered(
			item(1, 32000, { discountBasisPoints: 200, discountUntil: day('2026-10-10') }),
			day(late ? '2026-10-13' : '2026-10-10')
		);
		expect([offered?.amount, offered?.daysLate]).toEqual([want, late]);
	});
	it('knows of no discount where none was offered', () =>
		expect(discountOffered(item(1, 32000), day('2026-10-10'))).toBeNull());
});
