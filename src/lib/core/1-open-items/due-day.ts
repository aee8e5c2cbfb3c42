import { addDays, lastOfMonth } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { TermsFrom } from '../model/customer-details';

/** The day on which what is issued is due: so many days after it, or after the end of its month. */
export function dueDay(issued: Day, days: number, from: TermsFrom): Day {
	return addDays(from === 'month_end' ? lastOfMonth(issued) : issued, days);
}
