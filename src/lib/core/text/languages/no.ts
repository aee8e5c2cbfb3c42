import type { Language } from './language';

/** What customers who write Norwegian put beside numbers. */
export const no: Language = {
	code: 'no',
	name: 'Norwegian',
	phrases: {
		onAccount: ['forskudd'],
		upToDate: ['alle apne'],
		notWhole: [],
		part: [],
		tax: [],
		order: ['ordre', 'bestilling'],
		payout: ['utbetaling', 'kortoppgjor'],
		claims: {
			damaged: ['odelagt', 'skadet'],
			missing: [],
			late: [],
			returned: [],
			price: ['prisavslag'],
			other: []
		}
	},
	legalForms: 'AS ASA'.split(' '),
	joiningWords: 'OG'.split(' '),
	neutralWords: 'FAKTURA TAKK'.split(' ')
};
