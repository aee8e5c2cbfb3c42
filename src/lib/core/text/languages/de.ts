import type { Language } from './language';

/** What customers who write German put beside numbers. */
export const de: Language = {
	code: 'de',
	name: 'German',
	phrases: {
		onAccount: ['akonto(?:zahlung)?', 'a conto', 'vorauszahlung', 'vorkasse', 'anzahlung', 'depositum'],
		upToDate: ['kontoauszug', 'kontoausgleich', 'saldot?', 'alle offenen', 'offene posten'],
		notWhole: ['teil(?:zahlung)?', 'rate', 'abz(?:u|ue)?gl?(?:ich)?', 'skonto', 'gutschrift'],
		part: [
			'teilzahlung',
			'teilbetrag',
			'abschlag(?:szahlung)?',
			'anzahlung',
			'akonto(?:zahlung)?',
			'\\d\\. rate'
		],
		tax: ['quellensteuer', 'steuerabzug'],
		order: ['bestell(?:ung|nummer|nr)', 'auftrag(?:snummer|snr)?'],
		payout: ['auszahlung(?:en)?', 'kartenumsatze?'],
		claims: {
			damaged: ['beschadigt', 'beschaedigt', 'bruch', 'defekt', 'mangel', 'maengel'],
			missing: ['fehlt', 'fehlmenge', 'fehlend[e]?'],
			late: ['verspatet', 'verspaetet'],
			returned: ['retoure', 'ruecksendung', 'rucksendung'],
			price: ['preis(?:differenz)?', 'nachlass', 'rabatt'],
			other: ['abzugl?(?:ich)?', 'abzgl', 'abzuegl(?:ich)?']
		}
	},
	legalForms: 'GMBH MBH UG AG KG KGAA OHG GBR EV EK SE HAFTUNGSBESCHRANKT'.split(' '),
	joiningWords: 'UND'.split(' '),
	neutralWords:
		'ZAHLUNG UBERWEISUNG UEBERWEISUNG GUTSCHRIFT RECHNUNG RECHNUNGEN LIEFERUNG VIELEN DANK DANKE DAUERAUFTRAG MONATLICH SVWZ BELEG WARE'.split(
			' '
		)
};
