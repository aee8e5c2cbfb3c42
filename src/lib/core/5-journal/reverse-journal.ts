import type { JournalLine } from '../model/journal';
import { minor } from '../money/minor';

/** The lines that take a journal back: every amount with the other sign. */
export function reverseJournal(lines: readonly JournalLine[]): JournalLine[] {
	return lines.map((line) => ({ ...line, amount: minor(-line.amount), base: minor(-line.base) }));
}
