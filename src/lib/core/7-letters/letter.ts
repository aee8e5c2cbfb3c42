import type { Day } from '../day/day';
import type { Aged } from '../model/aged';
import type { DocumentKind } from '../model/records';
import type { Minor } from '../money/minor';

export type LetterKind = 'statement' | 'reminder' | 'returned';

export interface LetterRow {
	readonly number: string;
	readonly kind: DocumentKind | 'credit';
	readonly issued: Day;
	readonly due: Day | null;
	readonly text: string;
	/** Signed: credits are negative. */
	readonly total: Minor;
	readonly open: Minor;
	readonly partPaid: boolean;
	/** 0 or fewer: not late. */
	readonly late: number;
}

/** A letter as data: what it says, nothing of how it looks or travels. Amounts in minor units of `currency`. */
export interface Letter {
	readonly kind: LetterKind;
	readonly date: Day;
	readonly customer: {
		readonly id: number;
		readonly code: string;
		readonly name: string;
		readonly address: readonly string[];
	};
	readonly firm: Firm;
	readonly currency: string;
	readonly rows: readonly LetterRow[];
	/** Sum of the rows' open amounts. */
	readonly owed: Minor;
	/** Sum of what is past due. */
	readonly late: Minor;
	readonly aged: Aged;
	/** Cheques dated later: below the balance, not counted in it. */
	readonly dated: readonly { readonly date: Day; readonly reference: string; readonly amount: Minor }[];
	/** What to quote when paying. */
	readonly quote: string;
	/** The payment that came back, where the letter tells of one. */
	readonly returned?: ReturnedInLetter;
	/** The letter whose place it takes, because what that one showed was put right since. */
	readonly corrects?: { readonly kind: 'statement' | 'reminder'; readonly date: Day };
	/** The newest anchor of the firm's record: so that it lies with others, too. */
	readonly record?: { readonly day: Day; readonly code: string };
	readonly account: { readonly iban: string; readonly bic: string | null; readonly bank: string } | null;
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
