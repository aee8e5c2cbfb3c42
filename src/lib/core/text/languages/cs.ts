import type { Language } from './language';

/** What customers who write Czech put beside numbers. */
export const cs: Language = {
	code: 'cs',
	name: 'Czech',
	phrases: {
		onAccount: ['zaloha', 'zalohova platba', 'predem'],
		upToDate: ['vypis', 'vsechny faktury'],
		notWhole: ['castecn[aey]', 'splatka', 'cast', 'dobropis[u]?', 'sleva'],
		part: ['castecna uhrada', '\\d\\. splatka'],
		tax: [],
		order: ['objednavka'],
		payout: ['vyplata', 'zuctovani karet'],
		claims: {
			damaged: ['poskozen[eoy]', 'rozbit[eoy]'],
			missing: ['chybi'],
			late: [],
			returned: [],
			price: ['sleva'],
			other: []
		}
	},
	legalForms: 'SRO SPOL VOS ZS'.split(' '),
	joiningWords: [],
	neutralWords: 'PLATBA PREVOD FAKTURU DEKUJI UHRADA ZBOZI TRVALY PRIKAZ MESICNI'.split(' ')
};
