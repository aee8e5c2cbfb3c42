import type { Brand } from '../model/brand';

/** A calendar day of the proleptic Gregorian calendar as ISO 8601 `YYYY-MM-DD`: sorts as text, has no time or zone. */
export type Day = Brand<string, 'Day'>;

const MS = 86_400_000;

/** Days since 1970-01-01. */
export function dayNumber(day: Day): number {
	return Date.UTC(Number(day.slice(0, 4)), Number(day.slice(5, 7)) - 1, Number(day.slice(8, 10))) / MS;
}

/** The day that many days after 1970-01-01. */
export function dayFromNumber(n: number): Day {
	return new Date(n * MS).toISOString().slice(0, 10) as Day;
}

/** Reads `YYYY-MM-DD` between 1900 and 2199; null for anything else, so 2026-02-30 is null. */
export function parseDay(text: string): Day | null {
	if (!/^(19|20|21)\d\d-\d\d-\d\d$/.test(text)) return null;
	const [year, month, date] = text.split('-').map(Number) as [number, number, number];
	if (month < 1 || month > 12 || date < 1 || date > daysInMonth(year, month)) return null;
	return text as Day;
}

/** Marks text that is known to be a day. Throws RangeError otherwise: a bug, not a user's mistake. */
export function day(text: string): Day {
	const found = parseDay(text);
	if (!found) throw new RangeError(`"${text}" is not a day`);
	return found;
}

/** Days in a month (1 to 12) of a year. */
export function daysInMonth(year: number, month: number): number {
	return new Date(Date.UTC(year, month, 0)).getUTCDate();
}
