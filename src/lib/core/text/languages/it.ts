import type { Language } from './language';

/** What customers who write Italian put beside numbers. */
export const it: Language = {
	code: 'it',
	name: 'Italian',
	phrases: {
		onAccount: ['acconto', 'anticipo', 'caparra'],
		upToDate: ['estratto conto', 'estratto', 'tutte le fatture'],
		notWhole: ['parziale', 'meno'],
		part: ['acconto', 'pagamento parziale', '\\d.? rata'],
		tax: ['ritenuta(?: d.?acconto)?'],
		order: ['ordine'],
		payout: ['accredito pos', 'liquidazione carte'],
		claims: {
			damaged: ['rott[oaie]', 'danneggiat[oaie]', 'guast[oaie]'],
			missing: ['mancant[ei]', 'mancante'],
			late: ['ritardo'],
			returned: ['reso'],
			price: ['prezzo', 'sconto'],
			other: ['meno']
		}
	},
	legalForms: 'SRL SRLS SPA'.split(' '),
	joiningWords: [],
	neutralWords: 'BONIFICO PAGAMENTO FATTURA FATTURE GRAZIE'.split(' ')
};
