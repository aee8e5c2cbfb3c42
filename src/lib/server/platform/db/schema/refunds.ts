import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { dayColumn } from '../columns';
import { act } from './acts';
import { bankAccount } from './bank';
import { receiptAdjustment } from './receipts';

/** A file of refunds for the bank, kept exactly as it was made. */
export const refundFile = sqliteTable('refund_file', {
	id: integer('id').primaryKey(),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id),
	date: dayColumn('date').notNull(),
	bankAccountId: integer('bank_account_id')
		.notNull()
		.references(() => bankAccount.id),
	name: text('name').notNull(),
	xml: text('xml').notNull()
});

/** A refund in its file: once only, so that nothing is paid back twice. */
export const refundInFile = sqliteTable('refund_in_file', {
	receiptAdjustmentId: integer('receipt_adjustment_id')
		.primaryKey()
		.references(() => receiptAdjustment.id),
	fileId: integer('file_id')
		.notNull()
		.references(() => refundFile.id)
});
