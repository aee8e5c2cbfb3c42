import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

/** What tables in German call their fields. */
export const de: HeadingWords = {
	fields: {
		...BANK_WORDS.de,
		...ADVICE_WORDS.de,
		...RATE_WORDS.de,
		number: [
			'rechnungsnummer',
			'rechnungsnr',
			'rechnung nr',
			'rechnungs nr',
			'rg nr',
			'belegnummer',
			'belegnr',
			'beleg nr',
			'beleg',
			'rechnung',
			'nummer'
		],
		kind: ['belegart', 'art', 'typ'],
		customer_code: [
			'kundennummer',
			'kundennr',
			'kunden nr',
			'kunde nr',
			'debitor',
			'debitorennummer',
			'debitorennr',
			'konto',
			'kontonummer',
			'kunde'
		],
		issue_date: ['rechnungsdatum', 'belegdatum', 'datum', 'ausstellungsdatum', 'buchungsdatum'],
		due_date: ['falligkeit', 'fallig', 'fallig am', 'falligkeitsdatum', 'zahlbar bis', 'nettofalligkeit'],
		currency: ['wahrung', 'whg', 'wahrungskennzeichen'],
		total: ['gesamtbetrag', 'rechnungsbetrag', 'bruttobetrag', 'brutto', 'gesamt', 'summe', 'betrag'],
		open: ['offener betrag', 'offen', 'restbetrag', 'offener posten', 'saldo', 'op betrag', 'rest'],
		purchase_order: ['bestellnummer', 'bestellnr', 'ihre bestellung', 'bestellung', 'auftragsnummer kunde'],
		order_reference: ['auftragsnummer', 'auftragsnr', 'auftrag', 'unser auftrag'],
		payment_reference: ['zahlungsreferenz', 'referenz', 'verwendungszweck'],
		description: ['beschreibung', 'buchungstext', 'text', 'bemerkung'],
		code: [
			'kundennummer',
			'kundennr',
			'kunden nr',
			'debitorennummer',
			'debitorennr',
			'debitor',
			'kontonummer',
			'nummer',
			'konto'
		],
		name: ['name', 'firma', 'firmenname', 'kundenname', 'name 1', 'unternehmen', 'kunde'],
		also_known_as: ['kurzname', 'matchcode', 'suchname', 'name 2'],
		payer_accounts: ['iban', 'bankverbindung', 'bankkonto'],
		parent_code: ['zentrale', 'hauptkunde', 'mutterkonto'],
		terms_days: [
			'zahlungsziel',
			'zahlungsbedingung',
			'zahlungsfrist',
			'zahlungsziel tage',
			'tage netto',
			'netto tage'
		],
		discount_percent: ['skonto', 'skontosatz', 'skonto prozent'],
		discount_days: ['skontotage', 'skontofrist', 'skonto tage'],
		email: ['e mail', 'email', 'mailadresse', 'e mail adresse'],
		address: ['anschrift', 'adresse', 'strasse', 'strae'],
		phone: ['telefon', 'telefonnummer', 'tel'],
		reminder_email: ['e mail fur mahnungen', 'mahn e mail', 'mahnungen an'],
		credit_limit: ['kreditlimit', 'kreditlinie', 'limit'],
		tax_number: ['ust idnr', 'ust id', 'umsatzsteuer id', 'steuernummer'],
		language: ['sprache', 'sprachcode', 'sprachkennzeichen'],
		tags: ['kundengruppe', 'gruppe', 'kategorie', 'schlagworte'],
		notes: ['bemerkung', 'bemerkungen', 'notiz', 'notizen', 'hinweis'],
		date: ['zahlungsdatum', 'datum', 'zahldatum', 'bezahlt am', 'eingangsdatum', 'buchungsdatum', 'valuta'],
		payer_name: ['zahler', 'auftraggeber', 'einzahler', 'zahlender', 'name'],
		payer_account: ['iban', 'konto des zahlers', 'auftraggeberkonto', 'bankverbindung'],
		invoice_numbers: [
			'rechnungsnummern',
			'rechnungen',
			'rechnungsnummer',
			'rechnungsnr',
			'belege',
			'belegnummer',
			'beleg',
			'ausgeglichen',
			'rechnung'
		],
		difference_kind: ['abzugsart', 'differenzart', 'grund'],
		difference_amount: ['differenz', 'abzug', 'skontobetrag', 'kurzung']
	},
	kinds: {
		invoice: ['rechnung', 're', 'rg'],
		credit_note: ['gutschrift', 'gu', 'gs', 'storno'],
		charge: ['gebuhr', 'mahngebuhr', 'zinsen']
	}
};
