import type { StatementBalances, StatementHeader } from '../model/bank';
import { minor } from '../money/minor';
import type { Problem } from '../problems';

/**
 * What is wrong where opening balance and entries do not come to the closing balance; null where they do, or where one of the balances
 * is not given.
 * @param sum of the entries, in minor units
 */
export function balanceProblem(
	header: StatementHeader,
	{ opening, closing }: StatementBalances,
	sum: bigint
): Problem | null {
	if (opening === null || closing === null || BigInt(opening) + sum === BigInt(closing)) return null;
	return {
		code: 'balance-wrong',
		opening,
		entries: minor(Number(sum)),
		closing,
		currency: header.currency ?? '',
		statement: header.reference
	};
}
