import { dayNumber, parseDay, type Day } from '../day/day';

/** Furthest that an entry is booked from the day it is valued on, in days: further, the two years would be mistaken for each other. */
const FURTHEST = 183;

/** `YYMMDD`: 80 to 99 are of the twentieth century (SWIFT Standards MT, date fields). Null for what is not a day. */
export function readShortDate(text: string): Day | null {
	const [, year, month, date] = /^(\d\d)(\d\d)(\d\d)$/.exec(text) ?? [];
	if (!year) return null;
	return parseDay(`${Number(year) >= 80 ? '19' : '20'}${year}-${month}-${date}`);
}

/**
 * `MMDD` without a year: of the days of that name the one that is nearest to another, for an entry of 31 December may be valued in January.
 * Null for what is not a day near it, so 29 February beside a year that has none.
 */
export function readDateNear(text: string, near: Day): Day | null {
	const [, month, date] = /^(\d\d)(\d\d)$/.exec(text) ?? [];
	if (!month) return null;
	const year = Number(near.slice(0, 4));
	const distance = (one: Day) => Math.abs(dayNumber(one) - dayNumber(near));
	const days = [year - 1, year, year + 1]
		.flatMap((one) => parseDay(`${one}-${month}-${date}`) ?? [])
		.sort((a, b) => distance(a) - distance(b));
	return days[0] && distance(days[0]) <= FURTHEST ? days[0] : null;
}
