import { describe, expect, it } from 'vitest';

import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import type { Desk } from '../../server/allocation/queries/desk';
import { Allocating } from './allocating.svelte';

import { sampleDesk as desk } from './sample-desk';

const place = (one: Desk) => new Allocating(one, day('2026-10-30'), 'Wren');
const cash = (allocating: Allocating) => allocating.rows.map((row) => [row.item.id, row.cash]);

describe('earlier money', () => {
	it('uses earlier money with new, or without any', () => {
		const credits = [
			{
				receiptId: 3,
				version: 2,
				booked: '2026-09-01',
				payerName: null,
				onAccount: minor(5000),
				onAccountBase: minor(5000),
				depositFor: null
			}
		];
		const allocating = place(desk(70000, [], { credits }));
		allocating.useCredit(3);
		allocating.toggle(1);
		expect(allocating.outcome.text).toBe('Settles AK-1; uses £50.00 of earlier money.');
		const alone = place(desk(0, [], { credits, receipt: null, answer: null }));
		alone.toggle(2);
		expect(alone.outcome.text).toBe('Leaves £430.00 of AK-2 open; uses £50.00 of earlier money.');
		expect(alone.order).toMatchObject({ receiptId: null, credits: [{ receiptId: 3, use: 5000 }] });
		alone.typeCredit(3, '60');
		expect(alone.outcome).toMatchObject({
			ok: false,
			text: '£50.00 of that payment is left; £60.00 is more.'
		});
	});
	it('uses just so much of what is on account as items take, the oldest first, and no deposit', () => {
		const credit = (receiptId: number, onAccount: number, depositFor: string | null = null) => ({
			...{ receiptId, version: 1, booked: '2026-09-01', payerName: null },
			...{ onAccount: minor(onAccount), onAccountBase: minor(onAccount), depositFor }
		});
		const credits = [credit(3, 30_000), credit(4, 20_000, 'CK-7'), credit(5, 60_000)];
		const alone = place(desk(0, [], { credits, receipt: null, answer: null }));
		const uses = () => alone.order.credits.map(({ receiptId, use }) => [receiptId, use]);
		expect(uses()).toEqual([
			[3, 30_000],
			[5, 60_000]
		]);
		alone.toggle(2);
		expect(uses()).toEqual([
			[3, 30_000],
			[5, 18_000]
		]);
		expect(alone.outcome).toMatchObject({
			ok: true,
			text: 'Settles AK-2; uses £480.00 of earlier money.'
		});
		alone.toggle(1);
		expect(cash(alone)).toEqual([
			[2, 48_000],
			[1, 42_000]
		]);
		// Cleared, the next item finds it all the same.
		alone.clear();
		alone.toggle(5);
		expect(uses()).toEqual([[3, 1000]]);
		alone.typeCredit(3, '4.00');
		expect(uses()).toEqual([
			[3, 400],
			[5, 600]
		]);
		alone.typeCredit(3, '0');
		expect(uses()).toEqual([[5, 1000]]);
	});
	it('spends a deposit only where that is asked twice', () => {
		const said = desk(100_000);
		const deposit = place({ ...said, receipt: { ...said.receipt!, text: 'deposit for order CK-9' } });
		expect(deposit.outcome.text).toBe('Leaves £1,000.00 on account for order CK-9.');
		deposit.fillOldest();
		expect(deposit.warning).toMatch(/^This is a deposit for order CK-9\./);
		expect(cash(deposit)).toEqual([]);
		deposit.fillOldest();
		expect(deposit.warning).toBe('');
		expect(cash(deposit)).toEqual([
			[1, 75_000],
			[2, 25_000]
		]);
		expect(deposit.order.depositFor).toBeNull();
		const credits = [
			{
				...{ receiptId: 3, version: 2, booked: '2026-09-01', payerName: null },
				...{ onAccount: minor(5000), onAccountBase: minor(5000), depositFor: 'CK-9' }
			}
		];
		const alone = place(desk(0, [], { credits, receipt: null, answer: null }));
		expect(alone.order.credits).toEqual([]);
		alone.toggle(1);
		expect(alone.outcome.text).toMatch(/^What is on account is a deposit for order CK-9\./);
		alone.useCredit(3);
		expect(alone.outcome.ok).toBe(true);
	});
	it('an order that the words name is no deposit once an item is taken', () => {
		const said = desk(76_000);
		const one = place({ ...said, receipt: { ...said.receipt!, text: 'our order 7741' } });
		expect(one.order.depositFor).toBe('7741');
		one.toggle(1);
		expect(one.outcome.text).toBe('Settles AK-1; leaves £10.00 on account.');
		one.toggle(1);
		one.depositFor = '';
		expect(one.order.depositFor).toBeNull();
	});
});
