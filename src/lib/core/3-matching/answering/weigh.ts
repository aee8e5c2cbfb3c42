import type { Band } from '../answer';
import type { Payer } from '../payer/find-payer';

/** The evidence for an answer whose items the words name, each a plain fact. */
export interface Evidence {
	/** How the payer is known. */
	readonly payer: Payer['by'];
	/** Whether what is named belongs to the payer (or to an account the payer may pay for). */
	readonly owner: 'payer' | 'child' | 'other' | 'unknown-payer';
	/**
	 * Whether the amount is explained to the penny: by itself; by the words, which say that it is a part; or completed by
	 * earlier money of the account, or by items that a list which was cut off must have gone on with.
	 */
	readonly amount: 'exact' | 'said' | 'completed' | 'short' | 'long';
	/** Other answers as good. */
	readonly others: number;
}

/**
 * The one place where evidence becomes a band for what is named (what only its amount speaks for is weighed in `weigh-sets`).
 *
 * | payer known, and the owner | amount            | band    |
 * |----------------------------|-------------------|---------|
 * | payer or its child         | exact             | certain |
 * | payer or its child         | said to be a part | certain |
 * | payer or its child         | completed         | likely  |
 * | payer or its child         | short or long     | likely  |
 * | taught by one payment only | any of these      | likely  |
 * | somebody else, or unknown  | exact             | likely  |
 * | somebody else, or unknown  | anything else     | choose  |
 *
 * Where another answer is as good it is a choice, always.
 */
export function weigh({ payer, owner, amount, others }: Evidence): Band {
	if (others > 0) return 'choose';
	const known = payer !== 'nothing' && payer !== 'words' && (owner === 'payer' || owner === 'child');
	if (known && payer === 'once') return 'likely';
	if (known) return amount === 'exact' || amount === 'said' ? 'certain' : 'likely';
	return amount === 'exact' ? 'likely' : 'choose';
}
