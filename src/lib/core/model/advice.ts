import type { ClaimReason } from './claim';
import type { DifferenceKind } from './records';
import type { Minor } from '../money/minor';

/** One line of a remittance advice: what the customer says it pays, and what it took off, with its reason. */
export interface AdviceLine {
	/** Of the text, from 1. */
	readonly line: number;
	readonly text: string;
	/** Words that may be a document number, longest first. */
	readonly numbers: readonly string[];
	/** What is paid for it; null where the line names no amount. Negative for a credit that is taken. */
	readonly paid: Minor | null;
	readonly deduction: {
		readonly kind: DifferenceKind;
		readonly reason: ClaimReason;
		readonly amount: Minor;
	} | null;
}
