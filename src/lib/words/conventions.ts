import type { DecimalSign } from '../core/money/parse-typed';

/** How a firm writes numbers, and by which clock it works: one firm has one way, for all its people and letters. */
export interface Conventions {
	/** A BCP 47 tag that `Intl` knows. */
	readonly locale: string;
	/** A zone of the IANA database. */
	readonly timeZone: string;
}

/** Ways of writing numbers that can be chosen. Days are typed day before month in all of these lands. */
export const LOCALES = [
	...[
		'en-GB',
		'en-IE',
		'cs-CZ',
		'da-DK',
		'de-AT',
		'de-CH',
		'de-DE',
		'el-GR',
		'es-ES',
		'fi-FI',
		'fr-BE',
		'fr-CH',
		'fr-FR'
	],
	...['hu-HU', 'it-IT', 'nb-NO', 'nl-BE', 'nl-NL', 'pl-PL', 'pt-PT', 'ro-RO', 'sk-SK', 'sv-SE']
] as const;

export const BRITISH: Conventions = { locale: 'en-GB', timeZone: 'Europe/London' };

let current: Conventions = BRITISH;

/** From now on numbers and times are written so: at the start, when the firm changes it, and in the browser when a page loads. */
export function useConventions(conventions: Conventions): void {
	current = conventions;
}

export function conventions(): Conventions {
	return current;
}

/** Whether `Intl` knows a time zone. */
export function isTimeZone(zone: string): boolean {
	try {
		new Intl.DateTimeFormat('en', { timeZone: zone });
		return true;
	} catch {
		return false;
	}
}

/** The sign that the firm writes before decimals. */
export function decimalSign(locale = current.locale): DecimalSign {
	const sign = new Intl.NumberFormat(locale).formatToParts(0.5).find((part) => part.type === 'decimal');
	return sign?.value === ',' ? ',' : '.';
}
