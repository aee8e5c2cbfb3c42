import { ZERO } from '../../../../core/money/minor';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn, undoesColumn } from '../columns';
import { RECEIPT_STATES } from '../../../../core/2-receipts/receipt-life';
import { CLAIM_STATES } from '../../../../core/4-allocation/claim-life';
import { CLAIM_REASONS } from '../../../../core/model/claim';
import { DIFFERENCE_KINDS } from '../../../../core/model/records';
import { act } from './acts';
import { bankAccount, bankEntry } from './bank';
import { document, item } from './documents';
import { customer } from './firm';

/** Money from one payer, as an entry shows it or as it was recorded by hand; negative where money went. */
export const receipt = sqliteTable(
	'receipt',
	{
		id: integer('id').primaryKey(),
		/** Null while money recorded by hand is on its way. */
		bankEntryId: integer('bank_entry_id').references(() => bankEntry.id),
		/** The receipt that this one is a part of, where one payment was split. */
		parentId: integer('parent_id'),
		/** How it came: `bank`, or a method of the firm's list for money recorded by hand. */
		method: text('method').notNull().default('bank'),
		/** Whose it is, where that was known when it was recorded. */
		knownCustomerId: integer('known_customer_id').references(() => customer.id),
		/** What a processor or bank is known to have kept of it. */
		fee: amountColumn('fee').notNull().default(ZERO),
		/** Where it was recorded by hand: the firm's account into which it is paid; null where that is not said. */
		paidIntoId: integer('paid_into_id').references(() => bankAccount.id),
		/** Recorded by hand and kept in petty cash; the bank never shows it. */
		isPettyCash: integer('is_petty_cash', { mode: 'boolean' }).notNull().default(false),
		detail: integer('detail'),
		booked: dayColumn('booked').notNull(),
		amount: amountColumn('amount').notNull(),
		currency: text('currency').notNull(),
		payerName: text('payer_name'),
		payerAccount: text('payer_account'),
		text: text('text').notNull(),
		structuredReference: text('structured_reference'),
		endToEndId: text('end_to_end_id'),
		charges: amountColumn('charges').notNull(),
		returnReason: text('return_reason')
	},
	(t) => [index('receipt_entry').on(t.bankEntryId), index('receipt_parent').on(t.parentId)]
);

/** Where a receipt stands; follows from the acts on it. */
export const receiptState = sqliteTable(
	'receipt_state',
	{
		receiptId: integer('receipt_id')
			.primaryKey()
			.references(() => receipt.id),
		state: text('state', { enum: RECEIPT_STATES }).notNull(),
		booked: dayColumn('booked').notNull(),
		customerId: integer('customer_id').references(() => customer.id),
		/** What of a allocated receipt lies on account. */
		onAccount: amountColumn('on_account').notNull(),
		onAccountBase: amountColumn('on_account_base').notNull(),
		/** The order that a deposit on account was paid for. */
		depositFor: text('deposit_for'),
		/**
		 * The act that booked it to unidentified receipts, and its value there in base currency: while this stands, its
		 * money lies there and not on the bank's account.
		 */
		unidentifiedActId: integer('unidentified_act_id'),
		unidentifiedBase: amountColumn('unidentified_base'),
		heldBecause: text('held_because'),
		/** Who looks into it, by name; null for nobody in particular. */
		heldFor: text('held_for'),
		/** What was laid on the desk when it was held or a supervisor was asked, as JSON. */
		heldOrder: text('held_order'),
		version: integer('version').notNull(),
		/** The act that allocated it or set it aside, while it stands. */
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
		date: dayColumn('date').notNull(),
		receiptId: integer('receipt_id').references(() => receipt.id),
		creditItemId: integer('credit_item_id').references(() => item.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		/** Negative on the row that undoes. */
		amount: amountColumn('amount').notNull(),
		/** Whose the credit was, and how much of it in its own currency. */
		creditCustomerId: integer('credit_customer_id').notNull(),
		creditAmount: amountColumn('credit_amount').notNull(),
		itemBase: amountColumn('item_base').notNull(),
		creditBase: amountColumn('credit_base').notNull(),
		undoesId: undoesColumn()
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
		date: dayColumn('date').notNull(),
		/** The new money that it came with; null where only credits were allocated, or none. */
		receiptId: integer('receipt_id').references(() => receipt.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		kind: text('kind', { enum: [...DIFFERENCE_KINDS, 'settled_before'] }).notNull(),
		amount: amountColumn('amount').notNull(),
		base: amountColumn('base').notNull(),
		undoesId: undoesColumn()
	},
	(t) => [
		index('difference_item').on(t.itemId),
		index('difference_act').on(t.actId),
		index('difference_kind').on(t.kind, t.date)
	]
);

/** A change of a receipt's credit other than by allocation: a kept fee raises it; a surplus, a refund or its return lowers it. */
export const receiptAdjustment = sqliteTable(
	'receipt_adjustment',
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
		kind: text('kind', {
			enum: ['processor_fee', 'bank_charge', 'small_difference', 'refund', 'returned']
		}).notNull(),
		amount: amountColumn('amount').notNull(),
		base: amountColumn('base').notNull(),
		undoesId: undoesColumn()
	},
	(t) => [index('receipt_adjustment_receipt').on(t.receiptId), index('receipt_adjustment_act').on(t.actId)]
);

/** A short payment in dispute: the document that it is owed by, the item it was taken from, and who follows it up. */
export const claim = sqliteTable(
	'claim',
	{
		documentId: integer('document_id')
			.primaryKey()
			.references(() => document.id),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		fromItemId: integer('from_item_id')
			.notNull()
			.references(() => item.id),
		reason: text('reason', { enum: CLAIM_REASONS }).notNull(),
		owner: text('owner').notNull(),
		deadline: dayColumn('deadline').notNull(),
		note: text('note').notNull(),
		state: text('state', { enum: CLAIM_STATES }).notNull()
	},
	(t) => [index('claim_from').on(t.fromItemId), index('claim_state').on(t.state, t.deadline)]
);
