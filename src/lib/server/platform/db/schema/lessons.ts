import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import type { Day } from '../../../../core/day/day';
import { DIFFERENCE_KINDS } from '../../../../core/model/records';
import type { Minor } from '../../../../core/money/minor';
import { act } from './acts';
import { customer } from './firm';
import { receipt } from './receipts';

/** What one allocation taught about how its customer pays. It counts while that allocation stands. */
export const allocationLesson = sqliteTable(
	'allocation_lesson',
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
	(t) => [index('allocation_lesson_customer').on(t.customerId, t.actId)]
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

/** What one allocation taught about who pays for its customer. It counts while that allocation stands. */
export const payerLesson = sqliteTable(
	'payer_lesson',
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
		/** The account number that it came from. */
		account: text('account'),
		/** The payer's name, by its `nameKey`. */
		name: text('name'),
		/** What it said, by its `wordsKey`. */
		words: text('words'),
		/** Whether somebody said that the payer pays for the customer from then on. */
		told: integer('told', { mode: 'boolean' }).notNull()
	},
	(t) => [
		index('payer_lesson_account').on(t.account),
		index('payer_lesson_name').on(t.name),
		index('payer_lesson_words').on(t.words),
		index('payer_lesson_customer').on(t.customerId)
	]
);

/** That what was learned of a payer was forgotten: what allocations before taught of it counts no more for the customer. */
export const forgottenPayer = sqliteTable(
	'forgotten_payer',
	{
		actId: integer('act_id')
			.primaryKey()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		trait: text('trait', { enum: ['account', 'name', 'words'] }).notNull(),
		key: text('key').notNull()
	},
	(t) => [index('forgotten_payer_customer').on(t.customerId)]
);

/** A payment that was settled in the books of before: it teaches who pays for whom, and how, and is no money of these books. */
export const pastPayment = sqliteTable(
	'past_payment',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		paidOn: text('paid_on').$type<Day>().notNull(),
		amount: integer('amount').$type<Minor>().notNull(),
		currency: text('currency').notNull(),
		payerName: text('payer_name'),
		/** The payer's name by its `nameKey`, and the account that it came from: what payers are known by. */
		name: text('name'),
		account: text('account'),
		/** What closed a gap without cash. */
		differenceKind: text('difference_kind', { enum: DIFFERENCE_KINDS }),
		differenceAmount: integer('difference_amount').$type<Minor>()
	},
	(t) => [
		index('past_payment_customer').on(t.customerId, t.amount),
		index('past_payment_name').on(t.name),
		index('past_payment_account').on(t.account),
		index('past_payment_act').on(t.actId)
	]
);

/** A document that a past payment settled, by the key under which words may name it. */
export const pastNumber = sqliteTable(
	'past_number',
	{
		id: integer('id').primaryKey(),
		pastPaymentId: integer('past_payment_id')
			.notNull()
			.references(() => pastPayment.id),
		numberKey: text('number_key').notNull(),
		number: text('number').notNull()
	},
	(t) => [index('past_number_key').on(t.numberKey), index('past_number_payment').on(t.pastPaymentId)]
);

/** That a history of payments was taken back: what it taught counts no more. */
export const forgottenHistory = sqliteTable('forgotten_history', {
	actId: integer('act_id')
		.primaryKey()
		.references(() => act.id),
	/** The act that brought it in. */
	historyActId: integer('history_act_id')
		.notNull()
		.unique()
		.references(() => act.id)
});

/**
 * How entries of one counterparty and kind that are no customer's money are booked: the account, and how often in a row. One that is
 * switched off is not proposed, and learns on.
 */
export const usualLine = sqliteTable(
	'usual_line',
	{
		id: integer('id').primaryKey(),
		/** The counterparty's search key. */
		nameKey: text('name_key').notNull(),
		/** Which way the money went, the bank's code and the first word that tells: see `usualKind`. Empty for all of the counterparty's. */
		kind: text('kind').notNull(),
		/** The counterparty and the words as they stood last. */
		name: text('name').notNull(),
		text: text('text').notNull(),
		account: text('account').notNull(),
		times: integer('times').notNull(),
		/** Who said that it goes there, until it has gone elsewhere; null where it was learned. */
		setBy: text('set_by'),
		off: integer('off', { mode: 'boolean' }).notNull().default(false)
	},
	(t) => [uniqueIndex('usual_line_of').on(t.nameKey, t.kind)]
);
