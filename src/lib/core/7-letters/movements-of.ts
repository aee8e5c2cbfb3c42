import { compareText } from '../compare-text';
import { minor } from '../money/minor';
import type { Movement } from './letter';

/** A line of a customer's receivables as a statement would name it. */
export interface PostedLine extends Movement {
	/** The order of posting. */
	readonly id: number;
	/** What it stands for: a line that takes another back has the same. */
	readonly source: string;
	/** It moves an amount between an invoice and the claim about it: nothing that is owed changes. */
	readonly isMoveToClaim: boolean;
}

/**
 * What happened, as the customer sees it: what was posted and taken back within the period is left out, and so is what only moves an
 * amount into dispute or out of it. What is left comes to the same as all of the lines.
 */
export function movementsOf(lines: readonly PostedLine[]): Movement[] {
	const bySource = new Map<string, PostedLine[]>();
	for (const line of lines) {
		if (line.isMoveToClaim) continue;
		const own = bySource.get(line.source);
		if (own) own.push(line);
		else bySource.set(line.source, [line]);
	}
	const kept: PostedLine[] = [];
	for (const own of bySource.values()) {
		const amount = own.reduce((sum, line) => sum + line.amount, 0);
		// The last one says how it stands: whose names it has are those that were not taken back.
		if (amount !== 0) kept.push({ ...own.at(-1)!, amount: minor(amount) });
	}
	return kept
		.sort((a, b) => compareText(a.date, b.date) || a.id - b.id)
		.map(({ date, kind, reference, text, amount, settles }) => ({
			...{ date, kind, reference, text, amount, settles }
		}));
}
