import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { LIMITED_KINDS } from '../../../../core/4-allocation/over-limits';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';

/**
 * What a person took off an account without money, had paid out, or took away from customers: one row for each kind and account
 * of an act. What is taken back has a row with the other sign that counts for the same person, role and day.
 */
export const reduction = sqliteTable(
	'reduction',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		kind: text('kind', { enum: LIMITED_KINDS }).notNull(),
		/** Null where it is no customer's money. */
		customerId: integer('customer_id').references(() => customer.id),
		/** In base currency. */
		base: amountColumn('base').notNull(),
		/** Whose limits it counts against, and as what: who agreed, where somebody else asked. */
		personId: text('person_id').notNull(),
		role: text('role', { enum: ['clerk', 'supervisor', 'reader'] }).notNull(),
		/** Who asked for it, where a supervisor agreed. */
		askedById: text('asked_by_id'),
		/** The day of the books on which it was done; not the accounting day, which may be chosen. */
		day: dayColumn('day').notNull()
	},
	(t) => [
		index('reduction_act').on(t.actId),
		index('reduction_person').on(t.personId, t.day),
		index('reduction_customer').on(t.customerId, t.day)
	]
);
