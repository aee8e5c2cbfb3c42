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
}
