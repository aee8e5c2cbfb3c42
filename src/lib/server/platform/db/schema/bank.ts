import { blob, index, integer, primaryKey, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { BANK_FILE_FORMATS } from '../../../../core/1-bank-files/read-statement';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { entryColumns } from './entry-columns';

export const bankAccount = sqliteTable('bank_account', {
	id: integer('id').primaryKey(),
	name: text('name').notNull(),
	number: text('number').notNull().unique(),
	bic: text('bic'),
	bankName: text('bank_name').notNull(),
	currency: text('currency').notNull(),
	ledger: text('ledger').notNull().unique(),
	kind: text('kind', { enum: ['current', 'petty_cash', 'processor'] }).notNull(),
	/** The balance agreed when the books began, with which its first statement must begin; null for none. */
	opening: amountColumn('opening')
});

/** A file exactly as it came, compressed, in parts. */
export const bankFile = sqliteTable('bank_file', {
	id: integer('id').primaryKey(),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id),
	name: text('name').notNull(),
	sha256: text('sha256').notNull().unique(),
	bytes: integer('bytes').notNull(),
	entriesNew: integer('entries_new').notNull(),
	entriesKnown: integer('entries_known').notNull()
});

/** That a second person has seen a file which somebody brought in by hand. */
export const bankFileConfirmation = sqliteTable('bank_file_confirmation', {
	fileId: integer('file_id')
		.primaryKey()
		.references(() => bankFile.id),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id)
});

export const bankFilePart = sqliteTable(
	'bank_file_part',
	{
		fileId: integer('file_id')
			.notNull()
			.references(() => bankFile.id),
		part: integer('part').notNull(),
		gzip: blob('gzip', { mode: 'buffer' }).notNull()
	},
	(t) => [primaryKey({ columns: [t.fileId, t.part] })]
);

export const bankStatement = sqliteTable(
	'bank_statement',
	{
		id: integer('id').primaryKey(),
		fileId: integer('file_id')
			.notNull()
			.references(() => bankFile.id),
		bankAccountId: integer('bank_account_id')
			.notNull()
			.references(() => bankAccount.id),
		/** The format of its file; null for camt.053 of before others were read. */
		format: text('format', { enum: BANK_FILE_FORMATS }),
		reference: text('reference').notNull(),
		sequence: text('sequence'),
		opening: amountColumn('opening'),
		openingOn: dayColumn('opening_on'),
		closing: amountColumn('closing'),
		closingOn: dayColumn('closing_on'),
		balanceChecked: integer('balance_checked', { mode: 'boolean' }).notNull(),
		notBooked: integer('not_booked').notNull()
	},
	(t) => [
		index('bank_statement_account').on(t.bankAccountId, t.closingOn),
		index('bank_statement_file').on(t.fileId)
	]
);

/** That a supervisor took a statement for the bank's though it does not go on from the one before. */
export const statementAcceptance = sqliteTable('statement_acceptance', {
	statementId: integer('statement_id')
		.primaryKey()
		.references(() => bankStatement.id),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id)
});

export const bankEntry = sqliteTable(
	'bank_entry',
	{
		id: integer('id').primaryKey(),
		bankAccountId: integer('bank_account_id')
			.notNull()
			.references(() => bankAccount.id),
		/** Hash of what the bank wrote, and which of several alike. */
		fingerprint: text('fingerprint').notNull(),
		...entryColumns()
	},
	(t) => [
		uniqueIndex('bank_entry_fingerprint').on(t.bankAccountId, t.fingerprint),
		index('bank_entry_booked').on(t.bankAccountId, t.booked)
	]
);

/** Which entries a statement lists: an entry may stand in several overlapping ones. */
export const statementEntry = sqliteTable(
	'statement_entry',
	{
		statementId: integer('statement_id')
			.notNull()
			.references(() => bankStatement.id),
		place: integer('place').notNull(),
		entryId: integer('entry_id')
			.notNull()
			.references(() => bankEntry.id),
		/** The entry's fingerprint in this statement's format, where another format brought it first. */
		fingerprint: text('fingerprint')
	},
	(t) => [
		primaryKey({ columns: [t.statementId, t.place] }),
		index('statement_entry_entry').on(t.entryId),
		index('statement_entry_fingerprint').on(t.fingerprint)
	]
);
