import type { Reason } from '../../core/3-matching';
import { reasonSentence } from './reason-sentence';

/** Why an allocation was made: a reason of the answer that was accepted, or what the act itself knows. */
export type AllocationReason =
	| Reason
	| {
			readonly code: 'recorded-by-hand';
			readonly by: string;
			readonly method: string;
			readonly reference: string;
	  }
	/** Written off with others, and why, where somebody said so. */
	| { readonly code: 'written-off'; readonly note: string }
	/** The clerk allocated it otherwise than was proposed. */
	| { readonly code: 'not-as-proposed' };

/** Says a reason as it stands in a record; records of earlier versions keep sentences. */
export function allocationReasonSentence(reason: AllocationReason | string): string {
	if (typeof reason === 'string') return reason;
	switch (reason.code) {
		case 'recorded-by-hand':
			return `${`Recorded by hand by ${reason.by}: ${reason.method} ${reason.reference}`.trim()}.`;
		case 'written-off':
			return reason.note || 'Written off with other small balances.';
		case 'not-as-proposed':
			return 'Allocated otherwise than was proposed.';
		default:
			return reasonSentence(reason);
	}
}

/** The reasons that stand in the facts of a record (JSON), as sentences. */
export function reasonsOfRecord(facts: string): string[] {
	const { reasons } = JSON.parse(facts) as { reasons?: readonly (AllocationReason | string)[] };
	return (reasons ?? []).map(allocationReasonSentence);
}
