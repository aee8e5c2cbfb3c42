import type { Day } from '../../../core/day/day';
import type { JournalLine } from '../../../core/model/journal';
import { CHART } from '../../../core/5-journal/chart';
import { imbalance } from '../../../core/5-journal/imbalance';
import type { Tx } from '../../platform/db/open';
import { journalLine } from '../../platform/db/schema';
import { countTurnover } from './turnover';
import { insertRows } from '../../platform/db/insert-rows';

export interface Journal {
	readonly actId: number;
	readonly date: Day;
	readonly lines: readonly JournalLine[];
}

/** Writes the lines of an act. Throws where they do not balance: such a journal is a bug and must not reach the books. */
export async function postJournal(
	tx: Tx,
	actId: number,
	date: Day,
	lines: readonly JournalLine[]
): Promise<void> {
	return postJournals(tx, [{ actId, date, lines }]);
}

/** Writes the lines of several acts. */
export async function postJournals(tx: Tx, journals: readonly Journal[]): Promise<void> {
	for (const { actId, lines } of journals) {
		const out = imbalance(lines);
		if (out.size > 0) throw new Error(`journal of act ${actId} is out by ${JSON.stringify([...out])}`);
	}
	const rows = journals.flatMap(({ actId, date, lines }) =>
		lines.map(({ source, ...line }) => {
			if ((line.account === CHART.receivables.code) !== (source !== null))
				throw new Error(
					`a line of act ${actId} on ${line.account} has no source, or one that it should not have`
				);
			return {
				...{ ...line, actId, date, sourceKind: source?.kind ?? null, sourceId: source?.id ?? null },
				...{ itemId: source?.itemId ?? null, receiptId: source?.receiptId ?? null }
			};
		})
	);
	await countTurnover(tx, 'journal', rows.map(largest));
	await insertRows(tx, journalLine, rows);
}

/** A line's amount, or its value in base currency where that is more. */
function largest({ amount, base }: { readonly amount: number; readonly base: number }): number {
	return Math.max(Math.abs(amount), Math.abs(base));
}
