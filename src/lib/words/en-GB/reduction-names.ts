import type { LimitedKind, LimitScope } from '../../core/4-allocation/over-limits';
import type { CreditNoteKind } from '../../core/model/records';
import { DIFFERENCE_NAMES } from './difference-names';

/** What a credit note is given for. */
export const CREDIT_NOTE_NAMES: Readonly<Record<CreditNoteKind, string>> = {
	goods: 'goods returned',
	price: 'price',
	goodwill: 'goodwill',
	other: 'not said'
};

/** What is called what, where it counts against limits. */
export const REDUCTION_NAMES: Readonly<Record<LimitedKind, string>> = {
	...DIFFERENCE_NAMES,
	refund: 'To be paid back',
	credit_goods: 'Credit note, goods returned',
	credit_price: 'Credit note, price',
	credit_goodwill: 'Credit note, goodwill',
	credit_other: 'Credit note brought in',
	claim_allowed: 'Claim allowed',
	set_aside: 'Not customer money'
};

/** One kind, or all together, in the middle of a sentence. */
export function reductionName(kind: LimitedKind | 'all'): string {
	return kind === 'all' ? 'all taken off' : REDUCTION_NAMES[kind].toLowerCase();
}

/** Over what a limit reaches, at the head of a column. */
export const SCOPE_NAMES: Readonly<Record<LimitScope, string>> = {
	act: 'In one posting',
	customer: 'On one account in 30 days',
	day: 'In one day'
};
