import { asc, eq } from 'drizzle-orm';
import type { JournalLine } from '../../../core/model/journal';
import { minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import { journalLine } from '../../platform/db/schema';

/** The journal lines of an act, in the order in which they were posted. */
export async function journalOf(db: Reader, actId: number): Promise<JournalLine[]> {
	const rows = await db
		.select()
		.from(journalLine)
		.where(eq(journalLine.actId, actId))
		.orderBy(asc(journalLine.id));
	return rows.map(({ account, customerId, currency, amount, base, bankEntryId, ...row }) => ({
		...{ account, customerId, currency, bankEntryId, amount: minor(amount), base: minor(base) },
		source:
			row.sourceKind === null || row.sourceId === null
				? null
				: { kind: row.sourceKind, id: row.sourceId, itemId: row.itemId, receiptId: row.receiptId }
	}));
}
