import type { Day } from '../../day/day';
import { minor, ZERO, type Minor } from '../../money/minor';
import type { Problem } from '../../problems';
import { readShortDate } from '../short-date';
import { readDecimal } from './read-decimal';

export interface Balance {
	readonly value: Minor;
	readonly on: Day;
	readonly currency: string;
}

/** Reads a balance (fields 60 and 62: `1!a6!n3!a15d`). Null with a problem where it is something else. */
export function readBalance(
	tag: string,
	text: string,
	place: { readonly statement?: string; readonly line: number },
	problems: Problem[]
): Balance | null {
	const part = `:${tag}:`;
	const [, mark, date, currency, amountText] =
		/^([CD])(\d{6})([A-Z]{3})([\d.,]{1,20})$/.exec(text.trim()) ?? [];
	if (!mark || !date || !currency || !amountText) {
		problems.push({ code: 'field-bad', field: part, text: text.slice(0, 60), ...place });
		return null;
	}
	const on = readShortDate(date);
	if (!on) problems.push({ code: 'date-bad', text: date, part, ...place });
	const amount = readDecimal(amountText, currency);
	if (typeof amount === 'string')
		problems.push({ code: 'amount-bad', text: amountText, currency, why: amount, part, ...place });
	if (!on || typeof amount === 'string') return null;
	return { value: amount === 0 ? ZERO : minor(mark === 'D' ? -amount : amount), on, currency };
}
