import { currencyDigits } from '../../core/money/currency';
import type { Minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import { conventions } from '../conventions';
import type { LetterFormats } from '../letters/letter-words';

const SYMBOLS: Readonly<Record<string, string>> = { GBP: '£', EUR: '€', USD: '$' };
const OTHERWISE = 'de-DE';

/** The firm's own way where it writes numbers in a land of this language, else that of Germany. */
const localeNow = () => (conventions().locale.startsWith('de-') ? conventions().locale : OTHERWISE);

function number(decimal: `${number}`, digits: number): string {
	const format = new Intl.NumberFormat(localeNow(), {
		...{ minimumFractionDigits: digits, maximumFractionDigits: digits, useGrouping: 'always' }
	});
	return format.format(decimal).replace(/\s/g, '\u00a0');
}

function amount(value: number, currency: string): string {
	const digits = currencyDigits(currency) ?? 2;
	const decimal = toDecimal(Math.abs(value) as Minor, currency) as `${number}`;
	return `${value < 0 ? '−' : ''}${number(decimal, digits)}`;
}

/** Sums and days as they are written in German: 1.889,20 €, 30.10.2026. */
export const GERMAN_FORMATS: LetterFormats = {
	amount,
	money: (value, currency) => `${amount(value, currency)}\u00a0${SYMBOLS[currency] ?? currency}`,
	day: (day) => `${day.slice(8, 10)}.${day.slice(5, 7)}.${day.slice(0, 4)}`,
	percent: (basisPoints) =>
		`${number(`${basisPoints / 100}`, basisPoints % 100 === 0 ? 0 : basisPoints % 10 === 0 ? 1 : 2)}\u00a0%`
};
