import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';
import { item } from './documents';
import { customer } from './firm';
import { receipt } from './receipts';

/** What a customer's balance is made of: items of documents, and money on account. */
export const SPAN_KINDS = ['invoice', 'credit_note', 'charge', 'claim', 'on_account'] as const;

/**
 * What was open of an item, or lay on account of a receipt, from one accounting day until another changed it. Whatever stands open at the end
 * of a day has `from_day <= day < to_day`, so that a day in the past is read like today. Follows from the records and is made anew, item by
 * item, in the transaction that changes them (`ledger/store/open-spans`); the proof holds it against the journal on every day.
 */
export const openSpan = sqliteTable(
	'open_span',
	{
		id: integer('id').primaryKey(),
		/** Null for money on account. */
		itemId: integer('item_id').references(() => item.id),
		/** Null for items. */
		receiptId: integer('receipt_id').references(() => receipt.id),
		/** As the account is seen now. */
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		kind: text('kind', { enum: SPAN_KINDS }).notNull(),
		/** Of money, the day on which it was booked. */
		issued: dayColumn('issued').notNull(),
		/** Of money and credit notes, the day from which they may be used. */
		due: dayColumn('due').notNull(),
		fromDay: dayColumn('from_day').notNull(),
		/** The first day on which it was otherwise; `9999-12-31` where it is so still. */
		toDay: text('to_day').notNull(),
		/** What it adds to what the customer owes: negative for credits. */
		open: amountColumn('open').notNull(),
		/** The same in base currency, at the rates at which it was booked. */
		base: amountColumn('base').notNull()
	},
	(t) => [
		index('open_span_item').on(t.itemId),
		index('open_span_receipt').on(t.receiptId),
		index('open_span_customer').on(t.customerId, t.toDay),
		// All that a report as of a day asks for, so that it reads this and nothing else.
		index('open_span_days').on(
			t.toDay,
			t.fromDay,
			t.customerId,
			t.currency,
			t.kind,
			t.due,
			t.issued,
			t.open,
			t.base
		)
	]
);
