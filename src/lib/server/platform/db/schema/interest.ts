import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import type { LateSpan } from '../../../../core/model/late-span';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { document, item } from './documents';

/** Interest that was charged on an item for days, and compensation with it: each day of each item once, while it stands. */
export const interestCharge = sqliteTable(
	'interest_charge',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		/** The charge on which it stands. */
		documentId: integer('document_id')
			.notNull()
			.references(() => document.id),
		itemId: integer('item_id')
			.notNull()
			.references(() => item.id),
		fromDay: dayColumn('from_day').notNull(),
		toDay: dayColumn('to_day').notNull(),
		amount: amountColumn('amount').notNull(),
		compensation: amountColumn('compensation').notNull(),
		/** The amounts, days and rates that it is made of. */
		spans: text('spans', { mode: 'json' }).$type<LateSpan[]>().notNull()
	},
	(t) => [
		index('interest_charge_item').on(t.itemId),
		index('interest_charge_document').on(t.documentId),
		index('interest_charge_act').on(t.actId)
	]
);

/** What of interest was given back, because a payment with an earlier day came to be known. */
export const interestCorrection = sqliteTable(
	'interest_correction',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		/** The credit note on which it stands. */
		documentId: integer('document_id')
			.notNull()
			.references(() => document.id),
		chargeId: integer('charge_id')
			.notNull()
			.references(() => interestCharge.id),
		amount: amountColumn('amount').notNull()
	},
	(t) => [
		index('interest_correction_charge').on(t.chargeId),
		index('interest_correction_document').on(t.documentId),
		index('interest_correction_act').on(t.actId)
	]
);
