import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

/** What tables in Dutch call their fields. */
export const nl: HeadingWords = {
	fields: {
		...BANK_WORDS.nl,
		...ADVICE_WORDS.nl,
		...RATE_WORDS.nl,
		number: ['factuurnummer', 'factuurnr', 'factuur nr', 'factuur', 'documentnummer', 'nummer'],
		kind: ['soort', 'type', 'documentsoort'],
		customer_code: [
			'klantnummer',
			'klantnr',
			'debiteurnummer',
			'debiteur',
			'debiteurennummer',
			'klantcode',
			'relatienummer',
			'klant'
		],
		issue_date: ['factuurdatum', 'datum', 'documentdatum'],
		due_date: ['vervaldatum', 'vervaldag', 'betalen voor'],
		currency: ['valuta', 'munt'],
		total: ['totaalbedrag', 'factuurbedrag', 'bedrag incl btw', 'totaal', 'bedrag'],
		open: ['openstaand', 'openstaand bedrag', 'saldo', 'restant', 'nog te betalen'],
		purchase_order: ['bestelnummer', 'inkooporder', 'uw referentie'],
		order_reference: ['ordernummer', 'onze referentie'],
		payment_reference: ['betalingskenmerk', 'kenmerk'],
		description: ['omschrijving', 'opmerking'],
		code: ['klantnummer', 'klantcode', 'klantnr', 'debiteurnummer', 'debiteur', 'code', 'relatienummer'],
		name: ['naam', 'bedrijfsnaam', 'klantnaam', 'bedrijf', 'klant'],
		also_known_as: ['handelsnaam', 'zoeknaam'],
		payer_accounts: ['iban', 'rekeningnummer', 'bankrekening'],
		parent_code: ['hoofdklant', 'moederbedrijf'],
		terms_days: ['betalingstermijn', 'betaaltermijn', 'betalingsconditie'],
		discount_percent: ['betalingskorting', 'korting'],
		discount_days: ['kortingsdagen', 'korting dagen'],
		email: ['e mail', 'email', 'e mailadres'],
		address: ['adres', 'straat', 'factuuradres'],
		phone: ['telefoon', 'telefoonnummer'],
		reminder_email: ['e mail voor herinneringen', 'e mail aanmaningen'],
		credit_limit: ['kredietlimiet', 'kredietgrens', 'limiet'],
		tax_number: ['btw nummer', 'btw nr', 'btw id'],
		language: ['taal', 'taalcode'],
		tags: ['klantgroep', 'groep', 'categorie'],
		notes: ['opmerkingen', 'opmerking', 'notities', 'notitie'],
		date: ['betaaldatum', 'datum', 'betaald op', 'ontvangstdatum', 'boekdatum'],
		payer_name: ['betaler', 'tegenpartij', 'naam'],
		payer_account: ['iban', 'rekening betaler', 'tegenrekening'],
		invoice_numbers: ['factuurnummers', 'facturen', 'factuurnummer', 'factuur', 'documenten'],
		difference_kind: ['soort verschil', 'reden'],
		difference_amount: ['verschil', 'korting', 'inhouding']
	},
	kinds: {
		invoice: ['factuur', 'fa'],
		credit_note: ['creditnota', 'creditfactuur', 'cn'],
		charge: ['kosten', 'rente']
	}
};
