import { describe, expect, it } from 'vitest';
import type { Answer } from '../core/3-matching/answer';
import { day } from '../core/day/day';
import type { OpenItem } from '../core/model/records';
import { minor } from '../core/money/minor';
import type { Desk } from '../server/looks/desk';
import { GAP_NAMES, Placing } from './placing.svelte';
import { sampleItem } from '../core/model/sample-item';

const item = (id: number, open: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { number: `AK-${id}`, version: 3, ...over });
const items = [
	item(1, 75000),
	item(2, 48000),
	item(3, 70460),
	item(4, 6210, { kind: 'credit_note', number: 'AC-4' }),
	item(5, 1000, { part: 2, parts: 3 })
];
function desk(amount: number, lines: Answer['lines'] = [], over: Partial<Desk> = {}): Desk {
	const receipt = {
		id: 9,
		booked: day('2026-10-29'),
		amount: minor(amount),
		currency: 'GBP',
		payerName: 'HAZEL',
		payerAccount: null,
		text: '',
		structuredReference: null,
		endToEndId: null,
		version: 2,
		heldBecause: null,
		bankEntryId: 1,
		charges: minor(0)
	};
	const answer: Answer = {
		receiptId: 9,
		band: 'likely',
		customerId: 1,
		lines,
		onAccount: minor(0),
		reasons: [],
		others: [],
		otherAnswers: 0,
		recognised: [],
		booked: day('2026-10-29')
	};
	return {
		receipt,
		answer,
		bank: { name: 'Current', reference: null },
		customer: { id: 1, code: 'H1', name: 'Hazel', notes: '', owes: 0 },
		items,
		habit: [],
		setAside: [],
		...over
	};
}
const cash = (placing: Placing) => placing.rows.map((row) => [row.item.id, row.cash]);

describe('the strip', () => {
	it('begins with the answer, and says what posting would do', () => {
		const placing = new Placing(
			desk(123000, [
				{ itemId: 1, cash: minor(75000), differences: [] },
				{ itemId: 2, cash: minor(48000), differences: [] }
			])
		);
		expect(placing.outcome).toEqual({ ok: true, text: 'Settles AK-1 and AK-2.' });
		expect(placing.order.lines[0]).toEqual({ itemId: 1, version: 3, cash: 75000, differences: [] });
	});
	it('lays money in the order taken, anew when one is left', () => {
		const placing = new Placing(desk(100000));
		placing.toggle(1);
		placing.toggle(2);
		expect(cash(placing)).toEqual([
			[1, 75000],
			[2, 25000]
		]);
		placing.toggle(1);
		expect(cash(placing)).toEqual([[2, 48000]]);
		expect(placing.left).toBe(52000);
		expect(placing.outcome.text).toBe('Settles AK-2; leaves £520.00 on account.');
	});
	it('uses a credit note whole and gives what it frees to the rest', () => {
		const placing = new Placing(desk(70000));
		placing.toggle(1);
		placing.toggle(4);
		expect(cash(placing)).toEqual([
			[1, 75000],
			[4, -6210]
		]);
		expect(placing.outcome.text).toBe('Settles AK-1; uses AC-4; leaves £12.10 on account.');
	});
	it('leaves alone what was typed, sums too', () => {
		const placing = new Placing(desk(100000));
		placing.toggle(1);
		placing.type(1, '100+20.50');
		placing.toggle(2);
		expect(cash(placing)).toEqual([
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
		const placing = new Placing(desk(100000));
		placing.toggle(1);
		placing.type(1, text);
		expect([placing.outcome, placing.rows[0]!.text]).toEqual([{ ok: false, text: says }, text]);
	});
	it('names the gap, and takes the name back', () => {
		const placing = new Placing(desk(70460 - 4540));
		placing.toggle(3);
		expect(placing.short?.remains).toBe(4540);
		for (const kind of GAP_NAMES.slice(1)) {
			placing.nameGap(kind);
			expect(placing.order.lines[0]!.differences).toEqual([{ kind, amount: 4540 }]);
			expect(placing.outcome.text).toMatch(/^Settles AK-3; books £45\.40 as /);
		}
		placing.nameGap(null);
		expect(placing.outcome.text).toBe('Leaves £45.40 of AK-3 open.');
	});
	it('clears to on account, names instalments, and asks whose it is', () => {
		const placing = new Placing(desk(5000));
		placing.toggle(5);
		expect(placing.outcome.text).toBe('Settles AK-5 (2 of 3); leaves £40.00 on account.');
		placing.clear();
		expect(placing.outcome.text).toBe('Leaves £50.00 on account.');
		expect(new Placing(desk(5000, [], { customer: null })).outcome).toEqual({
			ok: false,
			text: 'Choose whose money this is.'
		});
		expect(new Placing(desk(-5000)).outcome.ok).toBe(false);
	});
	it('does nothing for an item that is not there', () => {
		const placing = new Placing(desk(5000));
		placing.toggle(99);
		placing.type(99, '1');
		expect(placing.rows).toEqual([]);
	});
});
