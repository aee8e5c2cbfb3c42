import { CURRENCY_DIGITS } from './currency-digits';

/** Digits of a currency's minor unit (GBP 2, JPY 0, BHD 3), or undefined for a code that ISO 4217 does not have. */
export function currencyDigits(code: string): number | undefined {
	return Object.hasOwn(CURRENCY_DIGITS, code) ? CURRENCY_DIGITS[code] : undefined;
}
