import type { Language } from './language';

/** What customers who write Dutch put beside numbers. */
export const nl: Language = {
	code: 'nl',
	name: 'Dutch',
	phrases: {
		onAccount: ['op rekening', 'aanbetaling', 'vooruitbetaling', 'voorschot'],
		upToDate: ['openstaande?', 'rekeningoverzicht'],
		notWhole: ['gedeeltelijk', 'termijn', 'minder', 'korting'],
		part: ['deelbetaling', '(?:1e|2e|eerste|tweede) termijn', 'gedeelte'],
		tax: ['bronbelasting'],
		order: ['bestelling', 'order'],
		payout: ['uitbetaling', 'pinontvangsten'],
		claims: {
			damaged: ['beschadigd', 'schade', 'kapot'],
			missing: ['ontbrekend[e]?', 'te weinig geleverd'],
			late: ['te laat'],
			returned: [],
			price: ['prijs(?:verschil)?', 'korting'],
			other: ['minder']
		}
	},
	legalForms: 'BV NV VOF CV'.split(' '),
	joiningWords: 'EN'.split(' '),
	neutralWords: 'BETALING OVERBOEKING FACTUUR FACTUREN BEDANKT UW BETREFT MAANDELIJKS'.split(' ')
};
