import type { ClaimReason } from '../../model/claim';

/**
 * What customers write beside numbers in one language. Phrases are patterns of whole words as regular expressions have them,
 * in small letters and without accents: texts are read without them, too.
 */
export interface Language {
	/** ISO 639-1. */
	readonly code: string;
	readonly name: string;
	readonly phrases: {
		/** That it is money on account. */
		readonly onAccount: readonly string[];
		/** That it pays all up to now, or what a statement shows. */
		readonly upToDate: readonly string[];
		/** That it is a part of something, or that something was taken off. */
		readonly notWhole: readonly string[];
		/** That it is a part of what it names. */
		readonly part: readonly string[];
		/** That tax was withheld. */
		readonly tax: readonly string[];
		/** What stands before the number of a customer's order. */
		readonly order: readonly string[];
		/** That a processor pays out what it took in several payments. */
		readonly payout: readonly string[];
		/** Why something was taken off, in the terms of a claim. */
		readonly claims: Readonly<Record<ClaimReason, readonly string[]>>;
	};
	/** Legal forms of firms, in capital letters without dots, each as one word. */
	readonly legalForms: readonly string[];
	/** Words that join the parts of a name, and that banks and people drop or add. */
	readonly joiningWords: readonly string[];
	/** Words of payments that say nothing about whose they are or what for. */
	readonly neutralWords: readonly string[];
}
