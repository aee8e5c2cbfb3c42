import { expect, test } from 'vitest';
import { day } from '../day/day';
import type { TermsFrom } from '../model/customer-details';
import { dueDay } from './due-day';

test.each<[string, number, TermsFrom, string]>([
	['2026-10-05', 30, 'issue', '2026-11-04'],
	['2026-10-05', 0, 'issue', '2026-10-05'],
	['2026-10-05', 30, 'month_end', '2026-11-30'],
	['2026-10-31', 30, 'month_end', '2026-11-30'],
	['2026-10-31', 0, 'month_end', '2026-10-31'],
	['2028-02-03', 14, 'month_end', '2028-03-14'],
	['2026-12-31', 31, 'month_end', '2027-01-31']
])('issued on %s, %i days from %s, it is due on %s', (issued, days, from, due) =>
	expect(dueDay(day(issued), days, from)).toBe(due)
);
