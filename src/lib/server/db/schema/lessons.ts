import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';
import { act } from './acts';
import { customer } from './firm';
import { receipt } from './receipts';

/** What one placing taught about how its customer pays. It counts while that placing stands. */
export const placingLesson = sqliteTable(
	'placing_lesson',
	{
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		receiptId: integer('receipt_id')
			.notNull()
			.references(() => receipt.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		/** Whether the oldest was paid where there was a choice. */
		choice: text('choice', { enum: ['oldest', 'other'] }),
		wholeUpTo: integer('whole_up_to', { mode: 'boolean' }).notNull(),
		filled: integer('filled', { mode: 'boolean' }).notNull(),
		discountDaysLate: integer('discount_days_late'),
		bankCharge: integer('bank_charge'),
		taxBasisPoints: integer('tax_basis_points')
	},
	(t) => [index('placing_lesson_customer').on(t.customerId, t.actId)]
);

/** That a habit of a customer was forgotten: what was learned of it before counts no more. */
export const forgottenLesson = sqliteTable(
	'forgotten_lesson',
	{
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		lesson: text('lesson', {
			enum: ['oldestFirst', 'byStatement', 'fillsOldest', 'lateDiscount', 'charges', 'taxRates']
		}).notNull()
	},
	(t) => [index('forgotten_lesson_customer').on(t.customerId)]
);
