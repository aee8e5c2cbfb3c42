import { addDays, addMonths, firstOfMonth, lastOfMonth, nextWorkday, weekday } from '../day/arithmetic';
import type { Day } from '../day/day';
import type { StatementAsked, StatementKind } from './letter';

/** When statements come round: on the first or last working day of a month, or on a day of the week. */
export const STATEMENT_DAYS = [
	...(['none', 'first-workday', 'last-workday'] as const),
	...(['monday', 'tuesday', 'wednesday', 'thursday', 'friday'] as const)
] as const;
export type StatementDay = (typeof STATEMENT_DAYS)[number];

export interface StatementSchedule {
	readonly when: StatementDay;
	readonly kind: StatementKind;
}

/** Statements that have come round. */
export interface StatementsDue {
	readonly on: Day;
	readonly statement: StatementAsked;
}

/** The days of a week, Monday first, in the order in which ISO 8601 counts them. */
const WEEKDAYS: readonly StatementDay[] = STATEMENT_DAYS.slice(3);

/**
 * The statements that came round last, on a day or before it, with the period that they are for: the month before, the month that ends,
 * or the week before. Bank holidays are not known here. Null where none do.
 */
export function statementsDue({ when, kind }: StatementSchedule, today: Day): StatementsDue | null {
	if (when === 'none') return null;
	const asked = (on: Day, from: Day, to: Day): StatementsDue => ({
		...{ on, statement: { kind, from: kind === 'open' ? null : from, to } }
	});
	if (when === 'first-workday') {
		const on = latest(today, (month) => nextWorkday(firstOfMonth(month)));
		const before = addMonths(firstOfMonth(on), -1);
		return asked(on, before, lastOfMonth(before));
	}
	if (when === 'last-workday') {
		const on = latest(today, (month) => workdayBefore(lastOfMonth(month)));
		return asked(on, firstOfMonth(on), on);
	}
	const back = (weekday(today) - 1 - WEEKDAYS.indexOf(when) + 7) % 7;
	const on = addDays(today, -back);
	return asked(on, addDays(on, -7), addDays(on, -1));
}

/** A day of this month, or of the one before where that is still to come. */
function latest(today: Day, dayOf: (month: Day) => Day): Day {
	const own = dayOf(today);
	return own <= today ? own : dayOf(addMonths(firstOfMonth(today), -1));
}

/** The day itself, or the Friday before a weekend. */
function workdayBefore(day: Day): Day {
	const n = weekday(day);
	return n < 6 ? day : addDays(day, 5 - n);
}
