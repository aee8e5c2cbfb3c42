import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { addDays } from '../day/arithmetic';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { accountLedger } from './account-ledger';
import { age, bucketOf } from './age';
import { itemStanding } from './item-state';

const today = day('2026-10-30');
test.each([
	[-5, 'not-due'],
	[0, 'not-due'],
	[1, 'to-30'],
	[30, 'to-30'],
	[31, 'to-60'],
	[60, 'to-60'],
	[90, 'to-90'],
	[91, 'over-90']
])('%s days late is %s', (late, bucket) => expect(bucketOf(addDays(today, -late), today)).toBe(bucket));

test.each([
	[100, 100, 'open'],
	[100, 40, 'part-paid'],
	[100, 0, 'settled']
])('%s with %s open is %s', (total, open, want) =>
	expect(itemStanding(minor(total), minor(open))).toBe(want)
);

it('ages to the same sum, credits never late', () =>
	fc.assert(
		fc.property(
			fc.array(
				fc.record({ late: fc.integer({ min: -50, max: 200 }), open: fc.integer({ min: -1000, max: 1000 }) })
			),
			(rows) => {
				const aged = age(
					rows.map(({ late, open }) => ({ due: addDays(today, -late), open: minor(open) })),
					today
				);
				expect(Object.values(aged).reduce((a, b) => a + b, 0)).toBe(
					rows.reduce((sum, row) => sum + row.open, 0)
				);
				for (const bucket of ['to-30', 'to-60', 'to-90', 'over-90'] as const)
					expect(aged[bucket]).toBeGreaterThanOrEqual(0);
			}
		)
	));

it('runs one balance for each currency, by date and then by posting', () => {
	const rows = [
		{ id: 3, date: day('2026-02-01'), amount: minor(-50), currency: 'GBP' },
		{ id: 1, date: day('2026-02-01'), amount: minor(100), currency: 'GBP' },
		{ id: 2, date: day('2026-01-01'), amount: minor(7), currency: 'EUR' }
	];
	expect(accountLedger(rows).map(({ id, balance }) => [id, balance])).toEqual([
		[2, 7],
		[1, 100],
		[3, 50]
	]);
});
