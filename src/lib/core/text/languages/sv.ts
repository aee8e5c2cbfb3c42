import type { Language } from './language';

/** What customers who write Swedish put beside numbers. */
export const sv: Language = {
	code: 'sv',
	name: 'Swedish',
	phrases: {
		onAccount: ['forskott', 'handpenning'],
		upToDate: ['kontoutdrag', 'alla oppna'],
		notWhole: ['delbetalning', 'avdrag', 'kreditnota'],
		part: ['delbetalning', '(?:forsta|andra) delen'],
		tax: [],
		order: ['order', 'bestallning'],
		payout: ['utbetalning', 'kortinlosen'],
		claims: {
			damaged: ['skad(?:a|at|ade|or)', 'trasig(?:t|a)?', 'odelagd'],
			missing: ['saknas'],
			late: ['forsenad'],
			returned: ['retur'],
			price: ['prisavvikelse'],
			other: ['avdrag']
		}
	},
	legalForms: 'AB HB KB HANDELSBOLAG AKTIEBOLAG PUBL EKFOR'.split(' '),
	joiningWords: 'OCH'.split(' '),
	neutralWords: 'BETALNING FAKTUROR TACK INSATTNING AVSER MANADSBETALNING STAENDE OVERFORING'.split(' ')
};
