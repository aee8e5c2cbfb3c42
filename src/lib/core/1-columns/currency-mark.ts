import { currencyDigits } from '../money/currency';

/** What a sum may be written with: a code of three letters, or a sign. */
export const CURRENCY_MARK = /[A-Z]{3}|[€£$]/;

/** Signs of one currency. A dollar may be that of several countries, and says nothing alone. */
const SIGNS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP' };
const DOLLARS: ReadonlySet<string> = new Set('USD CAD AUD NZD SGD HKD TWD MXN'.split(' '));

/** The code or the sign that stands beside a sum; null where none does. */
export function currencyMarkOf(text: string): string | null {
	return CURRENCY_MARK.exec(text)?.[0] ?? null;
}

/** The code of a currency (ISO 4217) that a mark stands for; null where it stands for none, or for several. */
export function codeOf(mark: string): string | null {
	const code = SIGNS[mark] ?? mark.toUpperCase();
	return currencyDigits(code) === undefined ? null : code;
}

/** Whether a sum that is written with a mark can be one of a currency. */
export function isOf(mark: string, currency: string): boolean {
	return mark === '$' ? DOLLARS.has(currency) : codeOf(mark) === currency;
}
