import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { postReturn, type PaymentBack, type StandingAllocation } from './post-return';

const part = (id: number, itemId: number, amount: number, due: string): StandingAllocation => ({
	id,
	due: day(due),
	source: { receiptId: 7 },
	creditCustomerId: 1,
	creditCurrency: 'GBP',
	itemId,
	itemCustomerId: 1,
	itemCurrency: 'GBP',
	amount: minor(amount),
	creditAmount: minor(amount),
	itemBase: minor(amount),
	creditBase: minor(amount)
});

function order(over: Partial<PaymentBack>): PaymentBack {
	const allocations = [part(1, 11, 300, '2026-08-01'), part(2, 12, 500, '2026-09-01')];
	return {
		receiptId: 7,
		customerId: 1,
		currency: 'GBP',
		amount: minor(900),
		onAccount: minor(100),
		onAccountBase: minor(100),
		allocations,
		differences: [
			{
				id: 31,
				itemId: 12,
				customerId: 1,
				currency: 'GBP',
				kind: 'settlement_discount',
				amount: minor(10),
				base: minor(10)
			}
		],
		differencesBack: [],
		first: [],
		items: [11, 12].map((itemId) => ({ itemId, open: minor(0), openBase: minor(0) })),
		...over
	};
}

function taken(over: Partial<PaymentBack>) {
	const result = postReturn(order(over));
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return result.value;
}
const open = (value: ReturnType<typeof taken>) =>
	value.posting.changes.map((one) => `${one.itemId}: ${one.open}`);

describe('a payment that comes back', () => {
	it('whole: everything is owed again, what lay on account is gone', () => {
		const value = taken({});
		expect(open(value)).toEqual(['11: 300', '12: 500']);
		expect(value.posting.credits).toEqual([{ receiptId: 7, onAccount: 0, onAccountBase: 0 }]);
		expect(value.posting.receiptAdjustments[0]).toMatchObject({ kind: 'returned', amount: -900, base: -900 });
	});

	it('opens the gap again where the discount goes back with it', () => {
		expect(open(taken({ differencesBack: [31] }))).toEqual(['11: 300', '12: 510']);
		// But not where its item stays settled.
		expect(open(taken({ differencesBack: [31], amount: minor(50) }))).toEqual(['11: 0', '12: 0']);
	});

	it.each([
		[100, [], ['11: 0', '12: 0'], []],
		[40, [], ['11: 0', '12: 0'], []],
		[350, [], ['11: 0', '12: 250'], [2]],
		[700, [], ['11: 100', '12: 500'], [2, 1]],
		[350, [1], ['11: 250', '12: 0'], [1]]
	])(
		'in part, %i: first what lies on account, then the latest due, or what is asked for',
		(amount, first, opened, off) => {
			const value = taken({ amount: minor(amount), first });
			expect(open(value)).toEqual(opened);
			expect(value.takenOff).toEqual(off);
		}
	);

	it.each([0, -5, 901])('refuses %i of 900', (amount) => {
		const result = postReturn(order({ amount: minor(amount) }));
		expect(result.ok ? [] : result.problems).toMatchObject([{ code: 'over-return', most: 900 }]);
	});

	it('keeps the sums, whatever is allocated and however much comes back', () => {
		const parts = fc.array(fc.tuple(fc.integer({ min: 1, max: 900 }), fc.integer({ min: 1, max: 900 })), {
			maxLength: 6
		});
		fc.assert(
			fc.property(parts, fc.integer({ min: 0, max: 500 }), fc.nat(), (list, account, some) => {
				const allocations = list.map(([amount, base], i) => ({
					...part(i + 1, i + 1, amount, '2026-08-01'),
					itemBase: minor(base),
					creditBase: minor(base)
				}));
				const total = account + list.reduce((sum, [amount]) => sum + amount, 0);
				if (total === 0) return;
				const amount = 1 + (some % total);
				const value = taken({
					...{ amount: minor(amount), onAccount: minor(account), onAccountBase: minor(account * 2) },
					...{ allocations, differences: [] },
					items: allocations.map((one) => ({ itemId: one.itemId, open: minor(0), openBase: minor(0) }))
				});
				const opened = value.posting.changes.reduce((sum, one) => sum + one.open, 0);
				const [credit] = value.posting.credits;
				expect(opened + account - credit!.onAccount).toBe(amount);
				// In base currency too: what was allocated, less what is allocated, is what comes back and what lies there.
				const base = value.posting.changes.reduce((sum, one) => sum + one.openBase, 0);
				expect(base + account * 2 - credit!.onAccountBase).toBe(
					0 - value.posting.receiptAdjustments[0]!.base
				);
				expect(credit!.onAccount).toBe(Math.max(0, account - amount));
			})
		);
	});
});
