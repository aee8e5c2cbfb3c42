import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../../core/day/day';
import type { OpenItem } from '../../core/model/records';
import { sampleItem } from '../../core/model/sample-item';
import { creditsToLay } from './credits-to-lay';
import { oldestItems } from './oldest-items';

const OWNER = { customerId: 1, currency: 'GBP' };
const item = (id: number, open: number, due: number, over: Partial<OpenItem> = {}) =>
	sampleItem(id, open, { customerId: 1, due: day(`2026-10-${String(due).padStart(2, '0')}`), ...over });
const ids = (items: readonly OpenItem[], money: number) =>
	oldestItems(items, OWNER, money).map((one) => one.id);

describe('the oldest items', () => {
	const three = [item(1, 100, 20), item(2, 100, 10), item(3, 100, 10)];
	it.each([
		['none without money', 0, []],
		['the oldest in part', 1, [2]],
		['by due day, then as they came', 100, [2]],
		['the next in part', 101, [2, 3]],
		['all of them', 999, [2, 3, 1]]
	])('%s', (_, money, want) => expect(ids(three, money)).toEqual(want));
	it('are invoices of the customer in the money’s currency', () => {
		const others = [
			item(4, 5, 1, { kind: 'credit_note' }),
			item(5, 5, 1, { kind: 'claim' }),
			item(6, 5, 1, { currency: 'EUR' }),
			item(7, 5, 1, { customerId: 2 })
		];
		expect(ids([...others, ...three], 999)).toEqual([2, 3, 1]);
	});
	it('would not be fewer without one that the money did not reach', () =>
		fc.assert(
			fc.property(
				fc.array(fc.tuple(fc.integer({ min: 1, max: 50 }), fc.integer({ min: 1, max: 28 })), {
					maxLength: 8
				}),
				fc.integer({ min: 0, max: 200 }),
				(given, money) => {
					const items = given.map(([open, due], at) => item(at + 1, open, due));
					const taken = oldestItems(items, OWNER, money);
					const before = taken.slice(0, -1).reduce((sum, one) => sum + one.open, 0);
					// All but the last are paid whole, and what is left out is not older.
					if (taken.length > 0) expect(before).toBeLessThan(money);
					const last = taken.at(-1);
					for (const one of items) if (last && !taken.includes(one)) expect(one.due >= last.due).toBe(true);
					const sum = before + (last?.open ?? 0);
					if (taken.length < items.length) expect(sum).toBeGreaterThanOrEqual(money);
				}
			)
		));
});

describe('money on account alone', () => {
	const items = [
		item(1, 100, 20, { orderReference: 'R-7' }),
		item(2, 100, 20, { purchaseOrder: 'P-9' }),
		item(3, 100, 20)
	];
	it.each([
		['all that is no deposit, for items to be chosen', [null, null], [1, 2], []],
		['a deposit on the invoice of its order, by our number', ['R-7', null], [1], [1]],
		['or by theirs', [null, 'P-9'], [2], [2]],
		['no deposit whose order has no document', ['R-8', null], [2], []],
		['several deposits', ['R-7', 'P-9'], [1, 2], [1, 2]],
		['none', [], [], []]
	])('uses %s', (_, orders, receiptIds, itemIds) => {
		const credits = orders.map((depositFor, at) => ({ receiptId: at + 1, depositFor }));
		expect(creditsToLay(credits, items)).toEqual({ receiptIds, itemIds });
	});
	it('takes no credit note for the order of a deposit', () => {
		const credit = [item(1, 100, 20, { orderReference: 'R-7', kind: 'credit_note' })];
		expect(creditsToLay([{ receiptId: 1, depositFor: 'R-7' }], credit).itemIds).toEqual([]);
	});
});
