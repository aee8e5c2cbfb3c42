import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn, undoesColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';
import { letter } from './letters';
import { receipt } from './receipts';

/** A payment, or a part of one, that came back: a cheque, a direct debit, a card payment. Undone by an act that points at its own. */
export const returnedPayment = sqliteTable(
	'returned_payment',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		date: dayColumn('date').notNull(),
		receiptId: integer('receipt_id')
			.notNull()
			.references(() => receipt.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		amount: amountColumn('amount').notNull(),
		base: amountColumn('base').notNull(),
		/** What the bank charges for it, and that in base currency. */
		fee: amountColumn('fee').notNull(),
		feeBase: amountColumn('fee_base').notNull(),
		/** ISO 20022 ExternalReturnReason1Code, or one of our own. */
		reason: text('reason').notNull(),
		note: text('note').notNull(),
		/** The charge that was issued for it. */
		chargeId: integer('charge_id'),
		/** Items that are owed again, as JSON. */
		opened: text('opened', { mode: 'json' }).$type<number[]>().notNull()
	},
	(t) => [
		index('returned_payment_receipt').on(t.receiptId),
		index('returned_payment_customer').on(t.customerId),
		index('returned_payment_act').on(t.actId)
	]
);

/** The bank's debit entry that shows a return, its fee, or both: the same money, counted once. Undone by a second row. */
export const bankReturnMatch = sqliteTable(
	'bank_return_match',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		/** The receipt that the entry brought; it is negative. */
		shownId: integer('shown_id')
			.notNull()
			.references(() => receipt.id),
		returnedId: integer('returned_id')
			.notNull()
			.references(() => returnedPayment.id),
		part: text('part', { enum: ['money', 'fee', 'both'] }).notNull(),
		/** What of the return and its fee it shows: positive; negative on the row that undoes. */
		amount: amountColumn('amount').notNull(),
		base: amountColumn('base').notNull(),
		undoesId: undoesColumn()
	},
	(t) => [index('bank_return_match_returned').on(t.returnedId), index('bank_return_match_act').on(t.actId)]
);

/** The letter that told a customer of a returned payment. */
export const returnedNotice = sqliteTable('returned_notice', {
	returnedId: integer('returned_id')
		.primaryKey()
		.references(() => returnedPayment.id),
	letterId: integer('letter_id')
		.notNull()
		.references(() => letter.id)
});

/** A photo, delivery note or other file kept with a claim, exactly as it came. */
export const claimFile = sqliteTable(
	'claim_file',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		claimId: integer('claim_id').notNull(),
		name: text('name').notNull(),
		type: text('type').notNull(),
		bytes: integer('bytes').notNull(),
		content: blob('content', { mode: 'buffer' }).notNull()
	},
	(t) => [index('claim_file_claim').on(t.claimId)]
);

/** What somebody noted about a claim. */
export const claimNote = sqliteTable(
	'claim_note',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		claimId: integer('claim_id').notNull(),
		text: text('text').notNull()
	},
	(t) => [index('claim_note_claim').on(t.claimId)]
);
