import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { customer } from './firm';

/** What people did, in order: the audit record. Each row carries the hash of the one before, so none can be changed or lost. */
export const act = sqliteTable(
	'act',
	{
		id: integer('id').primaryKey(),
		kind: text('kind').notNull(),
		/** Accounting date. */
		date: text('date').notNull(),
		/** When it was done, ISO 8601 in UTC. */
		at: text('at').notNull(),
		userId: text('user_id').notNull(),
		userName: text('user_name').notNull(),
		/** A short sentence for people. */
		summary: text('summary').notNull(),
		/** What it touched, as JSON. */
		facts: text('facts').notNull(),
		customerId: integer('customer_id'),
		receiptId: integer('receipt_id'),
		documentId: integer('document_id'),
		/** The act that this one takes back. */
		undoesId: integer('undoes_id'),
		/** Given by the form: the same key is the same act. */
		key: text('key'),
		previousHash: text('previous_hash').notNull(),
		hash: text('hash').notNull()
	},
	(t) => [
		uniqueIndex('act_key').on(t.key),
		uniqueIndex('act_undoes').on(t.undoesId),
		index('act_customer').on(t.customerId),
		index('act_receipt').on(t.receiptId),
		index('act_document').on(t.documentId),
		index('act_date').on(t.date)
	]
);

export const journalLine = sqliteTable(
	'journal_line',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		date: text('date').notNull(),
		account: text('account').notNull(),
		customerId: integer('customer_id').references(() => customer.id),
		currency: text('currency').notNull(),
		amount: integer('amount').notNull(),
		base: integer('base').notNull(),
		bankEntryId: integer('bank_entry_id')
	},
	(t) => [
		index('journal_line_act').on(t.actId),
		index('journal_line_account_date').on(t.account, t.date),
		index('journal_line_customer').on(t.customerId, t.date),
		index('journal_line_entry').on(t.bankEntryId)
	]
);
