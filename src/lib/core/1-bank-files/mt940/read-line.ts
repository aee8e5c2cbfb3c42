import type { Day } from '../../day/day';
import { ZERO, type Minor, minor } from '../../money/minor';
import type { Problem } from '../../problems';
import { readDateNear, readShortDate } from '../short-date';
import { readDecimal } from './read-decimal';

/** A statement line (field 61), with what its second line adds. */
export interface StatementLine {
	readonly valued: Day;
	readonly booked: Day;
	/** Signed by the direction in which the balance moved. */
	readonly amount: Minor;
	readonly reversal: boolean;
	/** Type of transaction: a letter and three signs (`NTRF`). */
	readonly type: string;
	readonly ownReference: string | null;
	readonly bankReference: string | null;
	readonly supplement: string;
}

// `6!n[4!n]2a[1!a]15d1!a3!c16x[//16x]` and `[34x]` on a line of its own; some write more than sixteen signs.
const LINE =
	/^(\d{6})(\d{4})?(R?[CD])([A-Z])?([\d.,]{1,20})([A-Z])([A-Z0-9 ]{3})((?:(?!\/\/).){0,80})(?:\/\/(.{0,80}))?$/;

/**
 * Reads field 61 (SWIFT Standards MT, MT 940): the day it is valued on, the day it is booked on (without a year: that which is nearest), `C`
 * or `D`, with `R` for the reversal of one, an amount. Null with a problem where it is something else.
 */
export function readLine(
	lines: readonly string[],
	currency: string,
	place: { readonly statement?: string; readonly line: number },
	problems: Problem[]
): StatementLine | null {
	const text = (lines[0] ?? '').trimEnd();
	const [, value, entry, mark, , amountText, letter, code, own, bank] = LINE.exec(text) ?? [];
	if (!value || !mark || !amountText) {
		problems.push({ code: 'field-bad', field: ':61:', text: text.slice(0, 60), ...place });
		return null;
	}
	const valued = readShortDate(value);
	const booked = valued && entry ? readDateNear(entry, valued) : valued;
	if (!valued || !booked) {
		problems.push({ code: 'date-bad', text: valued ? entry! : value, part: ':61:', ...place });
		return null;
	}
	const amount = readDecimal(amountText, currency);
	if (typeof amount === 'string') {
		problems.push({ code: 'amount-bad', text: amountText, currency, why: amount, part: ':61:', ...place });
		return null;
	}
	// The reversal of a credit takes money away.
	const sign = mark === 'C' || mark === 'RD' ? 1 : -1;
	return {
		...{ valued, booked, amount: amount === 0 ? ZERO : minor(sign * amount) },
		reversal: mark.startsWith('R'),
		type: `${letter}${code}`.trim(),
		ownReference: own?.trim() || null,
		bankReference: bank?.trim() || null,
		supplement: lines.slice(1).join(' ').trim()
	};
}
