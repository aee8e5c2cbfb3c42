import { blob, index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';

/** An agreement, order or other file kept with a customer, exactly as it came. */
export const customerFile = sqliteTable(
	'customer_file',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		name: text('name').notNull(),
		type: text('type').notNull(),
		bytes: integer('bytes').notNull(),
		content: blob('content', { mode: 'buffer' }).notNull()
	},
	(t) => [index('customer_file_customer').on(t.customerId), index('customer_file_act').on(t.actId)]
);

/** What a customer said that they would pay, and by when. Whether they did follows from what came. */
export const promise = sqliteTable(
	'promise',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		amount: amountColumn('amount').notNull(),
		/** The day on which it was said: what came before is not what was promised. */
		madeOn: dayColumn('made_on').notNull(),
		/** The last day on which it is kept. */
		promisedFor: dayColumn('promised_for').notNull(),
		/** Who at the customer's said it. */
		saidBy: text('said_by').notNull()
	},
	(t) => [index('promise_customer').on(t.customerId), index('promise_act').on(t.actId)]
);

/** Two accounts that are one: from then on one is seen as the other, until the act is undone. */
export const accountMerge = sqliteTable(
	'account_merge',
	{
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		/** The account that is no more one of its own. */
		fromId: integer('from_id')
			.notNull()
			.references(() => customer.id),
		intoId: integer('into_id')
			.notNull()
			.references(() => customer.id)
	},
	(t) => [index('account_merge_from').on(t.fromId), index('account_merge_into').on(t.intoId)]
);
