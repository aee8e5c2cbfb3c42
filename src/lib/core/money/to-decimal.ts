import { currencyDigits } from './currency';
import type { Minor } from './minor';

/** Writes an amount with its currency's digits and a point, as files want it: 104320 GBP is "1043.20", −5 is "-0.05". */
export function toDecimal(amount: Minor, currency: string): string {
	const digits = currencyDigits(currency) ?? 2;
	const text = String(Math.abs(amount)).padStart(digits + 1, '0');
	const sign = amount < 0 ? '-' : '';
	if (digits === 0) return sign + text;
	return `${sign}${text.slice(0, -digits)}.${text.slice(-digits)}`;
}
