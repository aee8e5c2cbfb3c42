import type { Day } from '../day/day';
import type { Minor } from '../money/minor';
import type { DifferenceKind } from './records';

/** A payment that was settled before, as far as it teaches who pays for whom, and how. */
export interface PastPayment {
	readonly customerCode: string;
	readonly date: Day;
	readonly amount: Minor;
	readonly currency: string;
	readonly payerName: string | null;
	readonly payerAccount: string | null;
	/** Numbers of the documents that it settled. */
	readonly numbers: readonly string[];
	/** What closed a gap without cash. */
	readonly difference?: { readonly kind: DifferenceKind; readonly amount: Minor } | null;
	/** Where it could have paid something else at its age or older: whether it paid the oldest; null where it had no choice. */
	readonly choice?: 'oldest' | 'other' | null;
	/** Whether it paid three items or more, and with them all that was due by a day. */
	readonly wholeUpTo?: boolean;
	/** Whether it paid the oldest, and the last of them in part. */
	readonly filled?: boolean;
	/** Days after the last day of the discount on which one was granted; null where none was. */
	readonly discountDaysLate?: number | null;
}
