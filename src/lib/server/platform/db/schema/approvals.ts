import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { act } from './acts';
import { customer } from './firm';
import { receipt } from './receipts';

/** What somebody wants to post beyond their limit: a supervisor answers it. */
export const approval = sqliteTable(
	'approval',
	{
		/** The act of asking. */
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		/** The act that was asked for, the last two as earlier versions called them, and its input as JSON. */
		kind: text('kind', {
			enum: [
				'allocate-receipt',
				'decide-claims',
				'write-off-small-balances',
				'decide-claim',
				'write-off-remainders'
			]
		}).notNull(),
		input: text('input').notNull(),
		/** Which limits it is beyond, as JSON; sums in base currency. */
		over: text('over', { mode: 'json' })
			.$type<readonly { kind: string; amount: number; most: number }[]>()
			.notNull(),
		about: text('about').notNull(),
		/** The account, where it is about one alone. */
		customerId: integer('customer_id').references(() => customer.id),
		/** The receipt that waits for it, where it is one. */
		receiptId: integer('receipt_id').references(() => receipt.id),
		state: text('state', { enum: ['waiting', 'agreed', 'refused', 'withdrawn'] }).notNull(),
		/** The act that answered it. */
		endedActId: integer('ended_act_id').references(() => act.id)
	},
	(t) => [index('approval_state').on(t.state), index('approval_receipt').on(t.receiptId)]
);
