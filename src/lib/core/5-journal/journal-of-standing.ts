import { append } from '../append';
import type { JournalLine, JournalSource } from '../model/journal';

/**
 * Of the journal of a posting the lines of those records that stand: lines that stand for nothing themselves go with what they
 * were posted for. A posting writes the other side of money, adjustments and deductions before their own line, and that of
 * allocations after it (`journal-of-posting`).
 * @param stands whether the record that a line stands for was not taken back by something else
 */
export function journalOfStanding(
	lines: readonly JournalLine[],
	stands: (source: JournalSource) => boolean
): JournalLine[] {
	const kept: JournalLine[] = [];
	let before: JournalLine[] = [];
	let last: JournalSource | null = null;
	for (const line of lines) {
		const { source } = line;
		if (source === null || source.kind === 'document') {
			if (last?.kind !== 'allocation') before.push(line);
			else if (stands(last)) kept.push(line);
			continue;
		}
		if (stands(source)) append(kept, [...before, line]);
		before = [];
		last = source;
	}
	return [...kept, ...before];
}
