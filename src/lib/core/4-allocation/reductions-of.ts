import type { Posting } from '../model/posting';
import type { Reduction } from './over-limits';

/**
 * What a posting takes off accounts without money, or has paid out: its deductions, fees that are credited though they never
 * came, trifles and refunds that leave a credit. What a return brings back is none.
 */
export function reductionsOf({
	differences,
	receiptAdjustments
}: Pick<Posting, 'differences' | 'receiptAdjustments'>): Reduction[] {
	return [
		...differences.map(({ kind, base, customerId }) => ({ kind, base, customerId })),
		...receiptAdjustments.flatMap(({ kind, base, customerId }) =>
			kind === 'returned' ? [] : [{ kind, base, customerId }]
		)
	];
}
