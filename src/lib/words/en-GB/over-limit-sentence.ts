import type { LimitedKind, LimitScope } from '../../core/4-allocation/over-limits';
import { money } from './format';
import { reductionName } from './reduction-names';

const WITHIN: Readonly<Record<LimitScope, string>> = {
	act: '',
	customer: ' on this account within 30 days',
	day: ' today'
};
const LIMIT_OF: Readonly<Record<LimitScope, string>> = {
	act: 'your limit',
	customer: 'the limit for one account',
	day: 'your limit for a day'
};

/** Says which limit a posting is beyond, and what follows. Amounts are in base currency. */
export function overLimitSentence(
	over: {
		/** Left out in books of earlier versions, which knew those of one posting. */
		readonly scope?: LimitScope;
		readonly kind: LimitedKind | 'all';
		readonly amount: number;
		readonly most: number;
	},
	baseCurrency: string
): string {
	const { scope = 'act', kind, amount, most } = over;
	const what = kind === 'all' ? ' in all' : ` as ${reductionName(kind)}`;
	return `${money(amount, baseCurrency)}${what}${WITHIN[scope]} is above ${LIMIT_OF[scope]} of ${money(most, baseCurrency)}; a supervisor has to approve it.`;
}

/** The same for whoever is asked, without what follows. */
export function beyondSentence(
	{ scope = 'act', kind, amount, most }: Parameters<typeof overLimitSentence>[0],
	baseCurrency: string
): string {
	const what = kind === 'all' ? 'in all' : `as ${reductionName(kind)}`;
	return `${money(amount, baseCurrency)} ${what}${WITHIN[scope]}, ${money(most, baseCurrency)} is the limit`;
}
