import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { OverLimit } from '../../../../core/4-allocation/over-limits';
import { APPROVAL_KINDS } from '../../../../core/model/approval';
import { act } from './acts';
import { customer } from './firm';
import { receipt } from './receipts';

/** A line of a journal that is not posted yet. */
export interface PostedLine {
	readonly account: string;
	readonly name: string | null;
	readonly code: string | null;
	readonly customer: string | null;
	readonly currency: string;
	/** Minor units; debit above nought. */
	readonly amount: number;
}

/** What somebody wants to do beyond their limits, or what takes two people: a supervisor answers it. */
export const approval = sqliteTable(
	'approval',
	{
		/** The act of asking. */
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		/** The act that was asked for, the last two as earlier versions called them, and its input as JSON. */
		kind: text('kind', { enum: [...APPROVAL_KINDS, 'decide-claim', 'write-off-remainders'] }).notNull(),
		input: text('input').notNull(),
		/** Which limits it is beyond, as JSON; sums in base currency. */
		over: text('over', { mode: 'json' }).$type<readonly OverLimit[]>().notNull(),
		about: text('about').notNull(),
		/** What agreeing would post, as JSON; empty where it posts nothing, null in books of earlier versions. */
		shows: text('shows', { mode: 'json' }).$type<readonly PostedLine[]>(),
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
