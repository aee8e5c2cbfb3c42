import type { Day } from '../day/day';
import type { Minor } from '../money/minor';

/** From when the days of terms are counted: the day of issue, or the end of its month. */
export const TERMS_FROM = ['issue', 'month_end'] as const;
export type TermsFrom = (typeof TERMS_FROM)[number];

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
export interface CustomerDetails {
	readonly name: string;
	/** Other names on their payments. */
	readonly otherNames: readonly string[];
	/** Lines of the address on documents. */
	readonly address: readonly string[];
	/** Lines of the address on statements and reminders, where that is another. */
	readonly statementAddress: readonly string[];
	readonly termsDays: number;
	readonly termsFrom: TermsFrom;
	readonly discountBasisPoints: number | null;
	readonly discountDays: number | null;
	/** In the account's currency; null for none. */
	readonly creditLimit: Minor | null;
	/** The account of the firm that they are a branch of. */
	readonly parentCode: string | null;
	readonly statementEmail: string | null;
	readonly reminderEmail: string | null;
	readonly phone: string | null;
	readonly contacts: readonly Contact[];
	readonly taxNumber: string | null;
	readonly tags: readonly string[];
	readonly notes: string;
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
		discountBasisPoints: null
	},
	...{ discountDays: null, creditLimit: null, parentCode: null, statementEmail: null, reminderEmail: null },
	...{
		phone: null,
		contacts: [],
		taxNumber: null,
		tags: [],
		notes: '',
		chasingPaused: null,
		pausedUntil: null
	},
	payerAccounts: []
};
