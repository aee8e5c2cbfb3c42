import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

/** What tables in French call their fields. */
export const fr: HeadingWords = {
	fields: {
		...BANK_WORDS.fr,
		...ADVICE_WORDS.fr,
		...RATE_WORDS.fr,
		number: [
			'numero de facture',
			'no facture',
			'n facture',
			'numero facture',
			'facture',
			'numero de piece',
			'piece',
			'numero'
		],
		kind: ['type', 'type de piece', 'nature'],
		customer_code: [
			'code client',
			'numero client',
			'no client',
			'n client',
			'compte client',
			'compte',
			'client'
		],
		issue_date: ['date de facture', 'date facture', 'date d emission', 'date de piece', 'date'],
		due_date: ['echeance', 'date d echeance', 'date echeance', 'a payer avant'],
		currency: ['devise', 'monnaie'],
		total: ['montant ttc', 'total ttc', 'ttc', 'montant total', 'montant', 'total'],
		open: ['reste du', 'reste a payer', 'solde', 'solde du', 'montant ouvert', 'montant restant', 'impaye'],
		purchase_order: ['bon de commande', 'numero de commande', 'commande', 'votre commande'],
		order_reference: ['notre commande', 'commande interne'],
		payment_reference: ['reference de paiement', 'reference'],
		description: ['libelle', 'designation', 'description', 'commentaire'],
		code: ['code client', 'code', 'numero client', 'no client', 'compte client', 'compte'],
		name: ['nom', 'raison sociale', 'nom du client', 'societe', 'client'],
		also_known_as: ['enseigne', 'nom commercial', 'autre nom'],
		payer_accounts: ['iban', 'compte bancaire', 'rib'],
		parent_code: ['maison mere', 'siege', 'compte parent'],
		terms_days: ['delai de paiement', 'conditions de paiement', 'delai', 'jours'],
		discount_percent: ['escompte', 'taux d escompte'],
		discount_days: ['jours d escompte', 'delai d escompte'],
		email: ['courriel', 'e mail', 'email', 'adresse e mail', 'mail'],
		address: ['adresse', 'rue', 'adresse de facturation'],
		phone: ['telephone', 'tel'],
		reminder_email: ['e mail de relance', 'courriel de relance', 'relances a'],
		credit_limit: ['plafond de credit', 'limite de credit', 'encours autorise'],
		tax_number: ['numero de tva', 'tva intracommunautaire', 'no tva'],
		language: ['langue', 'code langue'],
		tags: ['groupe', 'categorie', 'famille'],
		notes: ['remarques', 'notes', 'observations', 'commentaire'],
		date: ['date de paiement', 'date du paiement', 'date', 'date de reglement', 'paye le', 'date valeur'],
		payer_name: ['payeur', 'donneur d ordre', 'emetteur'],
		payer_account: ['iban', 'compte du payeur', 'compte'],
		invoice_numbers: ['numeros de facture', 'factures', 'facture', 'factures reglees', 'pieces', 'piece'],
		difference_kind: ['nature de l ecart', 'motif'],
		difference_amount: ['ecart', 'difference', 'escompte']
	},
	kinds: {
		invoice: ['facture', 'fa', 'fac'],
		credit_note: ['avoir', 'av', 'note de credit'],
		charge: ['frais', 'interets']
	}
};
