import type { Language } from './language';

/** What customers who write Danish put beside numbers. */
export const da: Language = {
	code: 'da',
	name: 'Danish',
	phrases: {
		onAccount: ['forskud', 'handpeng'],
		upToDate: ['kontoudtog', 'alle abne'],
		notWhole: [],
		part: ['delbetaling'],
		tax: [],
		order: ['ordre', 'bestilling'],
		payout: ['udbetaling', 'kortindlosning'],
		claims: {
			damaged: ['beskadiget'],
			missing: ['mangler'],
			late: ['forsinket'],
			returned: [],
			price: ['prisforskel'],
			other: ['fradrag']
		}
	},
	legalForms: 'APS IVS IS KS'.split(' '),
	joiningWords: [],
	neutralWords: 'BETALINGER TAK'.split(' ')
};
