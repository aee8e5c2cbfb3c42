import { daysBetween } from './arithmetic';
import { parseDay, type Day } from './day';

/** Signs of the longest day that is read. */
const LONGEST = 40;

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/**
 * Reads a day as a clerk types it: "2026-10-30", "30/10/2026", "30.10.26", "30/10", "30 Oct", or nothing for `near` itself. Day
 * before month, as in Britain. Without a year the one nearest to `near` is meant. Null for what is no day.
 */
export function parseTypedDay(text: string, near: Day): Day | null {
	if (text.length > LONGEST) return null;
	const plain = text.trim().toLowerCase();
	if (!plain) return near;
	const iso = parseDay(plain);
	if (iso) return iso;
	const numbers = /^(\d{1,2})[/. -](\d{1,2})(?:[/. -](\d{2}|\d{4}))?$/.exec(plain);
	const words = /^(\d{1,2})[ .-]*([a-z]{3,9})\.?(?:[ -](\d{2}|\d{4}))?$/.exec(plain);
	const found = numbers ?? words;
	if (!found) return null;
	const month = numbers ? Number(found[2]) : MONTHS.indexOf(found[2]!.slice(0, 3)) + 1;
	const pad = (n: number) => String(n).padStart(2, '0');
	const of = (year: number) => parseDay(`${year}-${pad(month)}-${pad(Number(found[1]))}`);
	if (found[3]) return of(found[3].length === 2 ? 2000 + Number(found[3]) : Number(found[3]));
	const year = Number(near.slice(0, 4));
	const days = [of(year - 1), of(year), of(year + 1)].filter((one) => one !== null);
	const away = (one: Day) => Math.abs(daysBetween(one, near));
	return days.sort((a, b) => away(a) - away(b))[0] ?? null;
}
