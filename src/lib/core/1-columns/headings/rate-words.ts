import type { HeadingWords } from './language';

/** What tables of exchange rates call their columns, beside the currency. */
export const RATE_WORDS = {
	en: {
		rate_day: ['date', 'day', 'rate date', 'valid on', 'valid from', 'as of'],
		rate: ['rate', 'exchange rate', 'fx rate', 'spot rate', 'mid rate', 'mid', 'value']
	},
	de: {
		rate_day: ['datum', 'tag', 'kursdatum', 'gultig ab', 'stichtag'],
		rate: ['kurs', 'wechselkurs', 'umrechnungskurs', 'devisenkurs', 'mittelkurs']
	},
	fr: {
		rate_day: ['date', 'jour', 'date du cours', 'date de valeur'],
		rate: ['cours', 'taux', 'taux de change', 'cours de change']
	},
	es: {
		rate_day: ['fecha', 'dia', 'fecha del cambio'],
		rate: ['tipo de cambio', 'cambio', 'tipo', 'cotizacion']
	},
	it: {
		rate_day: ['data', 'giorno', 'data del cambio'],
		rate: ['cambio', 'tasso', 'tasso di cambio', 'quotazione']
	},
	nl: {
		rate_day: ['datum', 'dag', 'koersdatum'],
		rate: ['koers', 'wisselkoers']
	}
} satisfies Readonly<Record<string, HeadingWords['fields']>>;
