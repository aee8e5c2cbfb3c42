import { NO_LIMITS_OF_ONE } from '../../core/4-allocation/over-limits';
import { describe, expect, it } from 'vitest';
import { matchAdvice } from '../../core/3-matching';
import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import type { Desk } from '../../server/allocation/queries/desk';
import { GAP_NAMES, Allocating } from './allocating.svelte';
import { readAdviceText } from '../../core/2-receipts/advice/read-advice-text';
import { sampleDesk as desk, sampleItems as items, sampleOpenItem as item } from './sample-desk';

const place = (one: Desk) => new Allocating(one, day('2026-10-30'), 'Wren');
const cash = (allocating: Allocating) => allocating.rows.map((row) => [row.item.id, row.cash]);

describe('the strip', () => {
	it('begins with the answer, and says what posting would do', () => {
		const allocating = place(
			desk(123000, [
				{ itemId: 1, cash: minor(75000), differences: [] },
				{ itemId: 2, cash: minor(48000), differences: [] }
			])
		);
		expect(allocating.outcome).toMatchObject({ ok: true, text: 'Settles AK-1 and AK-2.' });
		expect(allocating.order.lines[0]).toEqual({ itemId: 1, version: 3, cash: 75000, differences: [] });
	});
	it('lays money in the order taken, anew when one is left', () => {
		const allocating = place(desk(100000));
		allocating.toggle(1);
		allocating.toggle(2);
		expect(cash(allocating)).toEqual([
			[1, 75000],
			[2, 25000]
		]);
		allocating.toggle(1);
		expect(cash(allocating)).toEqual([[2, 48000]]);
		expect(allocating.left).toBe(52000);
		expect(allocating.outcome.text).toBe('Settles AK-2; leaves £520.00 on account.');
	});
	it('uses a credit note whole and gives what it frees to the rest', () => {
		const allocating = place(desk(70000));
		allocating.toggle(1);
		allocating.toggle(4);
		expect(cash(allocating)).toEqual([
			[1, 75000],
			[4, -6210]
		]);
		expect(allocating.outcome.text).toBe('Settles AK-1; uses AC-4; leaves £12.10 on account.');
	});
	it('leaves alone what was typed, sums too', () => {
		const allocating = place(desk(100000));
		allocating.toggle(1);
		allocating.type(1, '100+20.50');
		allocating.toggle(2);
		expect(cash(allocating)).toEqual([
			[1, 12050],
			[2, 48000]
		]);
	});
	it.each([
		['nonsense', '“nonsense” for AK-1 is not an amount.'],
		['-5', '“-5” for AK-1 is not an amount.'],
		['750.01', 'AK-1 has £750.00 open; £750.01 is more.'],
		['0', 'AK-1: type an amount above zero. Fees and discounts are typed as positive numbers, too.']
	])('refuses %s and keeps it', (text, says) => {
		const allocating = place(desk(100000));
		allocating.toggle(1);
		allocating.type(1, text);
		expect(allocating.outcome).toMatchObject({ ok: false, text: says });
		expect(allocating.rows[0]!.text).toBe(text);
	});
	it('names the gap, and takes the name back', () => {
		const allocating = place(desk(70460 - 4540));
		allocating.toggle(3);
		expect(allocating.short?.remains).toBe(4540);
		for (const kind of GAP_NAMES.slice(1)) {
			allocating.nameGap(kind);
			expect(allocating.order.lines[0]!.differences).toEqual([{ kind, amount: 4540 }]);
			expect(allocating.outcome.text).toMatch(
				kind === 'small_difference'
					? /^£45\.40 is too much for a small difference: those go up to £5\.00/
					: /^Settles AK-3; (books £45\.40 as|opens a claim of £45\.40)/
			);
		}
		allocating.nameGap(null);
		expect(allocating.outcome.text).toBe('Leaves £45.40 of AK-3 open.');
	});
	it('clears to on account, names instalments, and asks whose it is', () => {
		const allocating = place(desk(5000));
		allocating.toggle(5);
		expect(allocating.outcome.text).toBe('Settles AK-5 (2 of 3); leaves £40.00 on account.');
		allocating.clear();
		expect(allocating.outcome.text).toBe('Leaves £50.00 on account.');
		expect(place(desk(5000, [], { customer: null })).outcome).toMatchObject({
			ok: false,
			text: 'Choose the customer whose money this is.'
		});
		expect(place(desk(-5000)).outcome.ok).toBe(false);
	});
	it('does nothing for an item that is not there', () => {
		const allocating = place(desk(5000));
		allocating.toggle(99);
		allocating.type(99, '1');
		expect(allocating.rows).toEqual([]);
	});
	it('fills the oldest first, by due day, the last one in part', () => {
		const early = item(6, 20000, { due: day('2026-08-01') });
		const allocating = place(desk(100000, [], { items: [...items, early, item(7, 900, { kind: 'claim' })] }));
		allocating.fillOldest();
		expect(cash(allocating)).toEqual([
			[6, 20000],
			[1, 75000],
			[2, 5000]
		]);
	});
	it('gives one gap several names, each editable, the last one the rest', () => {
		const allocating = place(desk(70460 - 4540));
		allocating.toggle(3);
		allocating.nameGap('settlement_discount');
		allocating.typeGap(3, 0, '14.09');
		expect(allocating.short?.remains).toBe(3131);
		allocating.nameGap('claim');
		expect(allocating.order.lines[0]).toMatchObject({
			differences: [
				{ kind: 'settlement_discount', amount: 1409 },
				{ kind: 'claim', amount: 3131 }
			],
			claim: { reason: 'damaged', owner: 'Wren', deadline: '2026-11-13' }
		});
		allocating.changeClaim(3, { reason: 'missing', note: 'one box' });
		expect(allocating.claimOf(3)).toMatchObject({ reason: 'missing', note: 'one box' });
		allocating.dropGap(3, 1);
		expect([allocating.short?.remains, allocating.claimOf(3)]).toEqual([3131, null]);
		allocating.typeGap(3, 0, 'x');
		expect(allocating.outcome).toMatchObject({
			ok: false,
			text: '“x” as settlement discount is not an amount.'
		});
	});
	it('says what is left over, by its name', () => {
		const allocating = place(desk(76000));
		allocating.toggle(1);
		allocating.depositFor = 'PO-9';
		expect(allocating.outcome.text).toBe('Settles AK-1; leaves £10.00 on account for order PO-9.');
		allocating.surplus = 'refund';
		expect(allocating.outcome.text).toBe('Settles AK-1; marks £10.00 to be paid back.');
		expect(allocating.order.surplus).toEqual([{ kind: 'refund', amount: 1000 }]);
		allocating.surplus = 'small_difference';
		expect(allocating.outcome.text).toMatch(/^£10\.00 is too much for a small difference/);
	});
	it('credits in full where a fee was kept: net and fee make gross', () => {
		const allocating = place(desk(74000));
		allocating.fees = [{ kind: 'processor_fee', text: '10' }];
		allocating.toggle(1);
		expect([allocating.gross, allocating.left]).toEqual([75000, 0]);
		expect(allocating.outcome.text).toBe('Settles AK-1; books £10.00 as processor fee.');
	});
	it('gives only so much of a credit note as is taken with it', () => {
		const allocating = place(desk(0, [], { receipt: null, answer: null }));
		allocating.toggle(5);
		allocating.toggle(4);
		expect(cash(allocating)).toEqual([
			[5, 1000],
			[4, -1000]
		]);
	});
	it('asks what is settled of an item in another currency', () => {
		const euro = item(8, 10000, { currency: 'EUR' });
		const allocating = place(desk(8400, [], { items: [euro] }));
		allocating.toggle(8);
		expect(allocating.order.lines[0]).toMatchObject({ cash: 8400, settles: 10000 });
		allocating.typeSettles(8, '');
		expect(allocating.outcome.text).toBe('“” is not an amount in EUR for AK-8.');
	});
	it('settles an item in another currency at the day’s rate, and says what is lost or won', () => {
		const euro = item(8, 10_000, { currency: 'EUR', openBase: minor(8_700) });
		const rates = {
			GBP: { currency: 'GBP', millionths: 1_000_000, day: null, source: '' },
			EUR: { currency: 'EUR', millionths: 858_000, day: day('2026-10-28'), source: 'rates.csv' }
		};
		const pounds = place(desk(20_000, [], { items: [euro], rates }));
		pounds.toggle(8);
		expect(pounds.order.lines[0]).toMatchObject({ cash: 8_580, settles: 10_000 });
		expect(pounds.outcome.text).toBe(
			'Settles AK-8; books £1.20 exchange loss (EUR at 0.8580 of 28 Oct 2026, rates.csv); leaves £114.20 on account.'
		);
		pounds.type(8, '42.90');
		expect(pounds.order.lines[0]).toMatchObject({ cash: 4_290, settles: 5_000 });
		pounds.typeSettles(8, '60');
		pounds.type(8, '50');
		expect(pounds.order.lines[0]).toMatchObject({ cash: 5_000, settles: 6_000 });
		// Too little for the whole: as much as the rate gives.
		const short = place(desk(4_290, [], { items: [euro], rates }));
		short.toggle(8);
		expect(short.order.lines[0]).toMatchObject({ cash: 4_290, settles: 5_000 });
		const own = desk(10_000, [], { items: [euro], rates, currency: 'EUR' });
		const euros = place({ ...own, receipt: { ...own.receipt!, currency: 'EUR' } });
		euros.toggle(8);
		expect(euros.outcome.text).toBe(
			'Settles AK-8; books £1.20 exchange loss (EUR at 0.8580 of 28 Oct 2026, rates.csv).'
		);
	});
	it('says when a supervisor has to approve it, and lays again what was asked for', () => {
		const mine = { ...NO_LIMITS_OF_ONE, act: { bank_charge: 1000 } };
		const limits = { tolerance: null, mine, before: { customer: {}, day: {} } };
		const allocating = place(desk(73000, [], { limits }));
		allocating.toggle(1);
		allocating.nameGap('bank_charge');
		expect(allocating.outcome).toMatchObject({ ok: true, asks: true });
		expect(allocating.outcome.text).toMatch(/^£20\.00 as bank charge is above your limit of £10\.00/);
		const one = desk(73000);
		const again = place({ ...one, receipt: { ...one.receipt!, heldOrder: allocating.order } });
		expect(again.order).toEqual(allocating.order);
	});
	it('lays what an advice says, deductions by their names', () => {
		const allocating = place(desk(118_460));
		const lines = readAdviceText('AK-1 750.00\nAK-2 480.00 45.40 434.60 two broken', 'GBP');
		allocating.takeAdvice(matchAdvice(lines, allocating.desk.items));
		expect(allocating.outcome.text).toBe('Settles AK-1 and AK-2; opens a claim of £45.40.');
		expect(allocating.order.lines[1]).toMatchObject({
			cash: 43_460,
			differences: [{ kind: 'claim', amount: 4540 }],
			claim: { reason: 'damaged', note: 'AK-2 480.00 45.40 434.60 two broken' }
		});
	});
});
