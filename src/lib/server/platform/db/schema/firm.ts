import { sql } from 'drizzle-orm';
import { index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import {
	CUSTOMER_LANGUAGES,
	INTEREST_POLICIES,
	STATEMENT_WAYS,
	TERMS_FROM,
	type Contact,
	type StatementFile,
	type TermsPart
} from '../../../../core/model/customer-details';
import { dayColumn } from '../columns';

/** Settings of the firm by key, as JSON; see `repo/settings.ts` for the keys. */
export const setting = sqliteTable('setting', {
	key: text('key').primaryKey(),
	value: text('value').notNull()
});

export const ledgerAccount = sqliteTable('ledger_account', {
	code: text('code').primaryKey(),
	name: text('name').notNull(),
	/** Whether clerks may book money that is not a customer's there. */
	forSettingAside: integer('for_setting_aside', { mode: 'boolean' }).notNull().default(false)
});

/** Units of base currency for one unit of a currency, × 1,000,000, from a day on. */
export const rate = sqliteTable(
	'rate',
	{
		id: integer('id').primaryKey(),
		currency: text('currency').notNull(),
		day: dayColumn('day').notNull(),
		millionths: integer('millionths').notNull(),
		/** The file that it came in, or who typed it; empty where an earlier version did not keep it. */
		source: text('source').notNull().default('')
	},
	(t) => [uniqueIndex('rate_currency_day').on(t.currency, t.day)]
);

export const customer = sqliteTable(
	'customer',
	{
		id: integer('id').primaryKey(),
		code: text('code').notNull().unique(),
		name: text('name').notNull(),
		currency: text('currency').notNull(),
		address: text('address', { mode: 'json' }).$type<string[]>().notNull(),
		termsDays: integer('terms_days').notNull(),
		/** From when these days are counted. */
		termsFrom: text('terms_from', { enum: TERMS_FROM }).notNull().default('issue'),
		/** The instalments in which documents are due; none where they are due at once. */
		termsParts: text('terms_parts', { mode: 'json' }).$type<readonly TermsPart[]>().notNull().default([]),
		discountBasisPoints: integer('discount_basis_points'),
		discountDays: integer('discount_days'),
		creditLimit: integer('credit_limit'),
		parentId: integer('parent_id'),
		statementEmail: text('statement_email'),
		reminderEmail: text('reminder_email'),
		phone: text('phone'),
		/** People there, in the order in which they are shown. */
		contacts: text('contacts', { mode: 'json' }).$type<readonly Contact[]>().notNull().default([]),
		notes: text('notes').notNull().default(''),
		/** Why this account is left out of reminders, or null. */
		chasingPaused: text('chasing_paused'),
		/** How it is chased; null for as customers are by default. */
		chasingPolicy: text('chasing_policy'),
		/** The last day on which it is left out of reminders; null for until further notice. */
		pausedUntil: dayColumn('paused_until'),
		/** Where letters go on paper, where that is another address; else null. */
		statementAddress: text('statement_address', { mode: 'json' }).$type<string[]>(),
		taxNumber: text('tax_number'),
		/** In which they are written to. */
		language: text('language', { enum: CUSTOMER_LANGUAGES }).notNull().default('en'),
		/** How they get statements. */
		statementWay: text('statement_way', { enum: STATEMENT_WAYS }).notNull().default('mail'),
		/** Files that go along with them by mail. */
		statementFiles: text('statement_files', { mode: 'json' })
			.$type<readonly StatementFile[]>()
			.notNull()
			.default([]),
		/** What interest they may be charged on what is overdue. */
		interest: text('interest', { enum: INTEREST_POLICIES }).notNull().default('statutory'),
		/** A year, where a rate was agreed. */
		interestBasisPoints: integer('interest_basis_points'),
		/** Words by which the firm sorts its customers. */
		tags: text('tags', { mode: 'json' }).$type<string[]>().notNull().default([]),
		/** The account that this one is seen as, because both are one; null where it is one of its own. */
		mergedIntoId: integer('merged_into_id'),
		/** The day on which the account was closed; null while it is open. */
		closedOn: dayColumn('closed_on'),
		/** Rises with each change of what is kept of the customer. */
		version: integer('version').notNull().default(1)
	},
	(t) => [
		index('customer_by_name').on(t.name),
		index('customer_parent').on(t.parentId),
		index('customer_merged')
			.on(t.mergedIntoId)
			.where(sql`"merged_into_id" is not null`)
	]
);

/** Names on payments, own and other, in the form in which they are compared. */
export const customerName = sqliteTable(
	'customer_name',
	{
		id: integer('id').primaryKey(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		name: text('name').notNull(),
		key: text('key').notNull()
	},
	(t) => [index('customer_name_key').on(t.key), index('customer_name_customer').on(t.customerId)]
);

export const payerAccount = sqliteTable(
	'payer_account',
	{
		id: integer('id').primaryKey(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		account: text('account').notNull()
	},
	(t) => [
		uniqueIndex('payer_account_account_customer').on(t.account, t.customerId),
		index('payer_account_customer').on(t.customerId)
	]
);
