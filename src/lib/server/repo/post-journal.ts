import type { Day } from '../../core/day/day';
import type { JournalLine } from '../../core/model/journal';
import { imbalance } from '../../core/5-journal/imbalance';
import type { Tx } from '../db/open';
import { journalLine } from '../db/schema';
import { chunks } from '../db/chunks';

/** Writes the lines of an act. Throws where they do not balance: such a journal is a bug and must not reach the books. */
export async function postJournal(
	tx: Tx,
	actId: number,
	date: Day,
	lines: readonly JournalLine[]
): Promise<void> {
	const out = imbalance(lines);
	if (out.size > 0) throw new Error(`journal of act ${actId} is out by ${JSON.stringify([...out])}`);
	for (const part of chunks(lines))
		await tx.insert(journalLine).values(part.map((line) => ({ ...line, actId, date })));
}
