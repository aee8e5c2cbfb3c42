import { add } from './add';
import { MOST_AMOUNT, type Minor } from './minor';
import { parseDecimal, type DecimalFault } from './parse-decimal';

/** Signs of the longest sum that is read. */
const LONGEST = 200;

/** The sign before the decimals, as a firm writes it. */
export type DecimalSign = '.' | ',';

/**
 * Reads an amount as a clerk types it: "1889.2", "1,889.20", "1.889,20", "12,5", "£480", "750+480", "750-20.50". What is
 * unmistakable is read as it stands, whichever way it is written; a sign with three digits after it, which may be thousands or
 * decimals, is read as the firm writes amounts. Groups must stand where thousands stand; spaces are ignored. A leading minus is
 * refused unless `signed`: the application knows the direction.
 */
export function parseTyped(
	text: string,
	currency: string,
	signed = false,
	decimal: DecimalSign = '.'
): Minor | DecimalFault {
	if (text.length > LONGEST) return 'too-large';
	const plain = text.replace(/[\s£€$]/g, '').replace(/[−–]/g, '-');
	const terms = plain.match(/[+-]?[^+-]+/g);
	if (!terms || terms.join('') !== plain) return 'not-a-number';
	const values: Minor[] = [];
	for (const term of terms) {
		const sign = /^[+-]/.exec(term)?.[0] ?? '';
		const number = withDecimalPoint(term.slice(sign.length), decimal);
		if (number === null) return 'not-a-number';
		const value = parseDecimal(sign + number, currency, true);
		if (typeof value === 'string') return value;
		values.push(value);
	}
	const sum = values.reduce((a, b) => a + b, 0);
	if (Math.abs(sum) > MOST_AMOUNT) return 'too-large';
	if (sum < 0 && !signed) return 'not-a-number';
	return add(...values);
}

/** A number without groups and with a decimal point; null where its groups stand wrongly. */
function withDecimalPoint(text: string, decimal: DecimalSign): string | null {
	const signs: readonly string[] = text.match(/[.,]/g) ?? [];
	const last = signs.at(-1);
	const apostrophes = /['’]/.test(text);
	if (last === undefined && !apostrophes) return text;
	const at = last === undefined ? text.length : text.lastIndexOf(last);
	const isDecimal =
		last !== undefined &&
		signs.indexOf(last) === signs.length - 1 &&
		(signs.length > 1 || apostrophes || !mayGroup(text, at) || last === decimal);
	const whole = isDecimal ? text.slice(0, at) : text;
	const group = apostrophes ? "'’" : isDecimal ? (last === '.' ? ',' : '.') : (last ?? '');
	if (/['’.,]/.test(whole) && !new RegExp(`^\\d{1,3}([${group}]\\d{3})+$`).test(whole)) return null;
	return whole.replace(/['’.,]/g, '') + (isDecimal ? `.${text.slice(at + 1)}` : '');
}

/** Whether one sign at a place may stand before thousands: one to three digits before it, not a lone nought, and three after. */
function mayGroup(text: string, at: number): boolean {
	return /^[1-9]\d{0,2}$/.test(text.slice(0, at)) && /^\d{3}$/.test(text.slice(at + 1));
}
