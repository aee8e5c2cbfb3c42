import type { LateSpan } from '../model/late-span';
import type { Day } from '../day/day';
import type { Aged } from '../model/aged';
import type { DocumentKind } from '../model/records';
import type { Minor } from '../money/minor';
import type { LetterKind, LetterLanguage } from './letter-kind';
import type { Worded } from './wording/fill-wording';
import type { WordingUsed } from './wording/wording';

export { LETTER_KINDS, LETTER_LANGUAGES, type LetterKind, type LetterLanguage } from './letter-kind';

/**
 * What a statement shows: the items open on a day; all that happened between two days, with what each payment settled; or the balance
 * brought forward and what came since.
 */
export const STATEMENT_KINDS = ['open', 'activity', 'forward'] as const;
export type StatementKind = (typeof STATEMENT_KINDS)[number];

/** What a statement is asked for. */
export interface StatementAsked {
	readonly kind: StatementKind;
	/** The first day of its period; null for one of open items. */
	readonly from: Day | null;
	/** The day as of which it is drawn up, or the last one of its period. */
	readonly to: Day;
}

/** What settled part of an item. */
export interface PartPayment {
	readonly date: Day;
	readonly by: 'payment' | 'credit' | 'deduction';
	readonly amount: Minor;
}

export interface LetterRow {
	readonly number: string;
	readonly kind: DocumentKind | 'credit';
	readonly issued: Day;
	readonly due: Day | null;
	readonly text: string;
	/** Which instalment of how many; null where it is the only one. */
	readonly part: { readonly of: number; readonly number: number } | null;
	/** The customer's own order. */
	readonly purchaseOrder: string | null;
	/** Signed: credits are negative. */
	readonly total: Minor;
	readonly open: Minor;
	/** What settled the difference of both, oldest first. */
	readonly payments: readonly PartPayment[];
	readonly isDisputed: boolean;
	/** 0 or fewer: not late. */
	readonly late: number;
}

/** What raised or lowered a balance. */
export type MovementKind =
	DocumentKind | 'payment' | 'refund' | 'returned' | 'allowance' | 'between-accounts' | 'correction';

export interface Movement {
	readonly date: Day;
	readonly kind: MovementKind;
	readonly reference: string;
	readonly text: string;
	/** Raises what is owed where it is positive. */
	readonly amount: Minor;
	/** What it settled, as it stood on the last day. */
	readonly settles: readonly { readonly number: string; readonly amount: Minor }[];
}

/** All that happened on an account in a period: opening, movements and closing add up. */
export interface Activity {
	readonly opening: Minor;
	readonly movements: readonly Movement[];
	readonly closing: Minor;
}

/** Where to pay to, and what to quote. */
export interface HowToPay {
	readonly account: { readonly iban: string; readonly bic: string | null; readonly bank: string } | null;
	/** A creditor reference (ISO 11649) where one can be made, else words. */
	readonly reference: string;
	/** Payment instructions for a camera (EPC069-12), for sums in euro. */
	readonly epc: string | null;
	/** A page of the firm's where it can be paid. */
	readonly link: string | null;
}

/** A letter as data: what it says, nothing of how it looks or travels. Amounts in minor units of `currency`. */
export interface Letter {
	readonly kind: LetterKind;
	readonly language: LetterLanguage;
	readonly date: Day;
	/** What kind of statement it is. */
	readonly statement?: StatementAsked;
	readonly customer: {
		readonly id: number;
		readonly code: string;
		readonly name: string;
		readonly address: readonly string[];
	};
	readonly firm: Firm;
	readonly currency: string;
	readonly rows: readonly LetterRow[];
	/** Where it shows all that happened in a period, in place of rows. */
	readonly activity?: Activity;
	/** What is owed: the sum of the rows' open amounts, or the closing balance. */
	readonly owed: Minor;
	/** What of it is past due. */
	readonly late: Minor;
	readonly aged: Aged;
	/** Cheques dated later: below the balance, not counted in it. */
	readonly dated: readonly { readonly date: Day; readonly reference: string; readonly amount: Minor }[];
	readonly pay: HowToPay;
	/** The payment that came back, where the letter tells of one. */
	readonly returned?: ReturnedInLetter;
	/** What interest was charged or given back for, where the letter tells of it: its lines come to the totals of the rows. */
	readonly interest?: readonly InterestLine[];
	/** The letter whose place it takes, because what that one showed was put right since. */
	readonly corrects?: { readonly kind: 'statement' | 'reminder'; readonly date: Day };
	/** The newest anchor of the firm's record: so that it lies with others, too. */
	readonly record?: { readonly day: Day; readonly code: string };
	/** What a person added. */
	readonly note?: string;
	/** Its words, filled in; those that came with the application where there are none. */
	readonly says?: Worded;
	readonly wording?: WordingUsed;
}

/** Interest on an item for a stretch of days, compensation for its being late, or what of interest was given back. */
export interface InterestLine {
	readonly kind: 'interest' | 'compensation' | 'correction';
	/** The item that was late. */
	readonly number: string;
	readonly from: Day;
	readonly to: Day;
	/** What was late, on which days and at which yearly rate; none for compensation and corrections. */
	readonly spans: readonly LateSpan[];
	/** Signed: what was given back is negative. */
	readonly amount: Minor;
}

/** A payment that came back, as its notice tells of it. */
export interface ReturnedInLetter {
	readonly id: number;
	readonly amount: Minor;
	readonly paidOn: Day;
	readonly on: Day;
	readonly method: string;
	/** ISO 20022 ExternalReturnReason1Code, or one of our own. */
	readonly reason: string;
	/** What is charged for it; nought for nothing. */
	readonly charge: Minor;
}

export interface Firm {
	readonly name: string;
	readonly address: readonly string[];
	readonly email: string;
	readonly phone: string;
	readonly registration: string;
	/** The picture at the head of letters, as a data URL of a PNG or JPEG; nothing where there is none. */
	readonly logo?: string | undefined;
}
