import { CUSTOMER_LANGUAGES, type CustomerField, type CustomerLanguage } from '../model/customer-details';
import type { Minor } from '../money/minor';
import { languageOf } from '../text/language-of';
import { plainBankNumber } from '../text/bank-number';
import { currencyDigits } from '../money/currency';
import type { Problem } from '../problems';
import type { RowsRead } from './rows-read';
import type { TableRow } from '../model/table-row';
import { Fields } from './fields';

const MOST_TAGS = 20;
const TAG_LENGTH = 40;

/** Which column says what of a customer. */
const COLUMN_FIELDS: readonly (readonly [column: string, field: CustomerField])[] = [
	['name', 'name'],
	['also_known_as', 'otherNames'],
	['address', 'address'],
	['terms_days', 'termsDays'],
	['discount_percent', 'discountBasisPoints'],
	['discount_days', 'discountDays'],
	['parent_code', 'parentCode'],
	['email', 'statementEmail'],
	['phone', 'phone'],
	['payer_accounts', 'payerAccounts'],
	['reminder_email', 'reminderEmail'],
	['credit_limit', 'creditLimit'],
	['tax_number', 'taxNumber'],
	['language', 'language'],
	['tags', 'tags'],
	['notes', 'notes']
];

/** A customer as a table of the trial run describes it. */
export interface CustomerRow {
	readonly line: number;
	readonly code: string;
	readonly name: string;
	readonly otherNames: readonly string[];
	readonly payerAccounts: readonly string[];
	readonly parentCode: string | null;
	readonly currency: string;
	readonly termsDays: number;
	readonly discountBasisPoints: number | null;
	readonly discountDays: number | null;
	readonly email: string | null;
	/** Its lines. */
	readonly address: readonly string[];
	readonly phone: string | null;
	readonly reminderEmail: string | null;
	readonly creditLimit: Minor | null;
	readonly taxNumber: string | null;
	readonly language: CustomerLanguage;
	readonly tags: readonly string[];
	readonly notes: string;
	/** What the row says of a customer; an empty cell says nothing. */
	readonly says: readonly CustomerField[];
}

/** Reads customers from rows of a table; every field that does not fit is a problem with its line. */
export function readCustomerRows(rows: readonly TableRow[]): RowsRead<CustomerRow> {
	const problems: Problem[] = [];
	const customers: CustomerRow[] = [];
	const seen = new Map<string, number>();
	for (const row of rows) {
		const faults = problems.length;
		const fields = new Fields(row, problems);
		const code = fields.required('code', 60);
		const before = seen.get(code);
		if (before !== undefined) fields.fault('code', `it is on line ${before} already`);
		seen.set(code, row.line);
		const currency = fields.required('currency', 3).toUpperCase();
		if (currency && currencyDigits(currency) === undefined)
			fields.fault('currency', 'it is not one of ISO 4217');
		const customer: CustomerRow = {
			line: row.line,
			code,
			name: fields.required('name', 200),
			otherNames: fields.list('also_known_as'),
			payerAccounts: fields.list('payer_accounts').map(plainBankNumber),
			parentCode: fields.optional('parent_code'),
			currency,
			termsDays: fields.whole('terms_days', 0, 3650) ?? 30,
			discountBasisPoints: fields.hundredths('discount_percent', 100),
			discountDays: fields.whole('discount_days', 0, 3650),
			email: fields.optional('email', 254),
			address: addressOf(fields),
			phone: fields.optional('phone', 60),
			reminderEmail: fields.optional('reminder_email', 254),
			creditLimit: limitOf(fields, currency),
			taxNumber: fields.optional('tax_number', 40),
			language: languageIn(fields),
			tags: tagsOf(fields),
			notes: fields.words('notes', 2_000),
			says: COLUMN_FIELDS.filter(([column]) => fields.text(column) !== '').map(([, field]) => field)
		};
		if (problems.length === faults) customers.push(customer);
	}
	return { rows: customers, problems };
}

/** A credit limit; an empty cell has none. */
const limitOf = (fields: Fields, currency: string): Minor | null =>
	fields.text('credit_limit') && currencyDigits(currency) !== undefined
		? fields.amount('credit_limit', currency)
		: null;

function languageIn(fields: Fields): CustomerLanguage {
	const text = fields.text('language');
	const found = text ? languageOf(text) : 'en';
	if (!found) fields.fault('language', `it is none of ${CUSTOMER_LANGUAGES.join(', ')}, nor the name of one`);
	return found ?? 'en';
}

/** Words by which customers are sorted, separated by bars or commas. */
function tagsOf(fields: Fields): string[] {
	const tags = [
		...new Set(
			fields
				.text('tags')
				.split(/[|,;]/)
				.map((one) => one.trim())
				.filter(Boolean)
		)
	];
	if (tags.length > MOST_TAGS) fields.fault('tags', `there are more than ${MOST_TAGS}`);
	if (tags.some((one) => one.length > TAG_LENGTH))
		fields.fault('tags', `one is longer than ${TAG_LENGTH} letters`);
	return tags;
}

/** Lines of an address, separated by bars, line breaks or commas. */
function addressOf(fields: Fields): string[] {
	const lines = (fields.optional('address', 400) ?? '').split(/[|\n,]/).map((line) => line.trim());
	return lines.filter(Boolean).slice(0, 8);
}
