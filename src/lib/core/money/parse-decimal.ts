import { endingOf } from '../text/ending-of';
import { currencyDigits } from './currency';
import { minor, MOST_AMOUNT, type Minor } from './minor';

/** Signs of the longest amount that is read. */
const LONGEST = 60;

export type DecimalFault = 'unknown-currency' | 'not-a-number' | 'too-many-decimals' | 'too-large';

/**
 * Reads an amount as files write it: digits with an optional decimal point ("1043.20"), no sign unless `signed`, no
 * grouping. Trailing zeros beyond the currency's digits are harmless ("10.500" GBP is 10.50); any other further digit is
 * refused, never rounded. Source of the shape: ISO 20022 ActiveOrHistoricCurrencyAndAmount (18 digits, 5 decimals).
 */
export function parseDecimal(text: string, currency: string, signed = false): Minor | DecimalFault {
	const digits = currencyDigits(currency);
	if (digits === undefined) return 'unknown-currency';
	// Noughts without end take long to count, and no amount is so long.
	if (text.length > LONGEST) return 'too-large';
	const found = /^([+-]?)(\d*)(?:\.(\d*))?$/.exec(text.trim());
	if (!found || (!found[2] && !found[3])) return 'not-a-number';
	if (found[1] && !signed) return 'not-a-number';
	const decimals = found[3] ?? '';
	const fraction = decimals.slice(0, decimals.length - endingOf(decimals, /0/).length);
	if (fraction.length > digits) return 'too-many-decimals';
	const value = Number((found[2] || '0') + fraction.padEnd(digits, '0'));
	if (value > MOST_AMOUNT) return 'too-large';
	return minor(found[1] === '-' ? -value : value);
}
