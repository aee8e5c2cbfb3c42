import type { OpenItem } from '../../model/records';
import { minor, ZERO, type Minor } from '../../money/minor';
import type { AnswerLine } from '../answer';
import { compareItems } from '../sets/compare-items';

/** What an item adds to a set: its open amount, taken off for a credit note. */
export function signedOpen(item: OpenItem): Minor {
	return minor(item.kind === 'credit_note' ? -item.open : item.open);
}

/**
 * Lays money on items, oldest first: credit notes are used whole, then each item takes what is open while the money lasts.
 * Returns the lines and what is left over.
 */
export function linesFor(items: readonly OpenItem[], amount: Minor): { lines: AnswerLine[]; left: Minor } {
	const lines: AnswerLine[] = [];
	let left: number = amount;
	const sorted = [...items].sort(compareItems);
	for (const item of sorted.filter((it) => it.kind === 'credit_note')) {
		lines.push({ itemId: item.id, cash: minor(-item.open), differences: [] });
		left += item.open;
	}
	for (const item of sorted.filter((it) => it.kind !== 'credit_note')) {
		const cash = Math.min(left, item.open);
		if (cash <= 0) continue;
		lines.push({ itemId: item.id, cash: minor(cash), differences: [] });
		left -= cash;
	}
	return { lines, left: left === 0 ? ZERO : minor(left) };
}
