import type { Language } from './language';

/** What customers who write French put beside numbers. */
export const fr: Language = {
	code: 'fr',
	name: 'French',
	phrases: {
		onAccount: ['acompte', 'a valoir', 'avance'],
		upToDate: ['solde', 'releve', 'toutes (?:les )?factures'],
		notWhole: ['partiel', 'acompte', 'moins', 'escompte', 'avoir'],
		part: [
			'acompte',
			'a valoir',
			'(?:paiement|versement|reglement) partiel',
			'(?:1er|2e|premier|second) versement'
		],
		tax: ['retenue(?: a la source)?'],
		order: ['commande', 'cde'],
		payout: ['versement cb', 'reversement'],
		claims: {
			damaged: ['casse', 'endommagee?s?'],
			missing: ['manquante?s?'],
			late: ['retard'],
			returned: ['retournee?s?', 'retour'],
			price: ['prix', 'remise', 'rabais'],
			other: ['moins', 'deduction']
		}
	},
	legalForms: 'SARL SAS SASU EURL SA SCI SNC'.split(' '),
	joiningWords: 'ET'.split(' '),
	neutralWords:
		'VIREMENT PAIEMENT REGLEMENT FACTURE FACTURES MERCI VOTRE COMMANDE MENSUALITE PERMANENT'.split(' ')
};
