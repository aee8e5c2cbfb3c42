import type { ClaimReason } from '../model/claim';
import { LANGUAGES, type Language } from './languages';
import { withoutAccents } from './without-accents';
import { MOST_TEXT } from './words-of-text';

/** What the words of a payment say beside numbers, in the languages that a firm's customers write. */
export interface RemittancePhrases {
	/** That it is money on account. */
	readonly onAccount: boolean;
	/** That it pays all up to now, or what a statement shows. */
	readonly upToDate: boolean;
	/** That it is a part of something, or that something was taken off. */
	readonly notWhole: boolean;
	/** The words that say that it is a part of what they name, or null. */
	readonly part: string | null;
	/** Why something was taken off, in the terms of a claim, or null. */
	readonly claim: { readonly reason: ClaimReason; readonly words: string } | null;
	/** The words that say that tax was withheld, or null. */
	readonly tax: string | null;
	/** The number of the order that it is for, as written, or null. */
	readonly order: string | null;
	/** That a processor pays out what it took in several payments. */
	readonly payout: boolean;
}

/** The phrases of all languages in one pattern: whole words, anywhere in the text. */
const says = (of: (phrases: Language['phrases']) => readonly string[]): RegExp =>
	new RegExp(
		`(?<![a-z])(?:${[...new Set(LANGUAGES.flatMap((one) => of(one.phrases)))].join('|')})(?![a-z])`,
		'i'
	);

const ON_ACCOUNT = says((phrases) => phrases.onAccount);
const UP_TO_DATE = says((phrases) => phrases.upToDate);
const NOT_WHOLE = says((phrases) => phrases.notWhole);
const PART = says((phrases) => phrases.part);
const TAX = says((phrases) => phrases.tax);
const PAYOUT = says((phrases) => phrases.payout);
/** A word for an order and its number, of letters and digits. */
const ORDER = new RegExp(
	`${says((phrases) => phrases.order).source}[ .:#]{0,3}(?:(?:no|nr|number)[ .:#]{0,3})?(?=[a-z/-]{0,8}\\d)([a-z\\d][a-z\\d/-]{1,24})(?![a-z\\d])`,
	'i'
);
/** A word for money ahead of an order, and what has both letters and digits. */
const DEPOSIT = new RegExp(
	`${ON_ACCOUNT.source}[ .:#]{0,3}(?:for[ .:#]{0,3})?([a-z]{1,6}-?\\d{2,12})(?![a-z\\d])`,
	'i'
);
/** Why less was paid; the first that fits is meant, so what says only that something was taken off is last. */
const CLAIMS = (['damaged', 'missing', 'late', 'returned', 'price', 'other'] as const).map((reason) => ({
	reason,
	pattern: says((phrases) => phrases.claims[reason])
}));

/** All of them: put together here, they are beyond what lint reads, and a test looks at how long they may take. */
export const PHRASE_PATTERNS: readonly RegExp[] = [
	...[ON_ACCOUNT, UP_TO_DATE, NOT_WHOLE, PART, TAX, PAYOUT, ORDER, DEPOSIT],
	...CLAIMS.map(({ pattern }) => pattern)
];

/** Reads what the words say; a phrase may stand anywhere in them. */
export function remittancePhrases(text: string): RemittancePhrases {
	const plain = withoutAccents(text.slice(0, MOST_TEXT)).replace(/\s+/g, ' ');
	const claim = CLAIMS.map(({ reason, pattern }) => ({ reason, words: pattern.exec(plain)?.[0] ?? '' })).find(
		({ words }) => words !== ''
	);
	return {
		onAccount: ON_ACCOUNT.test(plain),
		upToDate: UP_TO_DATE.test(plain),
		notWhole: NOT_WHOLE.test(plain) || claim !== undefined,
		part: PART.exec(plain)?.[0].trim() ?? null,
		claim: claim ?? null,
		tax: TAX.exec(plain)?.[0] ?? null,
		order: ORDER.exec(plain)?.[1] ?? DEPOSIT.exec(plain)?.[1] ?? null,
		payout: PAYOUT.test(plain)
	};
}
