import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';
import type { JournalSourceKind } from '../../../../core/model/journal';
import { customer } from './firm';

/** What people did, in order: the audit record. Each row carries the hash of the one before, so none can be changed or lost. */
export const act = sqliteTable(
	'act',
	{
		id: integer('id').primaryKey(),
		kind: text('kind').notNull(),
		/** Accounting date. */
		date: dayColumn('date').notNull(),
		/** When it was done, ISO 8601 in UTC. */
		at: text('at').notNull(),
		userId: text('user_id').notNull(),
		userName: text('user_name').notNull(),
		/** What its summary is made of, as JSON; in format 1 a sentence. */
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
		hash: text('hash').notNull(),
		/** How the record is written: 1 with a sentence for its summary and no parent, 2 as today. */
		format: integer('format').notNull().default(1),
		/** The act that this one is a part of. */
		parentId: integer('parent_id')
	},
	(t) => [
		uniqueIndex('act_key').on(t.key),
		uniqueIndex('act_undoes').on(t.undoesId),
		index('act_customer').on(t.customerId),
		index('act_receipt').on(t.receiptId),
		index('act_document').on(t.documentId),
		index('act_date').on(t.date),
		index('act_parent').on(t.parentId),
		// The notes of a customer, of whom there may be thousands of other acts.
		index('act_note')
			.on(t.customerId)
			.where(sql`"kind" = 'add-note'`)
	]
);

/** What an act gave, for the same form sent a second time. */
export const actOutput = sqliteTable('act_output', {
	actId: integer('act_id')
		.primaryKey()
		.references(() => act.id),
	/** The kind that was asked for; the record's own may be another, such as asking a supervisor. */
	kind: text('kind').notNull(),
	/** A mark of what it was given (SHA-256). */
	input: text('input').notNull(),
	/** As JSON. */
	output: text('output').notNull()
});

export const journalLine = sqliteTable(
	'journal_line',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		date: dayColumn('date').notNull(),
		account: text('account').notNull(),
		customerId: integer('customer_id').references(() => customer.id),
		currency: text('currency').notNull(),
		amount: amountColumn('amount').notNull(),
		base: amountColumn('base').notNull(),
		bankEntryId: integer('bank_entry_id'),
		/** What of the sub-ledger it stands for: on every line of receivables (`core/model/journal.ts`). */
		sourceKind: text('source_kind').$type<JournalSourceKind>(),
		sourceId: integer('source_id'),
		itemId: integer('item_id'),
		receiptId: integer('receipt_id')
	},
	(t) => [
		index('journal_line_act').on(t.actId),
		index('journal_line_account_date').on(t.account, t.date),
		index('journal_line_customer').on(t.customerId, t.date),
		index('journal_line_entry').on(t.bankEntryId),
		index('journal_line_source').on(t.sourceKind, t.sourceId)
	]
);
