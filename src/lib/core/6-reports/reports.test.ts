import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { addDays } from '../day/arithmetic';
import { day } from '../day/day';
import { minor } from '../money/minor';
import { accountLedger } from './account-ledger';
import { age } from './age';
import { ageBuckets, ageEndsFault, readAgeEnds, USUAL_AGE_ENDS } from './age-buckets';
import { itemStanding } from './item-state';

const today = day('2026-10-30');
test.each([
	[-5, 0],
	[0, 0],
	[1, 1],
	[30, 1],
	[31, 2],
	[60, 2],
	[90, 3],
	[91, 4],
	[4000, 4]
])('%s days late is in bucket %s', (late, bucket) => {
	const aged = age([{ due: addDays(today, -late), open: minor(7) }], today, USUAL_AGE_ENDS);
	expect(aged.map(({ sum }) => sum)).toEqual([0, 0, 0, 0, 0].map((_, n) => (n === bucket ? 7 : 0)));
});

test.each([
	[[30, 60, 90], null],
	[[1], null],
	[[], 'none'],
	[[0, 30], 'not-days'],
	[[30.5], 'not-days'],
	[[99_999], 'not-days'],
	[[30, 30], 'not-rising'],
	[[60, 30], 'not-rising'],
	[Array.from({ length: 200 }, (_, n) => n + 1), 'too-many']
])('buckets that end at %j: %s', (ends, fault) => expect(ageEndsFault(ends)).toBe(fault));

test.each([
	['30, 60, 90', [30, 60, 90]],
	['15 30/45;60', [15, 30, 45, 60]],
	['', []],
	['30-60', null],
	['thirty', null],
	['-30', null]
])('the ends "%s" are read as %j', (text, want) => expect(readAgeEnds(text)).toEqual(want));

it('has a bucket for every number of days, and one only', () =>
	fc.assert(
		fc.property(
			fc.uniqueArray(fc.integer({ min: 1, max: 400 }), { minLength: 1, maxLength: 12 }),
			fc.integer({ min: -500, max: 900 }),
			(some, late) => {
				const ends = some.toSorted((a, b) => a - b);
				const within = ageBuckets(ends).filter(
					({ from, to }) => (from === null || late >= from) && (to === null || late <= to)
				);
				expect(within).toHaveLength(1);
			}
		)
	));

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
					today,
					USUAL_AGE_ENDS
				);
				expect(aged.reduce((all, { sum }) => all + sum, 0)).toBe(
					rows.reduce((sum, row) => sum + row.open, 0)
				);
				for (const { sum } of aged.slice(1)) expect(sum).toBeGreaterThanOrEqual(0);
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
