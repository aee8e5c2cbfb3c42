import type { EntryDetail, StatementEntry } from '../../../core/model/bank';
import type { bankEntry, reportedEntry } from '../../platform/db/schema';

type EntryColumns = Omit<typeof bankEntry.$inferInsert, 'id' | 'bankAccountId' | 'fingerprint'>;
type EntryRead = Pick<typeof bankEntry.$inferSelect, keyof EntryColumns> | typeof reportedEntry.$inferSelect;

/** What of an entry is kept in its row, in the books or among those that reports told. */
export function entryColumns(entry: StatementEntry): EntryColumns {
	const { booked, valued, amount, currency, reversal, entryReference, bankReference, code, text, charges } =
		entry;
	return {
		...{ booked, valued, amount, currency, reversal, entryReference, bankReference, code, text, charges },
		details: JSON.stringify(entry.details)
	};
}

/** The entry that a row keeps; its place within a statement is not known. */
export function entryOfRow(row: EntryRead): StatementEntry {
	const { booked, valued, amount, currency, reversal, entryReference, bankReference, code, text, charges } =
		row;
	return {
		...{ index: 0, booked, valued, amount, currency, reversal, entryReference, bankReference, code },
		...{ text, charges, details: JSON.parse(row.details) as EntryDetail[] }
	};
}
