import { currencyDigits } from '../../core/money/currency';

const MINUS = '−';
const SYMBOLS: Readonly<Record<string, string>> = { GBP: '£', EUR: '€', USD: '$' };
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];
const DAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];

/** An amount with grouped thousands and a true minus, without its currency: 188920 GBP is "1,889.20". */
export function amount(value: number, currency: string): string {
	const digits = currencyDigits(currency) ?? 2;
	const text = String(Math.abs(value)).padStart(digits + 1, '0');
	const whole = (digits ? text.slice(0, -digits) : text).replace(/\B(?=(\d{3})+$)/g, ',');
	return `${value < 0 ? MINUS : ''}${whole}${digits ? `.${text.slice(-digits)}` : ''}`;
}

/** An amount with its currency sign, or its code where it has none: "£1,889.20", "−€5.00", "JPY 500". */
export function money(value: number, currency: string): string {
	const sign = SYMBOLS[currency] ?? `${currency} `;
	return `${value < 0 ? MINUS : ''}${sign}${amount(Math.abs(value), currency)}`;
}

/** A day as "14 Oct", with its year where that is not the year of `near`. */
export function shortDay(day: string, near?: string): string {
	const text = `${Number(day.slice(8, 10))} ${MONTHS[Number(day.slice(5, 7)) - 1]}`;
	return near && near.slice(0, 4) === day.slice(0, 4) ? text : `${text} ${day.slice(0, 4)}`;
}

/** A day as "Fri 30 Oct". */
export function weekDay(day: string): string {
	const date = new Date(`${day}T00:00:00Z`);
	return `${DAYS[date.getUTCDay()]} ${date.getUTCDate()} ${MONTHS[date.getUTCMonth()]}`;
}

/** A moment (ISO 8601) as "30 Oct 2026, 14:05". */
export function moment(at: string): string {
	return `${shortDay(at.slice(0, 10))}, ${at.slice(11, 16)}`;
}

/** "1 invoice", "3 invoices"; the plural is given where it is not made with an s. */
export function count(n: number, one: string, many = `${one}s`): string {
	return `${n.toLocaleString('en-GB')} ${n === 1 ? one : many}`;
}

/** "a", "a and b", "a, b and c"; after `most` names the rest are counted. */
export function list(words: readonly string[], most = 4): string {
	if (words.length <= 1) return words[0] ?? '';
	if (words.length > most)
		return `${words.slice(0, most - 1).join(', ')} and ${words.length - most + 1} more`;
	return `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}

/** Basis points as a percentage: 250 is 2.5 %. */
export function percent(basisPoints: number): string {
	return `${basisPoints / 100} %`;
}
