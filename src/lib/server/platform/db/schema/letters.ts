import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';

/** A letter as it was written: the data it says and the PDF that travelled. Never changed. */
export const letter = sqliteTable(
	'letter',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		kind: text('kind', { enum: ['statement', 'reminder', 'returned'] }).notNull(),
		date: dayColumn('date').notNull(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		amount: amountColumn('amount').notNull(),
		recipient: text('recipient').notNull(),
		/** Addresses that got a copy; null for none. */
		copies: text('copies', { mode: 'json' }).$type<string[]>(),
		subject: text('subject').notNull(),
		body: text('body').notNull(),
		/** The letter as data, as JSON. */
		data: text('data').notNull(),
		pdf: blob('pdf', { mode: 'buffer' }).notNull()
	},
	(t) => [index('letter_customer').on(t.customerId), index('letter_act').on(t.actId)]
);

/** How a letter fared on its way. */
export const delivery = sqliteTable(
	'delivery',
	{
		letterId: integer('letter_id')
			.primaryKey()
			.references(() => letter.id),
		state: text('state', { enum: ['waiting', 'sending', 'sent', 'refused', 'failed'] }).notNull(),
		at: text('at').notNull(),
		/** What the mail server said. */
		answer: text('answer'),
		messageId: text('message_id').notNull(),
		tries: integer('tries').notNull(),
		/** Who is sending it, and until when that is believed: another process leaves it alone so long. */
		owner: text('owner'),
		leaseUntil: text('lease_until')
	},
	(t) => [index('delivery_state').on(t.state)]
);

/** The message exactly as it was handed to the mail server (RFC 5322). */
export const message = sqliteTable('message', {
	letterId: integer('letter_id')
		.primaryKey()
		.references(() => letter.id),
	eml: blob('eml', { mode: 'buffer' }).notNull()
});
