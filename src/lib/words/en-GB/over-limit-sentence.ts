import type { LimitedKind } from '../../core/4-allocation/over-limits';
import { DIFFERENCE_NAMES } from './difference-names';
import { money } from './format';

/** Says which limit a posting is beyond, and what follows. Amounts are in base currency. */
export function overLimitSentence(
	over: { readonly kind: LimitedKind; readonly amount: number; readonly most: number },
	baseCurrency: string
): string {
	const name = over.kind === 'refund' ? 'refund' : DIFFERENCE_NAMES[over.kind].toLowerCase();
	return `${money(over.amount, baseCurrency)} as ${name} is above your limit of ${money(over.most, baseCurrency)}; a supervisor has to agree.`;
}
