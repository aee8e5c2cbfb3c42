import type { ClaimReason } from '../../model/claim';
import type { DifferenceKind } from '../../model/records';

/** What a customer calls a deduction, and what it is then. The first that fits counts. */
const CALLED: readonly (readonly [RegExp, DifferenceKind, ClaimReason])[] = [
	[/discount|skonto|escompte|sconto/i, 'settlement_discount', 'other'],
	[/withh|tax kept|retention/i, 'withholding_tax', 'other'],
	[/bank charge|bank fee|wire|transfer fee/i, 'bank_charge', 'other'],
	[/break|broke|damag|crack|wet|bruch/i, 'claim', 'damaged'],
	[/missing|short deliver|shortage|not deliver|not received/i, 'claim', 'missing'],
	[/price|overcharg|quantity/i, 'claim', 'price'],
	[/return|sent back/i, 'claim', 'returned'],
	[/late deliver/i, 'claim', 'late']
];

/** What a deduction is, by the words beside it; a claim for a reason not known where they say nothing. */
export function deductionCalled(text: string): { kind: DifferenceKind; reason: ClaimReason } {
	const found = CALLED.find(([words]) => words.test(text));
	return found ? { kind: found[1], reason: found[2] } : { kind: 'claim', reason: 'other' };
}
