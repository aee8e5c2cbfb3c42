import type { Answer } from '../../../core/3-matching';
import type { AllocationOrder } from '../allocation-input';

/** Whether what is posted is what was answered: the same customer, the same items with the same cash and deductions. */
export function isAsProposed(answer: Answer, order: AllocationOrder): boolean {
	if (answer.customerId !== order.customerId || answer.credits.length !== order.credits.length) return false;
	return linesText(answer.lines) === linesText(order.lines);
}

function linesText(
	lines: readonly {
		readonly itemId: number;
		readonly cash: number;
		readonly differences: readonly { readonly kind: string; readonly amount: number }[];
	}[]
): string {
	return lines
		.map(({ itemId, cash, differences }) => {
			const gaps = differences.map(({ kind, amount }) => `${kind} ${amount}`).sort();
			return [itemId, cash, ...gaps].join(' ');
		})
		.sort()
		.join('\n');
}
