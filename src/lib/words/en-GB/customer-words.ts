import type {
	Contact,
	ContactCopies,
	CustomerChange,
	CustomerField,
	InterestPolicy,
	LetterWay,
	StatementFile,
	StatementWay,
	TermsFrom,
	TermsPart
} from '../../core/model/customer-details';
import { languageName } from './language-name';
import { INTEREST_WORDS, TERMS_FROM_WORDS } from './terms-words';
import { count, list, money, shortDay } from './format';

/** What is kept of a customer, by name. */
export const CUSTOMER_FIELD_NAMES: Readonly<Record<CustomerField, string>> = {
	name: 'name',
	otherNames: 'other names',
	address: 'address',
	statementAddress: 'address for letters',
	termsDays: 'terms',
	termsFrom: 'terms counted from',
	termsParts: 'instalments',
	discountBasisPoints: 'settlement discount',
	discountDays: 'days for the discount',
	creditLimit: 'credit limit',
	parentCode: 'branch of',
	statementEmail: 'e-mail for statements',
	reminderEmail: 'e-mail for reminders',
	phone: 'telephone',
	contacts: 'contacts',
	taxNumber: 'VAT number',
	language: 'language',
	statementWay: 'statements',
	statementFiles: 'files with statements',
	interest: 'interest on what is overdue',
	interestBasisPoints: 'rate of interest',
	tags: 'tags',
	notes: 'notes',
	chasingPolicy: 'way of chasing',
	chasingPaused: 'reminders paused',
	pausedUntil: 'paused until',
	payerAccounts: 'accounts they pay from'
};

/** A change in words: `terms 30 days, now 45 days`. @param currency of the account, for its credit limit */
export function customerChangeWords({ field, before, after }: CustomerChange, currency: string): string {
	const name = CUSTOMER_FIELD_NAMES[field];
	const [was, is] = [valueWords(field, before, currency), valueWords(field, after, currency)];
	if (!was) return `${name} ${is}`;
	return is ? `${name} ${was}, now ${is}` : `${name} ${was} taken off`;
}

/** How a customer gets statements. */
export const STATEMENT_WAY_WORDS: Readonly<Record<StatementWay, string>> = {
	mail: 'by e-mail',
	paper: 'on paper',
	both: 'by e-mail and on paper',
	none: 'none'
};

/** What goes along with statements by mail. */
export const STATEMENT_FILE_WORDS: Readonly<Record<StatementFile, string>> = {
	csv: 'a table (CSV)',
	ubl: 'a file for machines (UBL)'
};

/** How a letter goes. */
export const LETTER_WAY_WORDS: Readonly<Record<LetterWay, string>> = {
	mail: 'by e-mail',
	paper: 'by post',
	both: 'by e-mail and post'
};

/** Which letters somebody gets a copy of. */
export const CONTACT_COPY_WORDS: Readonly<Record<ContactCopies, string>> = {
	none: 'no copies',
	statements: 'copies of statements',
	reminders: 'copies of reminders',
	all: 'copies of all letters'
};

/** Somebody at a customer's, in a line: `Ada Reed, bought ledger, ada@…, copies of statements`. */
export function contactWords({ name, role, email, phone, copies }: Contact): string {
	const copied = copies === 'none' ? '' : CONTACT_COPY_WORDS[copies];
	return [name, role, email, phone, copied].filter(Boolean).join(', ');
}

/** A value as it is read; empty where there is none. */
function valueWords(field: CustomerField, value: CustomerChange['before'], currency: string): string {
	if (value === null || value === '') return '';
	if (field === 'statementFiles')
		return list((value as readonly StatementFile[]).map((one) => STATEMENT_FILE_WORDS[one]));
	if (typeof value === 'object')
		return value.map((one) => `“${typeof one === 'string' ? one : partOrContact(one)}”`).join(', ');
	if (field === 'termsFrom') return TERMS_FROM_WORDS[value as TermsFrom];
	if (field === 'interest') return INTEREST_WORDS[value as InterestPolicy];
	if (field === 'statementWay') return STATEMENT_WAY_WORDS[value as StatementWay];
	if (field === 'language') return languageName(String(value));
	if (typeof value === 'string') return field === 'pausedUntil' ? shortDay(value) : `“${value}”`;
	if (field === 'creditLimit') return money(value, currency);
	return field === 'discountBasisPoints' || field === 'interestBasisPoints'
		? `${value / 100}%`
		: count(value, 'day');
}

const partOrContact = (one: Contact | TermsPart) =>
	'days' in one ? `${one.basisPoints / 100}% in ${count(one.days, 'day')}` : contactWords(one);
