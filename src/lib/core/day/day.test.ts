import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import {
	addDays,
	addMonths,
	daysBetween,
	firstOfMonth,
	lastOfMonth,
	nextWorkday,
	weekday
} from './arithmetic';
import { day, dayFromNumber, dayNumber, parseDay } from './day';

test.each([
	['2026-02-28', true],
	['2026-02-29', false],
	['2024-02-29', true],
	['2026-13-01', false],
	['2026-00-10', false],
	['2026-1-1', false],
	['20260101', false],
	['1899-12-31', false],
	['2026-04-31', false],
	['', false],
	['2026-04-30T00:00', false]
])('%s is a day: %s', (text, want) => expect(parseDay(text) !== null).toBe(want));

describe('arithmetic', () => {
	test.each([
		['2026-01-31', 1, '2026-02-28'],
		['2024-01-31', 1, '2024-02-29'],
		['2026-11-30', 3, '2027-02-28'],
		['2026-03-15', -3, '2025-12-15']
	])('%s plus %s months is %s', (from, n, want) => expect(addMonths(day(from), n)).toBe(want));
	it('knows months, weekdays and weekends', () => {
		expect(lastOfMonth(day('2026-02-10'))).toBe('2026-02-28');
		expect(firstOfMonth(day('2026-02-10'))).toBe('2026-02-01');
		expect(weekday(day('2026-10-30'))).toBe(5);
		expect(nextWorkday(day('2026-10-31'))).toBe('2026-11-02');
		expect(nextWorkday(day('2026-11-02'))).toBe('2026-11-02');
	});
	it('adding and counting days are inverses', () =>
		fc.assert(
			fc.property(
				fc.integer({ min: -20000, max: 80000 }),
				fc.integer({ min: -5000, max: 5000 }),
				(n, gap) => {
					const start = dayFromNumber(n);
					expect(dayNumber(start)).toBe(n);
					expect(daysBetween(start, addDays(start, gap))).toBe(gap);
				}
			)
		));
});
