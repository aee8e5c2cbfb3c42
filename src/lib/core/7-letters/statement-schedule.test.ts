import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, weekday } from '../day/arithmetic';
import { day } from '../day/day';
import { STATEMENT_DAYS, statementsDue } from './statement-schedule';

describe('statements come round', () => {
	it.each([
		// 1 November 2026 is a Sunday, 31 October a Saturday.
		['first-workday', '2026-10-30', '2026-10-01', '2026-09-01', '2026-09-30'],
		['first-workday', '2026-11-01', '2026-10-01', '2026-09-01', '2026-09-30'],
		['first-workday', '2026-11-02', '2026-11-02', '2026-10-01', '2026-10-31'],
		['last-workday', '2026-10-29', '2026-09-30', '2026-09-01', '2026-09-30'],
		['last-workday', '2026-10-30', '2026-10-30', '2026-10-01', '2026-10-30'],
		['friday', '2026-10-30', '2026-10-30', '2026-10-23', '2026-10-29'],
		['monday', '2026-10-30', '2026-10-26', '2026-10-19', '2026-10-25']
	] as const)('%s, looked at on %s', (when, today, on, from, to) => {
		expect(statementsDue({ when, kind: 'activity' }, day(today))).toEqual({
			...{ on, statement: { kind: 'activity', from, to } }
		});
		expect(statementsDue({ when, kind: 'open' }, day(today))!.statement).toEqual({
			kind: 'open',
			from: null,
			to
		});
	});
	it('never', () => {
		expect(statementsDue({ when: 'none', kind: 'open' }, day('2026-10-30'))).toBeNull();
	});
	it('on a working day that is not to come, the newest there is', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 3_000 }),
				fc.constantFrom(...STATEMENT_DAYS.filter((one) => one !== 'none')),
				(n, when) => {
					const today = addDays(day('2024-01-01'), n);
					const due = statementsDue({ when, kind: 'forward' }, today)!;
					expect(due.on <= today).toBe(true);
					expect(weekday(due.on)).toBeLessThan(6);
					expect(due.statement.from! <= due.statement.to && due.statement.to <= due.on).toBe(true);
					// Looked at day by day, what came round only ever moves on, and on its own day it is new.
					const eve = statementsDue({ when, kind: 'forward' }, addDays(today, -1))!;
					expect(eve.on <= due.on).toBe(true);
					expect(statementsDue({ when, kind: 'forward' }, due.on)!.on).toBe(due.on);
				}
			)
		);
	});
});
