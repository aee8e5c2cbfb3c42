import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';
import { customer } from './firm';
import { receipt } from './receipts';

/**
 * A remittance advice that was kept until its payment comes. It posts nothing: it may be taken away, and is tied to the receipt
 * that it was used for.
 */
export const advice = sqliteTable(
	'advice',
	{
		id: integer('id').primaryKey(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		/** The day on which it was given, or kept. */
		date: dayColumn('date').notNull(),
		currency: text('currency').notNull(),
		/** What its lines come to, in minor units. */
		total: amountColumn('total').notNull(),
		/** As it came. */
		source: text('source').notNull(),
		keptBy: text('kept_by').notNull(),
		/** The receipt that was allocated by it, while that stands. */
		receiptId: integer('receipt_id').references(() => receipt.id)
	},
	(t) => [index('advice_customer').on(t.customerId), index('advice_receipt').on(t.receiptId)]
);
