import { integer, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';

/** What a bank says of an entry, on a statement or in a report. */
export const entryColumns = () => ({
	booked: dayColumn('booked').notNull(),
	valued: dayColumn('valued'),
	amount: amountColumn('amount').notNull(),
	currency: text('currency').notNull(),
	reversal: integer('reversal', { mode: 'boolean' }).notNull(),
	entryReference: text('entry_reference'),
	bankReference: text('bank_reference'),
	code: text('code'),
	text: text('text').notNull(),
	charges: amountColumn('charges').notNull(),
	/** Every detail as read, as JSON. */
	details: text('details').notNull()
});
