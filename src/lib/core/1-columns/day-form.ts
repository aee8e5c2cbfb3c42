import { parseDay, type Day } from '../day/day';

/** The order of a date's parts in a column. */
export type DayOrder = 'day-first' | 'month-first';

/** Signs of the longest date that is read. */
const LONGEST = 40;
const MONTHS = [
	['jan', 'ene', 'gen'],
	['feb', 'fev'],
	['mar', 'mrt', 'maa'],
	['apr', 'avr', 'abr'],
	['may', 'mai', 'mei', 'mag'],
	['jun', 'jui', 'giu'],
	['jul', 'lug'],
	['aug', 'aou', 'ago'],
	['sep', 'set'],
	['oct', 'okt', 'ott', 'out'],
	['nov'],
	['dec', 'dez', 'dic']
];

interface Parts {
	readonly first: number;
	readonly second: number;
	readonly year: string;
	readonly dotted: boolean;
}

/** A date of three numbers, year last, whose order is not said. */
function partsOf(text: string): Parts | null {
	const found = /^(\d{1,2})([/.-])(\d{1,2})\2(\d{4}|\d{2})(?:[ T]\d{1,2}:\d{2}.*)?$/.exec(text);
	if (!found) return null;
	return { first: Number(found[1]), second: Number(found[3]), year: found[4]!, dotted: found[2] === '.' };
}

/**
 * The order in which a column writes its dates, from all of them together: one with a first part above 12 tells it for all. Dates with
 * dots put the day first wherever they are written. `'either'` where nothing tells; null where they contradict each other.
 */
export function dayOrderOf(texts: readonly string[]): DayOrder | 'either' | null {
	let [dayFirst, monthFirst, open] = [false, false, false];
	for (const text of texts) {
		const parts = text.length > LONGEST ? null : partsOf(text.trim());
		if (!parts) continue;
		if (parts.dotted || parts.first > 12) dayFirst = true;
		else if (parts.second > 12) monthFirst = true;
		else if (parts.first !== parts.second) open = true;
	}
	if (dayFirst && monthFirst) return null;
	if (dayFirst) return 'day-first';
	if (monthFirst) return 'month-first';
	return open ? 'either' : 'day-first';
}

/**
 * Reads a date as files of many makes write it: year first with any separator or none, three numbers in the order given, a month by
 * its name in one of several languages; a time behind it is left out. Null for what is no date.
 */
export function readDayAs(given: string, order: DayOrder): Day | null {
	const text = given.trim();
	if (text.length > LONGEST) return null;
	const yearFirst = /^(\d{4})([/.-]?)(\d{1,2})\2(\d{1,2})(?:[ T]\d{1,2}:\d{2}.*)?$/.exec(text);
	if (yearFirst && (yearFirst[2] || text.length === 8))
		return dayOf(yearFirst[1]!, yearFirst[3]!, yearFirst[4]!);
	const parts = partsOf(text);
	if (parts) {
		const { first, second, year } = parts;
		const [day, month] = order === 'day-first' ? [first, second] : [second, first];
		return dayOf(year, String(month), String(day));
	}
	const named = /^(\d{1,2})[. -]*([\p{L}]{3,12})\.?[ ,-]*(\d{4}|\d{2})$/u.exec(
		text.normalize('NFD').replace(/\p{M}/gu, '')
	);
	if (!named) return null;
	const word = named[2]!.toLowerCase();
	// "juin" and "juillet" begin alike.
	const month = word.startsWith('juil')
		? 6
		: MONTHS.findIndex((names) => names.some((name) => word.startsWith(name)));
	return month < 0 ? null : dayOf(named[3]!, String(month + 1), named[1]!);
}

/** A year of two digits is of this century: books of before have none. */
function dayOf(year: string, month: string, day: string): Day | null {
	const whole = year.length === 2 ? `20${year}` : year;
	return parseDay(`${whole}-${month.padStart(2, '0')}-${day.padStart(2, '0')}`);
}
