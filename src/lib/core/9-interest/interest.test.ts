import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../day/arithmetic';
import { day, type Day } from '../day/day';
import { minor } from '../money/minor';
import { interestOf } from './interest-of';
import { interestSheet, type Charged, type InterestItem } from './interest-sheet';
import type { InterestTerms } from './interest-terms';
import { lateSpans, type OpenFrom } from './late-spans';
import type { DaySpan } from '../model/late-span';

const due = day('2026-01-31');
const on = (days: number): Day => addDays(due, days);
const terms = (over: Partial<InterestTerms> = {}): InterestTerms => ({
	...{ dayCount: 365, graceDays: 0, rates: [{ from: day('2020-01-01'), basisPoints: 1_175 }] },
	...{ least: minor(0), compensation: [], onInterest: false },
	...over
});
const item = (over: Partial<InterestItem> = {}): InterestItem => ({
	...{ id: 1, due, isInterest: false, opens: [{ from: on(-30), open: 1_000_00 }], leftOut: [] },
	...{ charged: [], isCompensated: false },
	...over
});

/** Plainly, day by day: what was open at the end of each, at the rate of that day. */
function byDays(
	span: DaySpan,
	opens: readonly OpenFrom[],
	rates: InterestTerms['rates'],
	leftOut: readonly DaySpan[],
	dayCount: number,
	charged: readonly DaySpan[] = []
): number {
	let sum = 0n;
	for (let at = span.from; at <= span.to; at = addDays(at, 1)) {
		const open = opens.filter((one) => one.from <= at).at(-1)?.open ?? 0;
		const rate = rates.filter((one) => one.from <= at).at(-1)?.basisPoints ?? 0;
		const isOut = [...leftOut, ...charged].some((one) => one.from <= at && at <= one.to);
		if (!isOut && open > 0) sum += BigInt(open) * BigInt(rate);
	}
	const whole = BigInt(dayCount) * 10_000n;
	const [units, rest] = [sum / whole, sum % whole];
	return Number(units + (2n * rest >= whole ? 1n : 0n));
}

describe('simple interest', () => {
	it.each([
		// £1,000.00 at 11.75 % for 30 of 365 days is £9.66 (9.6575…).
		[365, 30, 1_000_00, 1_175, 966],
		// For 30 of 360 days £9.79 (9.79166…).
		[360, 30, 1_000_00, 1_175, 979],
		[365, 365, 1_000_00, 1_175, 11_750],
		// Half a penny is rounded away from nought: 73 × 10,000 × 25 / (365 × 10,000) = 5, 73 × 1,000 × 25 is a half.
		[365, 73, 10_000, 25, 5],
		[365, 73, 1_000, 25, 1],
		[365, 1, 1, 1, 0]
	] as const)('%i-day year, %i days of %i at %i', (dayCount, days, open, basisPoints, want) =>
		expect(interestOf([{ from: on(1), to: on(days), open, basisPoints }], dayCount)).toBe(want)
	);

	const opens = fc
		.array(
			fc.record({ at: fc.integer({ min: -20, max: 90 }), open: fc.integer({ min: -500, max: 5_000_00 }) }),
			{
				maxLength: 6
			}
		)
		.map((all) =>
			[...new Map(all.map((one) => [one.at, one])).values()]
				.sort((a, b) => a.at - b.at)
				.map(({ at, open }) => ({ from: on(at), open }))
		);
	const rates = fc
		.array(
			fc.record({ at: fc.integer({ min: -40, max: 90 }), basisPoints: fc.integer({ min: 0, max: 3_000 }) }),
			{
				maxLength: 4
			}
		)
		.map((all) =>
			[...new Map(all.map((one) => [one.at, one])).values()]
				.sort((a, b) => a.at - b.at)
				.map(({ at, basisPoints }) => ({ from: on(at), basisPoints }))
		);
	const span = fc
		.tuple(fc.integer({ min: -10, max: 90 }), fc.integer({ min: 0, max: 40 }))
		.map(([from, length]) => ({ from: on(from), to: on(from + length) }));

	it('comes to what days added up one by one come to, whatever changes on the way', () =>
		fc.assert(
			fc.property(
				span,
				opens,
				rates,
				fc.array(span, { maxLength: 3 }),
				fc.constantFrom(365, 360),
				(days, open, rate, out, count) => {
					const spans = lateSpans(days, open, rate, out);
					expect(interestOf(spans, count as 365 | 360)).toBe(byDays(days, open, rate, out, count));
					// Pieces follow each other and never overlap.
					spans.forEach((one, n) => {
						expect(one.from <= one.to).toBe(true);
						if (n > 0) expect(spans[n - 1]!.to < one.from).toBe(true);
					});
				}
			)
		));

	it('charges each day once, however often and to whichever day it is run', () =>
		fc.assert(
			fc.property(
				opens,
				rates,
				fc.array(span, { maxLength: 2 }),
				fc.array(fc.integer({ min: 0, max: 90 }), { minLength: 1, maxLength: 6 }),
				(open, rate, leftOut, runs) => {
					const charged: Charged[] = [];
					for (const to of [...runs].sort((a, b) => a - b)) {
						const sheet = interestSheet(
							[item({ opens: open, leftOut, charged })],
							terms({ rates: rate }),
							on(to)
						);
						// What is known does not change: nothing is given back.
						expect(sheet.corrections).toEqual([]);
						for (const row of sheet.rows) {
							for (const before of charged) expect(before.to < row.from || row.to < before.from).toBe(true);
							expect(row.amount).toBe(byDays(row, open, rate, leftOut, 365, charged));
							charged.push({ id: charged.length, from: row.from, to: row.to, amount: row.amount });
						}
					}
					// Run after run comes to what one run would, but for the rounding of each.
					const whole = interestSheet(
						[item({ opens: open, leftOut })],
						terms({ rates: rate }),
						on(Math.max(...runs))
					);
					const sum = charged.reduce((all, one) => all + one.amount, 0);
					expect(Math.abs(sum - whole.charge)).toBeLessThanOrEqual(runs.length);
				}
			)
		));
});

describe('the sheet of an account', () => {
	const sheet = (one: Partial<InterestItem>, over: Partial<InterestTerms> = {}, through = on(30)) =>
		interestSheet([item(one)], terms(over), through);

	it('begins on the day after the due day, or after the days of grace', () => {
		expect(sheet({}).rows.map((row) => [row.from, row.to, row.amount])).toEqual([[on(1), on(30), 966]]);
		expect(sheet({}, { graceDays: 10 }).rows.map((row) => [row.from, row.amount])).toEqual([[on(11), 644]]);
		expect(sheet({}, {}, due).rows).toEqual([]);
	});
	it('follows part payments from their day', () => {
		const opens = [
			{ from: on(-30), open: 1_000_00 },
			{ from: on(11), open: 400_00 },
			{ from: on(21), open: 0 }
		];
		const [row] = sheet({ opens }).rows;
		expect(row?.spans).toEqual([
			{ from: on(1), to: on(10), open: 1_000_00, basisPoints: 1_175 },
			{ from: on(11), to: on(20), open: 400_00, basisPoints: 1_175 }
		]);
		expect(row?.amount).toBe(451);
	});
	it('leaves out days in dispute, and interest itself unless it bears interest', () => {
		expect(sheet({ leftOut: [{ from: on(1), to: on(30) }] }).rows).toEqual([]);
		expect(sheet({ isInterest: true }).rows).toEqual([]);
		expect(sheet({ isInterest: true }, { onInterest: true }).charge).toBe(966);
	});
	it('charges compensation once for an item, by what was late of it', () => {
		const compensation = [
			{ from: minor(1), amount: minor(40_00) },
			{ from: minor(1_000_00), amount: minor(70_00) },
			{ from: minor(10_000_00), amount: minor(100_00) }
		];
		expect(sheet({}, { compensation }).charge).toBe(966 + 70_00);
		expect(sheet({ isCompensated: true }, { compensation }).charge).toBe(966);
		expect(sheet({ isInterest: true }, { compensation, onInterest: true }).charge).toBe(966);
		expect(sheet({ opens: [{ from: on(-30), open: 999_99 }] }, { compensation }).rows[0]?.compensation).toBe(
			40_00
		);
	});
	it('is not charged where it is less than is worth it, and is then charged later for all of its days', () => {
		expect(sheet({}, { least: minor(967) }).isSmall).toBe(true);
		expect(sheet({}, { least: minor(966) }).isSmall).toBe(false);
		expect(sheet({}, {}, due).isSmall).toBe(true);
	});
	it('gives back what was too much once a payment with an earlier day is known', () => {
		const charged = [{ id: 7, from: on(1), to: on(30), amount: minor(966) }];
		const opens = [
			{ from: on(-30), open: 1_000_00 },
			{ from: on(11), open: 0 }
		];
		const later = sheet({ opens, charged }, {}, on(60));
		expect(later.corrections).toEqual([
			{ itemId: 1, chargeId: 7, from: on(1), to: on(30), charged: 966, shouldBe: 322 }
		]);
		expect([later.credit, later.charge]).toEqual([644, 0]);
		// What was too little is not asked for again.
		expect(sheet({ charged: [{ ...charged[0]!, amount: minor(900) }] }).corrections).toEqual([]);
	});
	it('charges days again whose charge was taken back, and those alone', () => {
		const charged = [
			{ id: 1, from: on(1), to: on(5), amount: minor(161) },
			{ id: 3, from: on(11), to: on(20), amount: minor(322) }
		];
		expect(sheet({ charged }).rows.map((row) => [row.from, row.to])).toEqual([
			[on(6), on(10)],
			[on(21), on(30)]
		]);
	});
});
