import type { StatementEntry } from '../model/bank';

/** Whether an entry's details are payments of their own: several, each with its amount, that add up to the entry to the penny. */
export function detailsDivide({ amount, details }: Pick<StatementEntry, 'amount' | 'details'>): boolean {
	return (
		details.length > 1 &&
		details.every((detail) => detail.amount !== null) &&
		details.reduce((sum, detail) => sum + detail.amount!, 0) === Math.abs(amount)
	);
}
