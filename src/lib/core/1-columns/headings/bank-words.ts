import type { BankField } from '../fields';

/** What tables of banks call their fields, in each language, the surest first: small letters, without accents and signs. */
export const BANK_WORDS: Readonly<
	Record<'en' | 'de' | 'fr' | 'nl' | 'es' | 'it', Partial<Record<BankField, readonly string[]>>>
> = {
	en: {
		booked: [
			'booking date',
			'transaction date',
			'posting date',
			'date posted',
			'entry date',
			'posted',
			'date'
		],
		valued: ['value date', 'effective date', 'date of value'],
		amount: ['amount', 'transaction amount', 'value', 'sum'],
		paid_in: [
			'paid in',
			'money in',
			'credit amount',
			'credit',
			'credits',
			'deposits',
			'deposit',
			'receipts',
			'in'
		],
		paid_out: [
			'paid out',
			'money out',
			'debit amount',
			'debit',
			'debits',
			'withdrawals',
			'withdrawal',
			'payments',
			'out'
		],
		direction: [
			'debit or credit',
			'debit credit',
			'credit debit',
			'credit debit indicator',
			'dr cr',
			'cr dr',
			'd c',
			'c d',
			'sign'
		],
		balance: ['balance', 'running balance', 'account balance', 'balance after', 'closing balance'],
		counterparty: [
			'payer or payee',
			'counterparty name',
			'counterparty',
			'other party',
			'payer',
			'payee',
			'beneficiary',
			'merchant',
			'name'
		],
		counterparty_account: [
			'their account',
			'counterparty account',
			'payer account',
			'beneficiary account',
			'counterparty iban'
		],
		own_account: ['own account', 'account number', 'account no', 'account', 'our account', 'iban'],
		text: [
			'details',
			'description',
			'narrative',
			'transaction description',
			'transaction details',
			'particulars',
			'memo',
			'text'
		],
		text_2: [
			'further details',
			'reference',
			'payment reference',
			'additional information',
			'description 2',
			'narrative 2',
			'notes'
		],
		text_3: ['more details', 'narrative 3', 'description 3'],
		bank_reference: ['bank reference', 'transaction id', 'transaction reference', 'reference number', 'id'],
		entry_type: ['type of entry', 'transaction type', 'type', 'transaction code', 'category']
	},
	de: {
		booked: ['buchungstag', 'buchungsdatum', 'buchung', 'datum'],
		valued: ['wertstellung', 'valutadatum', 'valuta', 'wertstellungstag', 'wert'],
		amount: ['betrag', 'umsatz', 'betrag in eur', 'umsatz in eur'],
		paid_in: ['haben', 'gutschrift', 'eingang', 'eingange'],
		paid_out: ['soll', 'lastschrift', 'ausgang', 'ausgange', 'belastung'],
		direction: ['soll haben', 'soll haben kennzeichen', 's h', 'sh', 'vorzeichen'],
		balance: ['saldo', 'kontostand', 'saldo nach buchung', 'neuer saldo'],
		counterparty: [
			...['auftraggeber empfanger', 'auftraggeber beguenstigter', 'beguenstigter zahlungspflichtiger'],
			...['name zahlungsbeteiligter', 'zahlungsbeteiligter', 'zahlungspflichtiger', 'zahlungspflichtige r'],
			...['auftraggeber', 'empfanger', 'begunstigter', 'beguenstigter', 'partnername', 'name']
		],
		counterparty_account: [
			'iban zahlungsbeteiligter',
			'kontonummer iban',
			'partner iban',
			'gegenkonto',
			'iban',
			'kontonummer'
		],
		own_account: ['auftragskonto', 'iban auftragskonto', 'eigenes konto', 'konto'],
		text: ['verwendungszweck', 'vorgang verwendungszweck', 'zahlungsgrund', 'text', 'beschreibung'],
		text_2: [
			'zahlungsreferenz',
			'kundenreferenz',
			'kundenreferenz end to end',
			'weitere angaben',
			'bemerkung',
			'notiz'
		],
		bank_reference: ['bankreferenz', 'transaktionsnummer', 'umsatznummer', 'belegnummer'],
		entry_type: ['buchungstext', 'umsatzart', 'vorgang', 'transaktionstyp', 'buchungsart']
	},
	fr: {
		booked: [
			'date comptable',
			'date operation',
			'date de l operation',
			'date d operation',
			'date de comptabilisation',
			'date'
		],
		valued: ['date de valeur', 'date valeur', 'valeur'],
		amount: ['montant', 'montant de l operation'],
		paid_in: ['credit', 'montant credit', 'recettes'],
		paid_out: ['debit', 'montant debit', 'depenses'],
		direction: ['debit credit', 'sens'],
		balance: ['solde', 'solde apres operation'],
		counterparty: [
			'nom de la contrepartie',
			'nom contrepartie',
			'contrepartie',
			'donneur d ordre',
			'beneficiaire',
			'tiers'
		],
		counterparty_account: ['compte contrepartie', 'compte de la contrepartie', 'iban contrepartie'],
		own_account: ['numero de compte', 'compte'],
		text: ['libelle', 'libelle operation', 'communication', 'description', 'motif'],
		text_2: ['informations complementaires', 'detail', 'details', 'communication libre', 'reference'],
		bank_reference: ['reference de l operation', 'reference banque', 'numero de transaction'],
		entry_type: ['type d operation', 'type', 'nature']
	},
	nl: {
		booked: ['boekdatum', 'boekingsdatum', 'transactiedatum', 'datum'],
		valued: ['rentedatum', 'valutadatum'],
		amount: ['bedrag', 'transactiebedrag', 'bedrag eur'],
		paid_in: ['bij', 'bijgeschreven', 'credit'],
		paid_out: ['af', 'afgeschreven', 'debet'],
		direction: ['af bij', 'debet credit', 'bij af'],
		balance: ['saldo na mutatie', 'saldo na trn', 'saldo na boeking', 'eindsaldo', 'saldo'],
		counterparty: ['naam tegenpartij', 'tegenpartij naam', 'naam omschrijving', 'tegenpartij', 'naam'],
		counterparty_account: ['tegenrekening', 'tegenrekening iban bban', 'rekening tegenpartij'],
		own_account: ['rekening', 'rekeningnummer', 'iban bban'],
		text: ['omschrijving', 'mededelingen', 'mededeling'],
		text_2: ['betalingskenmerk', 'omschrijving 2', 'kenmerk'],
		text_3: ['omschrijving 3'],
		bank_reference: ['transactiereferentie', 'volgnummer', 'volgnr'],
		entry_type: ['mutatiesoort', 'soort', 'code']
	},
	es: {
		booked: ['fecha contable', 'fecha operacion', 'fecha de operacion', 'fecha'],
		valued: ['fecha valor', 'fecha de valor'],
		amount: ['importe', 'importe eur', 'cantidad'],
		paid_in: ['abono', 'abonos', 'haber', 'ingresos', 'ingreso'],
		paid_out: ['cargo', 'cargos', 'debe', 'gastos', 'gasto'],
		direction: ['debe haber', 'signo'],
		balance: ['saldo', 'saldo disponible'],
		counterparty: ['ordenante', 'beneficiario', 'contrapartida', 'nombre'],
		counterparty_account: ['cuenta contrapartida', 'cuenta ordenante', 'cuenta beneficiario'],
		own_account: ['cuenta', 'numero de cuenta'],
		text: ['concepto', 'descripcion', 'detalle'],
		text_2: ['observaciones', 'mas datos', 'informacion adicional', 'referencia'],
		bank_reference: ['referencia bancaria', 'numero de operacion'],
		entry_type: ['tipo de movimiento', 'movimiento', 'tipo']
	},
	it: {
		booked: ['data contabile', 'data operazione', 'data registrazione', 'data'],
		valued: ['data valuta', 'valuta'],
		amount: ['importo', 'importo eur'],
		paid_in: ['avere', 'accrediti', 'accredito', 'entrate'],
		paid_out: ['dare', 'addebiti', 'addebito', 'uscite'],
		direction: ['dare avere', 'segno'],
		balance: ['saldo', 'saldo contabile'],
		counterparty: ['ordinante', 'beneficiario', 'controparte', 'nominativo'],
		counterparty_account: ['conto controparte', 'iban controparte', 'iban ordinante'],
		own_account: ['conto', 'numero conto', 'conto corrente'],
		text: ['descrizione', 'descrizione operazione', 'causale', 'dettagli'],
		text_2: ['note', 'informazioni aggiuntive', 'descrizione estesa', 'riferimento'],
		bank_reference: ['riferimento banca', 'cro', 'codice operazione'],
		entry_type: ['tipo operazione', 'tipo']
	}
};
