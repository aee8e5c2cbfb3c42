import type { Language } from './language';

/** What customers who write Finnish put beside numbers. */
export const fi: Language = {
	code: 'fi',
	name: 'Finnish',
	phrases: {
		onAccount: ['ennakko(?:maksu)?', 'kasiraha'],
		upToDate: ['tiliote', 'kaikki avoimet'],
		notWhole: ['osamaksu', 'osasuoritus', 'era', 'miinus', 'hyvitys(?:lasku)?'],
		part: ['osamaksu', 'osasuoritus', '\\d\\. era'],
		tax: [],
		order: ['tilaus'],
		payout: ['korttitilitys'],
		claims: {
			damaged: ['vioittunut', 'rikki', 'vaurio(?:itunut)?'],
			missing: ['puuttuu'],
			late: [],
			returned: [],
			price: ['hinnanalennus', 'alennus'],
			other: ['miinus', 'vahennetty']
		}
	},
	legalForms: 'OY OYJ KY TMI RY OYAB'.split(' '),
	joiningWords: [],
	neutralWords: 'MAKSU LASKU LASKUT LASKUN TILISIIRTO KIITOS VIITE KUUKAUSIMAKSU TOISTUVA'.split(' ')
};
