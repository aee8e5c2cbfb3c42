import { CURRENCY_MARK } from './currency-mark';

/** The sign before the decimals in a column. */
export type DecimalSign = '.' | ',';

/** Signs of the longest number that is read. */
const LONGEST = 60;
/** A blank of any width, an apostrophe: they only group. */
const GROUPING = /[\s\u00a0\u202f'’]/g;

const SIGN = '([-+\\u2212]?)';
const MARK = `(${CURRENCY_MARK.source})?`;
/** One sign and one mark at most, on either side of the digits. */
const AMOUNT = new RegExp(`^${SIGN}${MARK}${SIGN}([\\d.,]+)${SIGN}${MARK}${SIGN}$`);

/** A number without currency, blanks and sign; null for what is none. */
function bare(given: string): { readonly digits: string; readonly negative: boolean } | null {
	if (given.length > LONGEST) return null;
	const text = given.replace(GROUPING, '');
	const bracketed = /^\((.*)\)$/.exec(text);
	const found = AMOUNT.exec(bracketed ? bracketed[1]! : text);
	if (!found || !/\d/.test(found[4]!)) return null;
	const [, first, before, second, digits, third, after, last] = found;
	const signs = [first, second, third, last].filter(Boolean);
	if (signs.length > (bracketed ? 0 : 1) || (before && after)) return null;
	return { digits: digits!, negative: Boolean(bracketed) || (signs.length === 1 && signs[0] !== '+') };
}

/** Which sign stands before the decimals of one number; `'either'` where it could be both, null where it has neither, or cannot be. */
function signIn(digits: string): DecimalSign | 'either' | null {
	const [dot, comma] = [digits.lastIndexOf('.'), digits.lastIndexOf(',')];
	if (dot >= 0 && comma >= 0) return dot > comma ? '.' : ',';
	const at = Math.max(dot, comma);
	if (at < 0) return null;
	const sign = digits[at] as DecimalSign;
	const other: DecimalSign = sign === '.' ? ',' : '.';
	if (digits.indexOf(sign) !== at) return other;
	// Three digits behind it, and one to three before: thousands, or decimals.
	if (digits.length - at - 1 !== 3) return sign;
	return /^(?!0)\d{1,3}$/.test(digits.slice(0, at)) ? 'either' : sign;
}

/**
 * The decimal sign of a column, from all of its numbers together. `'either'` where each could be read in two ways ("1.234"); null
 * where they contradict each other.
 */
export function decimalSignOf(texts: readonly string[]): DecimalSign | 'either' | null {
	const seen = new Set(texts.map((text) => bare(text)).map((one) => one && signIn(one.digits)));
	if (seen.has('.') && seen.has(',')) return null;
	if (seen.has('.')) return '.';
	if (seen.has(',')) return ',';
	return seen.has('either') ? 'either' : '.';
}

/**
 * A number as programs write it: digits, a dot before the decimals, a minus where it is below zero ("-1043.20" for "1.043,20-"). Null
 * for what is no number, or groups its digits otherwise than in threes.
 */
export function readNumberAs(given: string, sign: DecimalSign): string | null {
	const found = bare(given);
	if (!found) return null;
	const group = sign === '.' ? ',' : '.';
	const [whole = '', decimals, ...more] = found.digits.split(sign);
	if (more.length > 0 || decimals?.includes(group)) return null;
	const parts = whole.split(group);
	if (
		parts.length > 1 &&
		(!/^\d{1,3}$/.test(parts[0]!) || parts.slice(1).some((part) => !/^\d{3}$/.test(part)))
	)
		return null;
	const digits = parts.join('') || '0';
	return `${found.negative ? '-' : ''}${digits}${decimals ? `.${decimals}` : ''}`;
}
