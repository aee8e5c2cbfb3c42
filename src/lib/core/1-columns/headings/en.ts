import { ADVICE_WORDS } from './advice-words';
import { BANK_WORDS } from './bank-words';
import { RATE_WORDS } from './rate-words';
import type { HeadingWords } from './language';

const ACCOUNT_CODE = [
	'customer code',
	'customer no',
	'customer number',
	'account code',
	'account no',
	'account number',
	'account',
	'customer id',
	'cust no',
	'cust code',
	'debtor no'
];

/** What tables in English call their fields. */
export const en: HeadingWords = {
	fields: {
		...BANK_WORDS.en,
		...ADVICE_WORDS.en,
		...RATE_WORDS.en,
		number: [
			'document number',
			'number',
			'document no',
			'doc no',
			'invoice number',
			'invoice no',
			'inv no',
			'invoice',
			'document',
			'doc',
			'transaction number',
			'transaction no',
			'reference no',
			'reference',
			'bill no',
			'bill',
			'ref'
		],
		kind: ['kind', 'type', 'document type', 'doc type', 'transaction type', 'tran type'],
		customer_code: [...ACCOUNT_CODE, 'debtor', 'customer'],
		issue_date: [
			'issue date',
			'invoice date',
			'document date',
			'doc date',
			'date',
			'issued',
			'posting date',
			'transaction date'
		],
		due_date: ['due date', 'due', 'payment due', 'due on', 'pay by'],
		currency: ['currency', 'currency code', 'curr', 'ccy', 'cur'],
		total: [
			'total with tax',
			'total',
			'gross',
			'gross amount',
			'total amount',
			'invoice total',
			'original amount',
			'amount incl vat',
			'invoice amount',
			'amount',
			'value'
		],
		open: [
			'amount still open',
			'open',
			'open amount',
			'outstanding',
			'outstanding amount',
			'balance',
			'balance due',
			'amount due',
			'amount outstanding',
			'unpaid',
			'remaining',
			'amount open'
		],
		purchase_order: [
			'their order number',
			'purchase order',
			'purchase order no',
			'po number',
			'po no',
			'po',
			'customer order',
			'customer order no',
			'your order',
			'your reference',
			'your ref',
			'order no',
			'order number'
		],
		order_reference: [
			'our order number',
			'order reference',
			'our order',
			'sales order',
			'sales order no',
			'so no',
			'our reference',
			'our ref'
		],
		payment_reference: ['payment reference', 'structured reference', 'payment ref', 'remittance reference'],
		description: [
			'what it is for',
			'description',
			'details',
			'text',
			'narrative',
			'memo',
			'notes',
			'comment'
		],
		lines: ['lines'],
		instalments: ['instalments', 'installments'],
		code: ['code', ...ACCOUNT_CODE, 'id'],
		name: [
			'name',
			'customer name',
			'company name',
			'company',
			'account name',
			'customer',
			'debtor name',
			'organisation'
		],
		also_known_as: ['other names', 'also known as', 'trading name', 'trading as', 'alias', 'short name'],
		payer_accounts: [
			'accounts they pay from',
			'payer accounts',
			'iban',
			'bank account',
			'bank account number',
			'pays from'
		],
		parent_code: [
			'code of the parent account',
			'parent code',
			'parent',
			'head office',
			'parent account',
			'group code'
		],
		terms_days: [
			'payment terms days',
			'terms days',
			'payment terms',
			'terms',
			'credit days',
			'payment days',
			'net days',
			'days'
		],
		discount_percent: [
			'settlement discount percent',
			'discount percent',
			'discount',
			'settlement discount',
			'discount rate',
			'early payment discount'
		],
		discount_days: ['days for the discount', 'discount days', 'settlement days', 'early payment days'],
		email: [
			'e mail for statements',
			'email',
			'e mail',
			'email address',
			'statement email',
			'accounts email',
			'mail'
		],
		address: ['address', 'billing address', 'postal address', 'street', 'address line 1', 'address 1'],
		phone: ['telephone', 'phone', 'tel', 'phone number', 'telephone number', 'mobile'],
		reminder_email: [
			'e mail for reminders',
			'reminder email',
			'reminders to',
			'chasing email',
			'dunning email'
		],
		credit_limit: ['credit limit', 'limit'],
		tax_number: ['vat number', 'vat no', 'vat reg', 'vat id', 'tax number', 'tax id'],
		language: ['language', 'lang', 'language code'],
		tags: ['tags', 'group', 'customer group', 'category', 'segment', 'region'],
		notes: ['notes', 'note', 'remarks', 'comments', 'memo'],
		date: [
			'payment date',
			'date',
			'date paid',
			'paid on',
			'receipt date',
			'date received',
			'received',
			'posting date',
			'value date'
		],
		payer_name: ['payer name', 'payer', 'paid by', 'received from', 'remitter', 'from'],
		payer_account: [
			'account it came from',
			'payer account',
			'payer iban',
			'iban',
			'from account',
			'account from',
			'bank account'
		],
		invoice_numbers: [
			'invoice numbers',
			'documents settled',
			'invoices paid',
			'invoices',
			'documents',
			'invoice number',
			'invoice no',
			'allocated to',
			'applied to',
			'reference',
			'document'
		],
		difference_kind: [
			'what closed the gap',
			'difference kind',
			'difference type',
			'deduction type',
			'reason'
		],
		difference_amount: [
			'difference amount',
			'difference',
			'short paid',
			'deduction',
			'discount taken',
			'write off'
		]
	},
	kinds: {
		invoice: ['invoice', 'inv', 'si', 'sales invoice', 'debit'],
		credit_note: ['credit note', 'credit_note', 'credit', 'cn', 'crn', 'sc', 'credit memo'],
		charge: ['charge', 'fee', 'interest', 'finance charge']
	}
};
