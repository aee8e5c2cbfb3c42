import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import type { DifferenceKind, OpenItem } from '../model/records';
import { minor } from '../money/minor';
import type { PlaceLine, PlaceOrder } from './place-order';
import { placeReceipt } from './place-receipt';
import { undoPlacing } from './undo-placing';
import { sampleItem } from '../model/sample-item';

const item = sampleItem;
const line = (it: OpenItem, cash: number, ...differences: [DifferenceKind, number][]): PlaceLine => ({
	item: it,
	cash: minor(cash),
	differences: differences.map(([kind, amount]) => ({ kind, amount: minor(amount) }))
});
const order = (amount: number, ...lines: PlaceLine[]): PlaceOrder => ({
	receipt: { id: 9, amount: minor(amount), currency: 'GBP', base: minor(amount) },
	customerId: 1,
	lines
});
const codes = (o: PlaceOrder) => {
	const result = placeReceipt(o);
	return result.ok ? [] : result.problems.map((problem) => problem.code);
};

describe('what is refused', () => {
	const credit = item(5, 50, { kind: 'credit_note' });
	test.each<[string, PlaceOrder, string[]]>([
		['more than is open', order(1000, line(item(1, 300), 301)), ['over-item']],
		[
			'cash and differences beyond what is open',
			order(1000, line(item(1, 300), 290, ['bank_charge', 11])),
			['over-item']
		],
		['more than came', order(100, line(item(1, 300), 101)), ['over-receipt']],
		['the same item twice', order(100, line(item(1, 300), 10), line(item(1, 300), 10)), ['line-twice']],
		[
			'a negative amount on an invoice',
			order(100, line(item(1, 300), -10)),
			['line-not-positive', 'credit-unused']
		],
		['a positive amount on a credit note', order(100, line(credit, 10)), ['line-not-positive']],
		['nothing on a line', order(100, line(item(1, 300), 0)), ['line-not-positive']],
		[
			'a negative difference',
			order(100, line(item(1, 300), 100, ['bank_charge', -1])),
			['line-not-positive']
		],
		['another currency', order(100, line(item(1, 300, { currency: 'EUR' }), 100)), ['other-currency']],
		['another customer', order(100, line(item(1, 300, { customerId: 2 }), 100)), ['other-customer']],
		['a credit note with nothing to use it on', order(100, line(credit, -50)), ['credit-unused']],
		['money that went out', order(-100), ['not-a-credit-entry']],
		[
			'several at once',
			order(100, line(item(1, 300), 301), line(item(2, 5, { currency: 'EUR' }), 5)),
			['over-item', 'other-currency', 'over-receipt']
		]
	])('%s', (_, o, want) => expect(codes(o)).toEqual(want));
});

describe('what is done', () => {
	it('settles several, leaves a part open and the rest on account', () => {
		const result = placeReceipt(order(1000, line(item(1, 300), 300), line(item(2, 900), 650)));
		expect(result.ok && result.value.changes.map((change) => change.open)).toEqual([0, 250]);
		expect(result.ok && result.value.onAccount).toBe(50);
	});
	it('uses a credit note before the money and keeps the thread of each', () => {
		const note = item(5, 50, { kind: 'credit_note' });
		const result = placeReceipt(
			order(450, line(item(1, 300), 300), line(item(2, 200), 200), line(note, -50))
		);
		expect(
			result.ok &&
				result.value.allocations.map(({ source, itemId, amount }) => ({ ...source, to: itemId, amount }))
		).toEqual([
			{ itemId: 5, to: 1, amount: 50 },
			{ receiptId: 9, to: 1, amount: 250 },
			{ receiptId: 9, to: 2, amount: 200 }
		]);
		expect(result.ok && result.value.onAccount).toBe(0);
	});
	it('realises the currency difference between the two days, no penny lost in parts', () => {
		const owed = item(1, 10000, { currency: 'EUR', openBase: minor(8501) });
		const eur = (amount: number, base: number) => ({
			id: 9,
			amount: minor(amount),
			currency: 'EUR',
			base: minor(base)
		});
		const first = placeReceipt({ receipt: eur(3333, 2900), customerId: 1, lines: [line(owed, 3333)] });
		if (!first.ok) throw new Error('refused');
		const then = { ...owed, open: first.value.changes[0]!.open, openBase: first.value.changes[0]!.openBase };
		const second = placeReceipt({ receipt: eur(6667, 5700), customerId: 1, lines: [line(then, 6667)] });
		if (!second.ok) throw new Error('refused');
		expect(second.value.changes[0]).toEqual({ itemId: 1, open: 0, openBase: 0 });
		expect(first.value.allocations[0]!.itemBase + second.value.allocations[0]!.itemBase).toBe(8501);
	});
});

describe('properties', () => {
	const world = fc.record({
		opens: fc.array(fc.integer({ min: 1, max: 100_000 }), { minLength: 1, maxLength: 8 }),
		base: fc.integer({ min: 50, max: 150 }),
		parts: fc.array(fc.integer({ min: 1, max: 100 }), { minLength: 8, maxLength: 8 }),
		gap: fc.array(fc.integer({ min: 0, max: 30 }), { minLength: 8, maxLength: 8 }),
		spare: fc.integer({ min: 0, max: 5000 })
	});
	it('cash placed and on account is what came; undoing gives every item back as it was', () =>
		fc.assert(
			fc.property(world, ({ opens, base, parts, gap, spare }) => {
				const items = opens.map((open, i) =>
					item(i + 1, open, { openBase: minor(Math.round((open * base) / 100)) })
				);
				const lines = items.map((it, i) => {
					const cash = Math.max(1, Math.floor((it.open * parts[i]!) / 100));
					const difference = Math.min(gap[i]!, it.open - cash);
					return line(
						it,
						cash,
						...(difference > 0 ? ([['small_difference', difference]] as [DifferenceKind, number][]) : [])
					);
				});
				const amount = lines.reduce((sum, l) => sum + l.cash, 0) + spare;
				const result = placeReceipt(order(amount, ...lines));
				if (!result.ok) throw new Error(JSON.stringify(result.problems));
				const placed = result.value.allocations.reduce((sum, a) => sum + a.amount, 0);
				expect(placed + result.value.onAccount).toBe(amount);
				const creditBase = result.value.allocations.reduce((sum, a) => sum + a.creditBase, 0);
				expect(creditBase + result.value.onAccountBase).toBe(amount);
				for (const change of result.value.changes) {
					expect(change.open).toBeGreaterThanOrEqual(0);
					if (change.open === 0) expect(change.openBase).toBe(0);
				}
				const back = undoPlacing(result.value, result.value.changes);
				expect(back).toEqual(items.map((it) => ({ itemId: it.id, open: it.open, openBase: it.openBase })));
			})
		));
});
