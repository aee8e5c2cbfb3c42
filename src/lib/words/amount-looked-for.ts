import type { Minor } from '../core/money/minor';
import { typedAmount } from './typed-amount';

/**
 * What is looked for as an amount, in minor units of any currency that has two digits; null where it is none. In a field where numbers
 * are looked for as well, only what has two decimals is one.
 */
export function amountLookedFor(text: string, { whole = false } = {}): Minor | null {
	if (!(whole ? /\d/ : /[.,]\d\d$/).test(text)) return null;
	const typed = typedAmount(text, 'EUR');
	return typeof typed === 'number' ? typed : null;
}
