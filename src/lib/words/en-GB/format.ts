import { currencyDigits } from '../../core/money/currency';
import type { Minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import { conventions } from '../conventions';
import { dayInZone } from '../day-in-zone';
import { zoneFormats } from '../zone-formats';

/** The language of these words: months and days of the week are named in it, wherever the firm is. */
const LANGUAGE = 'en-GB';
const MINUS = '−';
const SYMBOLS: Readonly<Record<string, string>> = { GBP: '£', EUR: '€', USD: '$' };

const numbers = new Map<string, Intl.NumberFormat>();
function numberFormat(digits: number): Intl.NumberFormat {
	const { locale } = conventions();
	const key = `${locale} ${digits}`;
	let format = numbers.get(key);
	if (!format) {
		format = new Intl.NumberFormat(locale, {
			minimumFractionDigits: digits,
			maximumFractionDigits: digits,
			useGrouping: 'always'
		});
		numbers.set(key, format);
	}
	return format;
}

/** Signs between thousands are made one kind, since browsers and servers know different ones of the same land. */
function written(decimal: `${number}`, digits: number): string {
	return numberFormat(digits).format(decimal).replace(/\s/g, '\u00a0').replace(/'/g, '’');
}

/** An amount with grouped thousands and a true minus, without its currency: 188920 GBP is "1,889.20", or as the firm writes it. */
export function amount(value: number, currency: string): string {
	const digits = currencyDigits(currency) ?? 2;
	// As text: a number of pounds would lose pennies beyond 2^53.
	const decimal = toDecimal(Math.abs(value) as Minor, currency) as `${number}`;
	return `${value < 0 ? MINUS : ''}${written(decimal, digits)}`;
}

/** An amount with its currency sign, or its code where it has none: "£1,889.20", "−€5.00", "JPY 500". */
export function money(value: number, currency: string): string {
	const sign = SYMBOLS[currency] ?? `${currency} `;
	return `${value < 0 ? MINUS : ''}${sign}${amount(Math.abs(value), currency)}`;
}

/** A whole number with grouped thousands. */
export function whole(n: number): string {
	return written(`${n}`, 0);
}

const MONTH = new Intl.DateTimeFormat(LANGUAGE, { month: 'short', timeZone: 'UTC' });
const LONG_MONTH = new Intl.DateTimeFormat(LANGUAGE, { month: 'long', timeZone: 'UTC' });
const WEEKDAY = new Intl.DateTimeFormat(LANGUAGE, { weekday: 'short', timeZone: 'UTC' });
const noon = (day: string) => new Date(`${day}T12:00:00Z`);

/** Twelve of them, by their number. */
const SHORT_MONTHS = Array.from({ length: 12 }, (_, n) =>
	MONTH.format(new Date(Date.UTC(2026, n, 1))).slice(0, 3)
);

/** The month of a day or of `YYYY-MM` as "Oct". */
export function shortMonth(day: string): string {
	return SHORT_MONTHS[Number(day.slice(5, 7)) - 1]!;
}

/** The month of a day or of `YYYY-MM` as "October 2026". */
export function longMonth(day: string): string {
	return `${LONG_MONTH.format(noon(`${day.slice(0, 7)}-01`))} ${day.slice(0, 4)}`;
}

/** A day as "14 Oct", with its year where that is not the year of `near`. */
export function shortDay(day: string, near?: string): string {
	const text = `${Number(day.slice(8, 10))} ${shortMonth(day)}`;
	return near && near.slice(0, 4) === day.slice(0, 4) ? text : `${text} ${day.slice(0, 4)}`;
}

/** A day as "Fri 30 Oct". */
export function weekDay(day: string): string {
	return `${WEEKDAY.format(noon(day))} ${Number(day.slice(8, 10))} ${shortMonth(day)}`;
}

/** A moment (ISO 8601) by the firm's clock, as "30 Oct 2026, 14:05". */
export function moment(at: string): string {
	return `${momentDay(at)}, ${momentTime(at)}`;
}

/** The day of a moment (ISO 8601) by the firm's clock, as "30 Oct 2026". */
export function momentDay(at: string): string {
	return shortDay(dayInZone(new Date(at)));
}

/** A moment (ISO 8601) by the firm's clock, as "14:05". */
export function momentTime(at: string): string {
	return zoneFormats().time.format(new Date(at));
}

/** "1 invoice", "3 invoices"; the plural is given where it is not made with an s. */
export function count(n: number, one: string, many = `${one}s`): string {
	return `${whole(n)} ${n === 1 ? one : many}`;
}

/** "a", "a and b", "a, b and c"; after `most` names the rest are counted. */
export function list(words: readonly string[], most = 4): string {
	if (words.length <= 1) return words[0] ?? '';
	if (words.length > most)
		return `${words.slice(0, most - 1).join(', ')} and ${words.length - most + 1} more`;
	return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** Basis points as a percentage: 250 is "2.5%". */
export function percent(basisPoints: number): string {
	const digits = basisPoints % 100 === 0 ? 0 : basisPoints % 10 === 0 ? 1 : 2;
	return `${numberFormat(digits).format(basisPoints / 100)}%`;
}
