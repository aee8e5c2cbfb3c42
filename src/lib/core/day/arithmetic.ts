import { dayFromNumber, dayNumber, daysInMonth, type Day } from './day';

/** The day n days later (earlier when n is negative). */
export function addDays(start: Day, n: number): Day {
	return dayFromNumber(dayNumber(start) + n);
}

/** Days from one day to another: positive when `to` is later, 0 on the same day. */
export function daysBetween(from: Day, to: Day): number {
	return dayNumber(to) - dayNumber(from);
}

/** The same date n months later, or the last day of that month: 31 Jan plus one month is 28 or 29 Feb. */
export function addMonths(start: Day, n: number): Day {
	const months = Number(start.slice(0, 4)) * 12 + Number(start.slice(5, 7)) - 1 + n;
	const year = Math.floor(months / 12);
	const month = (months % 12) + 1;
	const date = Math.min(Number(start.slice(8, 10)), daysInMonth(year, month));
	return `${year}-${String(month).padStart(2, '0')}-${String(date).padStart(2, '0')}` as Day;
}

export function firstOfMonth(start: Day): Day {
	return `${start.slice(0, 7)}-01` as Day;
}

export function lastOfMonth(start: Day): Day {
	return addDays(addMonths(firstOfMonth(start), 1), -1);
}

/** Day of the week, Monday 1 to Sunday 7 (ISO 8601). */
export function weekday(start: Day): number {
	return ((((dayNumber(start) + 3) % 7) + 7) % 7) + 1;
}

/** The day itself, or the Monday after a weekend. Bank holidays are not known here. */
export function nextWorkday(start: Day): Day {
	const n = weekday(start);
	return n < 6 ? start : addDays(start, 8 - n);
}
