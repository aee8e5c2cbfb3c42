import fc from 'fast-check';
import { expect, it } from 'vitest';
import { setsByAccount, type AccountItem } from './sets-by-account';

const book = (...rows: readonly [customerId: number, amount: number][]): AccountItem[] =>
	rows.map(([customerId, amount], at) => ({ id: at + 1, customerId, amount }));

it('finds a set of one account, says how many there are, and puts the account with the fewest first', () => {
	const items = book([1, 300], [1, 200], [1, 500], [2, 150], [2, 250], [2, 100], [2, 400], [3, 499]);
	const found = setsByAccount(items, 500, 10);
	expect(found.within).toEqual([
		{ customerId: 1, itemIds: [3], count: 2, all: true },
		{ customerId: 2, itemIds: [6, 7], count: 2, all: true }
	]);
});

it('takes a credit note into a set', () => {
	expect(setsByAccount(book([1, 700], [1, -200], [2, 90]), 500, 10).within).toEqual([
		{ customerId: 1, itemIds: [1, 2], count: 1, all: true }
	]);
});

it('finds two items of two accounts, never of one', () => {
	fc.assert(
		fc.property(
			fc.array(fc.tuple(fc.integer({ min: 1, max: 4 }), fc.integer({ min: -5, max: 20 })), {
				maxLength: 15
			}),
			fc.integer({ min: 1, max: 30 }),
			(rows, target) => {
				const items = book(...rows);
				const found = setsByAccount(items, target, 1_000);
				let pairs = 0;
				for (const a of items)
					for (const b of items)
						if (a.id < b.id && a.customerId !== b.customerId && a.amount > 0 && b.amount > 0)
							pairs += Number(a.amount + b.amount === target);
				expect(found.pairs).toBe(pairs);
				expect(found.across).toHaveLength(pairs);
			}
		)
	);
});
