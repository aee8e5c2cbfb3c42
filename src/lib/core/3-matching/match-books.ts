import type { Day } from '../day/day';
import type { Minor } from '../money/minor';
import type { AdviceLine } from '../model/advice';
import type { Customer, OpenItem } from '../model/records';
import type { Habits } from './lessons/habits';
import type { NumberPatterns } from './named/number-patterns';
import type { NameIndex } from './payer/name-index';
import type { PayerLesson } from './payer/payer-lessons';

/** What the matcher is told: the accounts, what they owe, and numbers that were settled before. */
export interface MatchBooks {
	readonly customers: readonly Customer[];
	readonly items: readonly OpenItem[];
	/** The names of all customers; those of `customers` where they are all there is. */
	readonly names?: NameIndex;
	/** The shapes of the firm's document numbers; learned from `items` where those are all there is. */
	readonly patterns?: NumberPatterns;
	/** The firm's own currency: payments in others come less what banks on the way keep. */
	readonly baseCurrency?: string;
	/** Document numbers without anything open, for saying so. */
	readonly settledNumbers?: readonly string[];
	/** Money recorded by hand that the bank has not shown yet. */
	readonly recorded?: readonly Recorded[];
	/** Payments of a sum in the pile that were allocated before. */
	readonly allocatedBefore?: readonly AllocatedBefore[];
	/** Earlier money that lies on account. */
	readonly credits?: readonly CreditOnAccount[];
	/** Whom payments like these were allocated to before. */
	readonly payerLessons?: readonly PayerLesson[];
	/** How customers pay, by id, where earlier payments show it. */
	readonly habits?: ReadonlyMap<number, Habits>;
	/** Fees that were kept of earlier payments, by who paid them, newest first. */
	readonly pastFees?: readonly PastFee[];
	/** Remittance advices kept until their payments come. */
	readonly advices?: readonly KeptAdvice[];
}

/** What is left of an earlier receipt, on its customer's account. */
export interface CreditOnAccount {
	readonly receiptId: number;
	readonly customerId: number;
	readonly currency: string;
	readonly booked: Day;
	readonly amount: Minor;
}

/** A payment that was allocated before, and the numbers of what it settled. */
export interface AllocatedBefore {
	readonly customerId: number;
	readonly booked: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly numbers: readonly string[];
}

/** A fee that somebody who pays for others kept of a payment; `gross` and `fee` in minor units. */
export interface PastFee {
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	readonly currency: string;
	readonly gross: Minor;
	readonly fee: Minor;
}

/** A remittance advice that waits for its payment. */
export interface KeptAdvice {
	readonly id: number;
	readonly date: Day;
	readonly customerId: number;
	readonly currency: string;
	readonly total: Minor;
	readonly lines: readonly AdviceLine[];
}

/** Money recorded before: one receipt, or all of a paying-in slip. */
export interface Recorded {
	readonly label: string;
	readonly date: Day;
	readonly amount: Minor;
	readonly currency: string;
	/** Null for a slip of several customers. */
	readonly customerId: number | null;
}
