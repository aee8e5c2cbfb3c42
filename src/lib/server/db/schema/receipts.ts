import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { act } from './acts';
import { bankEntry } from './bank';
import { item } from './documents';
import { customer } from './firm';

/** Money from one payer, as an entry shows it; negative where money went. */
export const receipt = sqliteTable(
	'receipt',
	{
		id: integer('id').primaryKey(),
		bankEntryId: integer('bank_entry_id')
			.notNull()
			.references(() => bankEntry.id),
		detail: integer('detail'),
		booked: text('booked').notNull(),
		amount: integer('amount').notNull(),
		currency: text('currency').notNull(),
		payerName: text('payer_name'),
		payerAccount: text('payer_account'),
		text: text('text').notNull(),
		structuredReference: text('structured_reference'),
		endToEndId: text('end_to_end_id'),
		charges: integer('charges').notNull(),
		returnReason: text('return_reason')
	},
	(t) => [index('receipt_entry').on(t.bankEntryId)]
);

/** Where a receipt stands; follows from the acts on it. */
export const receiptState = sqliteTable(
	'receipt_state',
	{
		receiptId: integer('receipt_id')
			.primaryKey()
			.references(() => receipt.id),
		state: text('state', { enum: ['waiting', 'held', 'placed', 'set_aside'] }).notNull(),
		booked: text('booked').notNull(),
		customerId: integer('customer_id').references(() => customer.id),
		/** What of a placed receipt lies on account. */
		onAccount: integer('on_account').notNull(),
		onAccountBase: integer('on_account_base').notNull(),
		heldBecause: text('held_because'),
		version: integer('version').notNull(),
		/** The act that placed it or set it aside, while it stands. */
		actId: integer('act_id'),
		lastActId: integer('last_act_id').notNull()
	},
	(t) => [
		index('receipt_state_state').on(t.state, t.booked),
		index('receipt_state_customer').on(t.customerId, t.onAccount)
	]
);

/** So much of a receipt, or of a credit note's item, against an item. Undone by a second row that points at the first. */
export const allocation = sqliteTable(
	'allocation',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		date: text('date').notNull(),
		receiptId: integer('receipt_id').references(() => receipt.id),
		creditItemId: integer('credit_item_id').references(() => item.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		/** Negative on the row that undoes. */
		amount: integer('amount').notNull(),
		itemBase: integer('item_base').notNull(),
		creditBase: integer('credit_base').notNull(),
		undoesId: integer('undoes_id').unique()
	},
	(t) => [
		index('allocation_item').on(t.itemId),
		index('allocation_receipt').on(t.receiptId),
		index('allocation_credit_item').on(t.creditItemId),
		index('allocation_act').on(t.actId)
	]
);

export const difference = sqliteTable(
	'difference',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		date: text('date').notNull(),
		receiptId: integer('receipt_id')
			.notNull()
			.references(() => receipt.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		kind: text('kind', {
			enum: ['settlement_discount', 'processor_fee', 'bank_charge', 'withholding_tax', 'small_difference']
		}).notNull(),
		amount: integer('amount').notNull(),
		base: integer('base').notNull(),
		undoesId: integer('undoes_id').unique()
	},
	(t) => [
		index('difference_item').on(t.itemId),
		index('difference_act').on(t.actId),
		index('difference_kind').on(t.kind, t.date)
	]
);
