import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** From when the days of terms are counted: the day of issue, or the end of its month. */
export const TERMS_FROM = ['issue', 'month_end'] as const;
export type TermsFrom = (typeof TERMS_FROM)[number];

/** One part of what is due under terms: its share of the whole in basis points, and the days after which it is due. */
export interface TermsPart {
	readonly basisPoints: number;
	readonly days: number;
}

/** When documents are due, and what is given for paying them early. */
export interface Terms {
	/** Until all of it is due; with parts, until the last of them is. */
	readonly termsDays: number;
	readonly termsFrom: TermsFrom;
	/** The instalments in which it is due; none where it is due at once. Their shares come to the whole. */
	readonly termsParts: readonly TermsPart[];
	readonly discountBasisPoints: number | null;
	readonly discountDays: number | null;
}

/** Terms of the firm's own list. */
export interface NamedTerms extends Terms {
	readonly name: string;
}

/** Languages of customers (ISO 639-1): those in which what they write is read. */
export const CUSTOMER_LANGUAGES = [
	...(['en', 'de', 'fr', 'es', 'it', 'pt', 'nl', 'sv', 'no', 'da', 'fi', 'pl', 'cs'] as const)
] as const;
export type CustomerLanguage = (typeof CUSTOMER_LANGUAGES)[number];

/** What interest a customer may be charged on what is overdue: what the law allows, a rate that was agreed, or none. */
export const INTEREST_POLICIES = ['statutory', 'agreed', 'none'] as const;
export type InterestPolicy = (typeof INTEREST_POLICIES)[number];

/** How a letter goes: by mail, on paper, or both. */
export const LETTER_WAYS = ['mail', 'paper', 'both'] as const;
export type LetterWay = (typeof LETTER_WAYS)[number];

/** How a customer gets statements: by mail, on paper, by both, or not at all. */
export const STATEMENT_WAYS = ['mail', 'paper', 'both', 'none'] as const;
export type StatementWay = (typeof STATEMENT_WAYS)[number];

/** What a statement's lines go along as beside its paper: a table, or UBL for machines. */
export const STATEMENT_FILES = ['csv', 'ubl'] as const;
export type StatementFile = (typeof STATEMENT_FILES)[number];

/** Which letters somebody is sent a copy of. */
export const CONTACT_COPIES = ['none', 'statements', 'reminders', 'all'] as const;
export type ContactCopies = (typeof CONTACT_COPIES)[number];

/** Somebody at a customer's. */
export interface Contact {
	readonly name: string;
	/** What they are asked about: bought ledger, deliveries. */
	readonly role: string;
	readonly email: string | null;
	readonly phone: string | null;
	readonly copies: ContactCopies;
}

/** What is kept of a customer beside the account itself; lists in the order in which they are shown. */
export interface CustomerDetails extends Terms {
	readonly name: string;
	/** Other names on their payments. */
	readonly otherNames: readonly string[];
	/** Lines of the address on documents. */
	readonly address: readonly string[];
	/** Lines of the address on statements and reminders, where that is another. */
	readonly statementAddress: readonly string[];
	/** In the account's currency; null for none. */
	readonly creditLimit: Minor | null;
	/** The account of the firm that they are a branch of. */
	readonly parentCode: string | null;
	readonly statementEmail: string | null;
	readonly reminderEmail: string | null;
	readonly phone: string | null;
	readonly contacts: readonly Contact[];
	readonly taxNumber: string | null;
	/** In which they are written to. */
	readonly language: CustomerLanguage;
	readonly statementWay: StatementWay;
	/** Files that go along with statements by mail. */
	readonly statementFiles: readonly StatementFile[];
	readonly interest: InterestPolicy;
	/** A year, in basis points, where a rate was agreed; else null. */
	readonly interestBasisPoints: number | null;
	readonly tags: readonly string[];
	readonly notes: string;
	/** How they are chased, by the id of that way; null for the usual one. */
	readonly chasingPolicy: string | null;
	/** Why they are left out of reminders; null where they are not. */
	readonly chasingPaused: string | null;
	/** The last day on which they are; null for until further notice. */
	readonly pausedUntil: Day | null;
	/** Bank accounts that they pay from. */
	readonly payerAccounts: readonly string[];
}

export type CustomerField = keyof CustomerDetails;

/** One field that changed. Lists are compared as wholes. */
export interface CustomerChange {
	readonly field: CustomerField;
	readonly before: CustomerDetails[CustomerField];
	readonly after: CustomerDetails[CustomerField];
}

/** A customer of whom nothing is known but the name. */
export const NO_DETAILS: Omit<CustomerDetails, 'name'> = {
	...{
		otherNames: [],
		address: [],
		statementAddress: [],
		termsDays: 30,
		termsFrom: 'issue',
		termsParts: [],
		discountBasisPoints: null
	},
	...{ discountDays: null, creditLimit: null, parentCode: null, statementEmail: null, reminderEmail: null },
	...{
		phone: null,
		contacts: [],
		taxNumber: null,
		language: 'en',
		statementWay: 'mail',
		statementFiles: [],
		interest: 'statutory',
		interestBasisPoints: null,
		tags: [],
		notes: '',
		chasingPolicy: null,
		chasingPaused: null,
		pausedUntil: null
	},
	payerAccounts: []
};
