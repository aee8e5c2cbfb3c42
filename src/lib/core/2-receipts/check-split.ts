import type { Minor } from '../money/minor';
import type { Problem } from '../problems';

/** One payment within an entry: what the payer paid, and what was kept of it. */
export interface SplitPart {
	readonly gross: Minor;
	readonly fee: Minor;
}

/** What stands against splitting a receipt: the parts, less their fees, come to it to the penny, and each leaves something. */
export function checkSplit(
	receipt: { readonly amount: Minor; readonly currency: string },
	parts: readonly SplitPart[]
): Problem[] {
	const problems: Problem[] = [];
	if (receipt.amount <= 0) return [{ code: 'not-a-credit-entry' }];
	if (parts.length === 0) problems.push({ code: 'nothing-to-place' });
	for (const [i, part] of parts.entries())
		if (part.gross <= 0 || part.fee < 0 || part.fee >= part.gross)
			problems.push({ code: 'split-part', part: i + 1 });
	const net = parts.reduce((sum, part) => sum + part.gross - part.fee, 0);
	if (net !== receipt.amount)
		problems.push({ code: 'split-sum', parts: net, amount: receipt.amount, currency: receipt.currency });
	return problems;
}
