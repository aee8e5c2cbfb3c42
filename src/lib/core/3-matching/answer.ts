import type { Day } from '../day/day';
import type { ClaimReason } from '../model/claim';
import type { DifferenceKind } from '../model/records';
import type { Minor } from '../money/minor';

/** How sure an answer is, in the terms of the trial run. */
export type Band = 'certain' | 'likely' | 'choose' | 'none';

/** What an answer takes of a receipt for one item; negative for a credit note that joins in. */
export interface AnswerLine {
	readonly itemId: number;
	readonly cash: Minor;
	readonly differences: readonly { readonly kind: DifferenceKind; readonly amount: Minor }[];
}

/** Earlier money of one receipt, and how much of it is used. */
export interface UsedCredit {
	readonly receiptId: number;
	readonly use: Minor;
}

/** Why an answer is what it is: a code and facts; the sentences are in `words/reason-sentence.ts`. */
export type Reason =
	| { readonly code: 'account-known'; readonly account: string; readonly customer: string }
	| { readonly code: 'payer-given'; readonly customer: string }
	| { readonly code: 'name-known'; readonly name: string; readonly customer: string }
	| {
			/** Payments from this account were allocated to the customer before. */
			readonly code: 'account-taught';
			readonly account: string;
			readonly customer: string;
			readonly times: number;
	  }
	| {
			readonly code: 'name-taught';
			readonly name: string;
			readonly customer: string;
			readonly times: number;
	  }
	| {
			readonly code: 'words-taught';
			readonly words: string;
			readonly customer: string;
			readonly times: number;
	  }
	| { readonly code: 'name-cut'; readonly name: string; readonly customer: string }
	| { readonly code: 'name-near'; readonly name: string; readonly customer: string }
	| { readonly code: 'name-shared'; readonly name: string; readonly customers: number }
	| { readonly code: 'name-in-words'; readonly words: string; readonly customer: string }
	| { readonly code: 'name-and-number'; readonly name: string; readonly customer: string }
	| {
			readonly code: 'number-nearly';
			readonly words: string;
			readonly number: string;
			readonly how: 'letter' | 'swapped' | 'digit' | 'length';
	  }
	| {
			readonly code: 'credit-joins';
			readonly numbers: readonly string[];
			readonly amount: Minor;
			readonly currency: string;
	  }
	| {
			readonly code: 'all-until';
			readonly day: Day;
			readonly items: number;
			readonly by: 'due' | 'issued';
			/** The number of the one that is left out. */
			readonly but: string | null;
	  }
	| { readonly code: 'all-open'; readonly items: number }
	| { readonly code: 'says-on-account' }
	| { readonly code: 'paid-twice'; readonly number: string }
	| { readonly code: 'sets-found'; readonly sets: number; readonly all: boolean; readonly looked: number }
	| {
			/** Earlier money on account that is used, to the penny. */
			readonly code: 'earlier-money';
			readonly amount: Minor;
			readonly currency: string;
			readonly booked: Day;
			readonly receipts: number;
	  }
	| {
			/** What completes a list of numbers that the bank cut off. */
			readonly code: 'list-cut';
			readonly numbers: readonly string[];
			readonly sets: number;
			readonly amount: Minor;
			readonly currency: string;
	  }
	| { readonly code: 'oldest-habit'; readonly times: number }
	| { readonly code: 'statement-habit'; readonly times: number; readonly of: number }
	| { readonly code: 'fills-oldest'; readonly times: number; readonly of: number; readonly items: number }
	| { readonly code: 'late-discount-habit'; readonly times: number; readonly days: number }
	| {
			readonly code: 'charge-habit';
			readonly times: number;
			readonly customer: string;
			readonly amount: Minor;
			readonly currency: string;
	  }
	| { readonly code: 'claim-said'; readonly words: string; readonly claim: ClaimReason }
	| {
			readonly code: 'tax-said';
			/** Empty where the rate alone says it. */
			readonly words: string;
			/** Whether they withheld this rate before. */
			readonly before: boolean;
			/** Of the gross, or of the net. */
			readonly basisPoints: number;
			readonly amount: Minor;
			readonly currency: string;
	  }
	| {
			readonly code: 'digits-swapped';
			readonly open: Minor;
			readonly came: Minor;
			readonly currency: string;
			readonly number: string;
	  }
	| { readonly code: 'says-part'; readonly words: string }
	| { readonly code: 'round-sum'; readonly amount: Minor; readonly currency: string }
	| { readonly code: 'payer-unknown'; readonly name: string | null }
	| { readonly code: 'payer-differs'; readonly payer: string; readonly customer: string }
	| { readonly code: 'parent-pays'; readonly parent: string; readonly customer: string }
	| {
			readonly code: 'number-named';
			readonly words: string;
			readonly numbers: readonly string[];
			readonly customer: string;
	  }
	| {
			readonly code: 'reference-named';
			readonly reference: string;
			readonly numbers: readonly string[];
			readonly customer: string;
	  }
	| { readonly code: 'number-settled'; readonly number: string }
	| { readonly code: 'numbers-of-several'; readonly customers: readonly string[] }
	| { readonly code: 'adds-up'; readonly amount: Minor; readonly currency: string; readonly items: number }
	| { readonly code: 'short'; readonly by: Minor; readonly of: Minor; readonly currency: string }
	| { readonly code: 'long'; readonly by: Minor; readonly of: Minor; readonly currency: string }
	| {
			readonly code: 'discount-taken';
			readonly basisPoints: number;
			readonly until: Day;
			readonly amount: Minor;
			readonly currency: string;
	  }
	| { readonly code: 'charge-usual'; readonly amount: Minor; readonly currency: string }
	| { readonly code: 'charges-stated'; readonly amount: Minor; readonly currency: string }
	| {
			readonly code: 'tariff-kept';
			readonly payer: string;
			readonly basisPoints: number;
			readonly fixed: Minor;
			/** How many of its payments in this pile follow it. */
			readonly explains: number;
			readonly amount: Minor;
			readonly currency: string;
	  }
	| { readonly code: 'only-open-item'; readonly number: string; readonly customer: string }
	| {
			readonly code: 'only-set';
			readonly items: number;
			readonly customer: string;
			readonly looked: number;
			/** Whether all sets were looked through, or those of up to five items. */
			readonly all: boolean;
	  }
	| { readonly code: 'oldest-of-equal'; readonly number: string; readonly equal: number }
	| {
			/** Equal items may stand for each other in a set, in so many ways; it has the oldest. */
			readonly code: 'oldest-in-set';
			readonly items: number;
			readonly ways: number;
	  }
	| { readonly code: 'no-set'; readonly amount: Minor; readonly currency: string; readonly items: number }
	| {
			readonly code: 'named-in-other-currency';
			readonly number: string;
			readonly of: string;
			readonly came: string;
	  }
	| { readonly code: 'nothing-open'; readonly customer: string; readonly currency: string }
	| {
			/** Of accounts of one name, those that have something which fits. */
			readonly code: 'shared-fits';
			readonly customers: readonly string[];
			readonly amount: Minor;
			readonly currency: string;
	  }
	| { readonly code: 'words-name-nothing'; readonly words: string }
	| { readonly code: 'wanted-twice'; readonly number: string }
	| { readonly code: 'recorded-before'; readonly label: string; readonly date: Day }
	| {
			readonly code: 'advice-kept';
			readonly date: Day;
			readonly customer: string;
			readonly amount: Minor;
			readonly currency: string;
			readonly items: number;
			/** Whether every line could be tied to something open. */
			readonly whole: boolean;
	  }
	| {
			/** A payment of just this sum was allocated before, on these documents. */
			readonly code: 'same-sum-before';
			readonly booked: Day;
			readonly numbers: readonly string[];
	  }
	| { readonly code: 'file-unconfirmed'; readonly file: string; readonly who: string }
	| { readonly code: 'statement-doubted'; readonly reference: string }
	/** Entries like it were booked on one account, so often in a row. */
	| { readonly code: 'usual-line'; readonly account: string; readonly times: number }
	/** Somebody made it a rule that they go there. */
	| { readonly code: 'usual-rule'; readonly account: string; readonly by: string }
	| { readonly code: 'money-out' }
	| { readonly code: 'not-yet' };

/** How entries of one counterparty and kind were booked that are no customer's money. */
export interface UsualLine {
	/** The ledger account, and what it is called. */
	readonly account: string;
	readonly name: string;
	/** How often in a row. */
	readonly times: number;
	/** Who made it a rule; null where it was learned. */
	readonly setBy: string | null;
}

/** What the matcher would do with one receipt. The cash of the lines plus `onAccount` is the receipt's amount and
 * the earlier money that joins in. */
export interface Answer {
	readonly receiptId: number;
	readonly band: Band;
	/** Whose money it is; null where unknown or not a customer's. */
	readonly customerId: number | null;
	readonly lines: readonly AnswerLine[];
	/** Earlier money on account that joins in. */
	readonly credits: readonly UsedCredit[];
	readonly onAccount: Minor;
	readonly reasons: readonly Reason[];
	/** Other answers, best first, to step through. */
	readonly others: readonly { readonly customerId: number; readonly lines: readonly AnswerLine[] }[];
	/** How many other, equally good answers exist; more than are listed in `others`, it may be. */
	readonly otherAnswers: number;
	/** Where entries like it are always booked, where it is no customer's money. */
	readonly usual?: UsualLine;
	/** The remittance advice that it follows, where one was kept. */
	readonly adviceId?: number;
	/** Pieces of the remittance text that were recognised, for underlining. */
	readonly recognised: readonly { readonly from: number; readonly to: number }[];
	/** The day on which this receipt's money is booked. */
	readonly booked: Day;
}
