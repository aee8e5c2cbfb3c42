import type { FieldKey } from '../../core/1-columns/fields';

/** What the fields of tables are called. */
export const FIELD_NAMES: Readonly<Record<FieldKey, string>> = {
	number: 'document number',
	kind: 'kind',
	customer_code: 'customer code',
	issue_date: 'issue date',
	due_date: 'due date',
	currency: 'currency',
	total: 'total with tax',
	open: 'amount still open',
	purchase_order: 'their order number',
	order_reference: 'our order number',
	payment_reference: 'payment reference',
	description: 'what it is for',
	lines: 'lines',
	instalments: 'instalments',
	code: 'customer code',
	name: 'name',
	also_known_as: 'other names',
	payer_accounts: 'accounts they pay from',
	parent_code: 'code of the parent account',
	terms_days: 'payment terms, days',
	discount_percent: 'settlement discount, percent',
	discount_days: 'days for the discount',
	email: 'e-mail for statements',
	address: 'address',
	phone: 'telephone',
	date: 'payment date',
	payer_name: 'payer name',
	payer_account: 'account it came from',
	invoice_numbers: 'documents settled',
	difference_kind: 'what closed the gap',
	difference_amount: 'difference',
	booked: 'booking date',
	valued: 'value date',
	amount: 'amount',
	paid_in: 'paid in',
	paid_out: 'paid out',
	direction: 'debit or credit',
	balance: 'balance',
	counterparty: 'payer or payee',
	counterparty_account: 'their account',
	own_account: 'own account',
	text: 'details',
	text_2: 'further details',
	text_3: 'more details',
	bank_reference: 'bank reference',
	entry_type: 'type of entry'
};

/** The same, with how they are written where that is not plain. */
export const FIELD_WORDS: Readonly<Record<FieldKey, string>> = {
	...FIELD_NAMES,
	kind: 'kind (invoice, credit note, charge)',
	lines: 'lines (clay 100.00 20%|carriage 9.00)',
	instalments: 'instalments (2026-10-01 45.00|2026-11-01 45.00)'
};
