import type { AskedKind } from '../model/asked-kind';

/** How what stands in a field is read. */
export type FieldShape = 'text' | 'day' | 'amount' | 'currency' | 'number' | 'kind';

/** A field that a table may have. */
export interface TableField {
	/** As the readers of rows call it. */
	readonly key: FieldKey;
	readonly shape: FieldShape;
	/** Without it nothing can be read. */
	readonly needed: boolean;
}

export type FieldKey =
	| 'number'
	| 'kind'
	| 'customer_code'
	| 'issue_date'
	| 'due_date'
	| 'currency'
	| 'total'
	| 'open'
	| 'purchase_order'
	| 'order_reference'
	| 'payment_reference'
	| 'description'
	| 'lines'
	| 'instalments'
	| 'code'
	| 'name'
	| 'also_known_as'
	| 'payer_accounts'
	| 'parent_code'
	| 'terms_days'
	| 'discount_percent'
	| 'discount_days'
	| 'email'
	| 'address'
	| 'phone'
	| 'reminder_email'
	| 'credit_limit'
	| 'tax_number'
	| 'language'
	| 'tags'
	| 'notes'
	| 'payer_name'
	| 'payer_account'
	| 'invoice_numbers'
	| 'date'
	| 'difference_kind'
	| 'difference_amount'
	| BankField
	| AdviceField
	| RateField;

/** Fields of a bank's own table of entries. */
export type BankField =
	| 'booked'
	| 'valued'
	| 'amount'
	| 'paid_in'
	| 'paid_out'
	| 'direction'
	| 'balance'
	| 'counterparty'
	| 'counterparty_account'
	| 'own_account'
	| 'text'
	| 'text_2'
	| 'text_3'
	| 'bank_reference'
	| 'entry_type';

/** Fields of a customer's remittance advice, beside the number of the document. */
export type AdviceField = 'paid' | 'gross' | 'taken_off' | 'why';

/** Fields of exchange rates, beside the currency. */
export type RateField = 'rate_day' | 'rate';

/** Tables of which the columns can be told. An advice is one customer's, once, and of rates nothing is guessed: nobody is asked about them. */
export type TableKind = AskedKind | 'advice' | 'rates';

const field = (key: FieldKey, shape: FieldShape, needed = false): TableField => ({ key, shape, needed });

/** The fields of each kind of table, in the order in which a person is asked for them. */
export const TABLE_FIELDS: Readonly<Record<TableKind, readonly TableField[]>> = {
	documents: [
		field('number', 'text', true),
		field('customer_code', 'text', true),
		field('issue_date', 'day', true),
		field('due_date', 'day'),
		field('open', 'amount', true),
		field('total', 'amount'),
		field('currency', 'currency'),
		field('kind', 'kind'),
		field('purchase_order', 'text'),
		field('order_reference', 'text'),
		field('payment_reference', 'text'),
		field('description', 'text'),
		field('lines', 'text'),
		field('instalments', 'text')
	],
	customers: [
		field('code', 'text', true),
		field('name', 'text', true),
		field('currency', 'currency'),
		field('email', 'text'),
		field('address', 'text'),
		field('phone', 'text'),
		field('reminder_email', 'text'),
		field('also_known_as', 'text'),
		field('payer_accounts', 'text'),
		field('parent_code', 'text'),
		field('terms_days', 'number'),
		field('discount_percent', 'number'),
		field('discount_days', 'number'),
		field('credit_limit', 'amount'),
		field('tax_number', 'text'),
		field('language', 'text'),
		field('tags', 'text'),
		field('notes', 'text')
	],
	history: [
		field('customer_code', 'text', true),
		field('date', 'day', true),
		field('amount', 'amount', true),
		field('currency', 'currency'),
		field('payer_name', 'text'),
		field('payer_account', 'text'),
		field('invoice_numbers', 'text'),
		field('difference_kind', 'text'),
		field('difference_amount', 'amount')
	],
	'bank-table': [
		field('booked', 'day', true),
		field('valued', 'day'),
		field('amount', 'amount'),
		field('paid_in', 'amount'),
		field('paid_out', 'amount'),
		field('direction', 'text'),
		field('balance', 'amount'),
		field('currency', 'currency'),
		field('counterparty', 'text'),
		field('counterparty_account', 'text'),
		field('text', 'text'),
		field('text_2', 'text'),
		field('text_3', 'text'),
		field('bank_reference', 'text'),
		field('entry_type', 'text'),
		field('own_account', 'text')
	],
	advice: [
		field('number', 'text', true),
		field('gross', 'amount'),
		field('taken_off', 'amount'),
		field('paid', 'amount'),
		field('why', 'text')
	],
	rates: [field('rate_day', 'day', true), field('currency', 'currency'), field('rate', 'amount')]
};

/** Fields of which one at least has to be there. */
export const ONE_OF: Readonly<Partial<Record<TableKind, readonly FieldKey[]>>> = {
	'bank-table': ['amount', 'paid_in', 'paid_out'],
	advice: ['paid', 'gross']
};

/** The field without which a line is none of a table's rows: a total, a heading between. */
export const ROW_FIELD: Readonly<Record<TableKind, FieldKey>> = {
	documents: 'number',
	customers: 'code',
	history: 'customer_code',
	'bank-table': 'booked',
	advice: 'number',
	rates: 'rate_day'
};
