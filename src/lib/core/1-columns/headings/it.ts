import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

/** What tables in Italian call their fields. */
export const it: HeadingWords = {
	fields: {
		...BANK_WORDS.it,
		...ADVICE_WORDS.it,
		...RATE_WORDS.it,
		number: [
			'numero fattura',
			'n fattura',
			'nr fattura',
			'fattura',
			'numero documento',
			'documento',
			'numero'
		],
		kind: ['tipo', 'tipo documento'],
		customer_code: ['codice cliente', 'cod cliente', 'numero cliente', 'conto cliente', 'conto', 'cliente'],
		issue_date: ['data fattura', 'data documento', 'data emissione', 'data'],
		due_date: ['scadenza', 'data scadenza', 'data di scadenza'],
		currency: ['valuta', 'divisa'],
		total: ['importo totale', 'totale fattura', 'totale documento', 'totale', 'importo'],
		open: ['residuo', 'importo residuo', 'saldo', 'aperto', 'importo aperto', 'da pagare'],
		purchase_order: ['ordine cliente', 'numero ordine', 'vostro ordine', 'ordine'],
		order_reference: ['nostro ordine'],
		payment_reference: ['riferimento pagamento', 'riferimento'],
		description: ['descrizione', 'causale', 'note'],
		code: ['codice cliente', 'codice', 'cod cliente', 'numero cliente', 'conto'],
		name: ['ragione sociale', 'nome', 'denominazione', 'nome cliente', 'azienda', 'cliente'],
		also_known_as: ['nome commerciale', 'insegna'],
		payer_accounts: ['iban', 'conto bancario'],
		parent_code: ['capogruppo', 'sede centrale'],
		terms_days: ['termini di pagamento', 'giorni pagamento', 'condizioni di pagamento', 'giorni'],
		discount_percent: ['sconto cassa', 'sconto'],
		discount_days: ['giorni sconto'],
		email: ['e mail', 'email', 'posta elettronica'],
		address: ['indirizzo', 'via'],
		phone: ['telefono', 'tel'],
		reminder_email: ['e mail solleciti', 'email per solleciti'],
		credit_limit: ['fido', 'limite di credito', 'fido massimo'],
		tax_number: ['partita iva', 'p iva', 'codice iva'],
		language: ['lingua', 'codice lingua'],
		tags: ['gruppo', 'categoria', 'etichette'],
		notes: ['note', 'annotazioni', 'osservazioni'],
		date: ['data di pagamento', 'data pagamento', 'data', 'pagato il', 'data incasso', 'data valuta'],
		payer_name: ['pagatore', 'ordinante', 'nome'],
		payer_account: ['iban', 'conto del pagatore', 'conto ordinante'],
		invoice_numbers: ['numeri di fattura', 'fatture', 'numero fattura', 'fattura', 'documenti'],
		difference_kind: ['tipo di differenza', 'motivo'],
		difference_amount: ['differenza', 'abbuono', 'trattenuta']
	},
	kinds: {
		invoice: ['fattura', 'ft'],
		credit_note: ['nota di credito', 'nota credito', 'nc'],
		charge: ['spese', 'interessi']
	}
};
