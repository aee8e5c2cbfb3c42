import type { Band } from './answer';

/** The evidence for an answer, each a plain fact. */
export interface Evidence {
	/** How the payer is known: by account, by name, by a name that was cut off, or not. */
	readonly payer: 'account' | 'name' | 'part' | 'nothing';
	/** Whether the items were named in the words, or found by their amount alone. */
	readonly named: boolean;
	/** Whether what is named belongs to the payer (or to an account the payer may pay for). */
	readonly owner: 'payer' | 'child' | 'other' | 'unknown-payer';
	/** Whether the amount is explained to the penny. */
	readonly amount: 'exact' | 'short' | 'long';
	/** Other answers as good. */
	readonly others: number;
	/** How many items the answer takes. */
	readonly items: number;
	/** Whether only one item is open on the account. */
	readonly onlyItem: boolean;
}

/**
 * The one place where evidence becomes a band. Certain needs all of: payer known, owner the payer or its child, exact to the
 * penny, no other answer, and either a number named or the amount of a single item found nowhere else on the account.
 */
export function weigh(evidence: Evidence): Band {
	const { payer, named, owner, amount, others, items, onlyItem } = evidence;
	if (others > 0) return 'choose';
	const known = payer !== 'nothing' && (owner === 'payer' || owner === 'child');
	if (named) {
		if (known && amount === 'exact') return 'certain';
		if (owner === 'other') return amount === 'exact' ? 'likely' : 'choose';
		return amount === 'exact' || known ? 'likely' : 'choose';
	}
	if (!known) return 'choose';
	if (amount !== 'exact') return 'choose';
	// A name that was cut off and an amount are two half proofs: a person looks.
	if (payer === 'part') return items === 1 ? 'likely' : 'choose';
	if (items === 1) return payer === 'account' || onlyItem ? 'certain' : 'likely';
	return items === 2 ? 'likely' : 'choose';
}
