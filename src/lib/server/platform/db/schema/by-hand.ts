import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn, undoesColumn } from '../columns';
import { act } from './acts';
import { bankAccount } from './bank';
import { customer } from './firm';
import { receipt } from './receipts';

/**
 * Money as somebody typed it before the bank shows it; not posted, so it may be changed and removed. One dated in the future
 * is a post-dated cheque: held until its day, not money before.
 */
export const manualReceipt = sqliteTable(
	'manual_receipt',
	{
		id: integer('id').primaryKey(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		date: dayColumn('date').notNull(),
		method: text('method').notNull(),
		reference: text('reference').notNull(),
		amount: amountColumn('amount').notNull(),
		currency: text('currency').notNull(),
		/** `oldest`, `account`, or numbers of the documents it is for, separated by spaces. */
		pays: text('pays').notNull(),
		typedBy: text('typed_by').notNull(),
		/** The firm's account into which it is paid; null where that is not said, and for petty cash. */
		paidIntoId: integer('paid_into_id').references(() => bankAccount.id),
		/** Kept in petty cash; the bank never shows it. */
		isPettyCash: integer('is_petty_cash', { mode: 'boolean' }).notNull().default(false)
	},
	(t) => [index('manual_receipt_date').on(t.date), index('manual_receipt_customer').on(t.customerId)]
);

/** Cheques and cash paid in together: one entry at the bank. */
export const payingInSlip = sqliteTable('paying_in_slip', {
	id: integer('id').primaryKey(),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id),
	date: dayColumn('date').notNull(),
	bankAccountId: integer('bank_account_id')
		.notNull()
		.references(() => bankAccount.id),
	total: amountColumn('total').notNull()
});

/** A recorded receipt on its slip. */
export const slipReceipt = sqliteTable('slip_receipt', {
	receiptId: integer('receipt_id')
		.primaryKey()
		.references(() => receipt.id),
	slipId: integer('slip_id')
		.notNull()
		.references(() => payingInSlip.id)
});

/** A receipt recorded by hand met by the bank's entry: the same money, counted once. Undone by a second row. */
export const bankMatch = sqliteTable(
	'bank_match',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		/** The receipt that the entry brought. */
		shownId: integer('shown_id')
			.notNull()
			.references(() => receipt.id),
		recordedId: integer('recorded_id')
			.notNull()
			.references(() => receipt.id),
		undoesId: undoesColumn()
	},
	(t) => [index('bank_match_shown').on(t.shownId), index('bank_match_recorded').on(t.recordedId)]
);
