import type { JournalLine, JournalSource } from '../model/journal';
import { minor } from '../money/minor';

/**
 * The lines that take a journal back: every amount with the other sign.
 * @param sourceOf the record that takes back what a line stands for; where it is left out, a line goes on standing for the same
 */
export function reverseJournal(
	lines: readonly JournalLine[],
	sourceOf: (source: JournalSource) => JournalSource = (source) => source
): JournalLine[] {
	return lines.map((line) => ({
		...line,
		amount: minor(-line.amount),
		base: minor(-line.base),
		source: line.source && sourceOf(line.source)
	}));
}
