import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { STEP_EFFECTS } from '../../../../core/7-letters/chasing/policy';
import { CALL_OUTCOMES } from '../../../../core/model/call-outcome';
import { LETTER_WAYS } from '../../../../core/model/customer-details';
import { dayColumn } from '../columns';
import { act } from './acts';
import { promise } from './dealings';
import { item } from './documents';
import { customer } from './firm';
import { letter } from './letters';

/** A step of chasing that was taken on an item: by a letter, or by telephone. */
export const chasingStep = sqliteTable(
	'chasing_step',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		/** By which the policy knows it. */
		step: text('step').notNull(),
		/** What it was called then. */
		name: text('name').notNull(),
		effect: text('effect', { enum: STEP_EFFECTS }).notNull(),
		day: dayColumn('day').notNull(),
		way: text('way', { enum: [...LETTER_WAYS, 'phone'] }).notNull(),
		/** Null where it was a call. */
		letterId: integer('letter_id').references(() => letter.id)
	},
	(t) => [
		index('chasing_step_item').on(t.itemId),
		index('chasing_step_act').on(t.actId),
		index('chasing_step_letter').on(t.letterId)
	]
);

/** A call to a customer, and what came of it. */
export const phoneCall = sqliteTable(
	'phone_call',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		day: dayColumn('day').notNull(),
		/** The number that was called, as it was kept then. */
		number: text('number').notNull(),
		outcome: text('outcome', { enum: CALL_OUTCOMES }).notNull(),
		/** What was said. */
		said: text('said').notNull(),
		/** The day on which to call again; null for none. */
		againOn: dayColumn('again_on')
	},
	(t) => [index('phone_call_customer').on(t.customerId), index('phone_call_act').on(t.actId)]
);

/** An item that a promise is for. */
export const promiseItem = sqliteTable(
	'promise_item',
	{
		id: integer('id').primaryKey(),
		promiseId: integer('promise_id')
			.notNull()
			.references(() => promise.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id)
	},
	(t) => [index('promise_item_promise').on(t.promiseId), index('promise_item_item').on(t.itemId)]
);

/** Something to be done for a customer by a day. */
export const task = sqliteTable(
	'task',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		day: dayColumn('day').notNull(),
		what: text('what').notNull(),
		/** The act by which it was done; null while it is to be done. */
		doneActId: integer('done_act_id').references(() => act.id)
	},
	(t) => [index('task_customer').on(t.customerId), index('task_day').on(t.day), index('task_act').on(t.actId)]
);
