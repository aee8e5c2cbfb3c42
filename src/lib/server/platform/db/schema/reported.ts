import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { REPORT_FORMATS } from '../../../../core/1-bank-files/read-statement';
import { act } from './acts';
import { entryColumns } from './entry-columns';
import { bankAccount, bankEntry, bankFile } from './bank';

/** An entry that a bank's report told before, or beside, its statement: no money of the books until a statement lists it. */
export const reportedEntry = sqliteTable(
	'reported_entry',
	{
		id: integer('id').primaryKey(),
		fileId: integer('file_id')
			.notNull()
			.references(() => bankFile.id),
		bankAccountId: integer('bank_account_id')
			.notNull()
			.references(() => bankAccount.id),
		format: text('format', { enum: REPORT_FORMATS }).notNull(),
		/** What the bank calls the report. */
		reference: text('reference').notNull(),
		/** Hash of what the bank wrote, and which of several alike. */
		fingerprint: text('fingerprint').notNull(),
		...entryColumns(),
		/** The one that a report of another format told before of the same payment. */
		sameAsId: integer('same_as_id')
	},
	(t) => [
		uniqueIndex('reported_entry_fingerprint').on(t.bankAccountId, t.format, t.fingerprint),
		index('reported_entry_booked').on(t.bankAccountId, t.booked),
		index('reported_entry_file').on(t.fileId),
		index('reported_entry_same').on(t.sameAsId)
	]
);

/** What became of a reported entry: which one of the books it is, or, where somebody said so, that the bank never booked it. */
export const reportedEntryMet = sqliteTable(
	'reported_entry_met',
	{
		reportedId: integer('reported_id')
			.primaryKey()
			.references(() => reportedEntry.id),
		entryId: integer('entry_id').references(() => bankEntry.id),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id)
	},
	(t) => [index('reported_entry_met_entry').on(t.entryId)]
);
