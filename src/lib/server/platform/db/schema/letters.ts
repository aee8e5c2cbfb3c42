import { blob, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { LETTER_KINDS, LETTER_LANGUAGES, type StatementAsked } from '../../../../core/7-letters/letter';
import type { LetterDetails } from '../../../../core/7-letters/letter-details';
import type { Wording } from '../../../../core/7-letters/wording/wording';
import { REPORTED_ACTIONS } from '../../../../core/7-letters/returned/read-delivery-status';
import { HELD_REASONS } from '../../../../core/7-letters/why-held';
import { LETTER_WAYS } from '../../../../core/model/customer-details';
import { sql } from 'drizzle-orm';
import { amountColumn, dayColumn } from '../columns';
import { act } from './acts';
import { customer } from './firm';

/** A letter as it was written: the data it says, and which PDF travelled. Never changed. */
export const letter = sqliteTable(
	'letter',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		kind: text('kind', { enum: LETTER_KINDS }).notNull(),
		date: dayColumn('date').notNull(),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		amount: amountColumn('amount').notNull(),
		recipient: text('recipient').notNull(),
		/** Addresses that got a copy; null for none. */
		copies: text('copies', { mode: 'json' }).$type<string[]>(),
		subject: text('subject').notNull(),
		body: text('body').notNull(),
		/** The letter as data, as JSON. */
		data: text('data').notNull(),
		/** Of earlier versions: the PDF itself; empty where it is kept apart. */
		pdf: blob('pdf', { mode: 'buffer' }).notNull(),
		/** By which the PDF is kept with the papers (SHA-256); null where it stands here. */
		paperHash: text('paper_hash')
	},
	(t) => [index('letter_customer').on(t.customerId), index('letter_act').on(t.actId)]
);

/** How a letter fares by mail: `undelivered` where it was taken and reported back as not arrived, `paper` where it goes by post alone. */
export const DELIVERY_STATES = [
	...(['waiting', 'sending', 'sent', 'refused', 'failed', 'undelivered'] as const),
	...(['paused', 'withdrawn', 'paper'] as const)
] as const;

/** How a letter fared on its way. */
export const delivery = sqliteTable(
	'delivery',
	{
		letterId: integer('letter_id')
			.primaryKey()
			.references(() => letter.id),
		state: text('state', { enum: DELIVERY_STATES }).notNull(),
		at: text('at').notNull(),
		/** What the mail server said. */
		answer: text('answer'),
		messageId: text('message_id').notNull(),
		tries: integer('tries').notNull(),
		/** When it is tried again at the earliest, where it was not taken for now. */
		nextAt: text('next_at'),
		/** Where it goes once it is sent again after it was taken before; null while it goes as it was written. */
		resentTo: text('resent_to'),
		/** When that was asked for, and the id of the message by which it goes (RFC 5322, section 3.6.6). */
		resentAt: text('resent_at'),
		resentId: text('resent_id'),
		/** Who is sending it, and until when that is believed: another process leaves it alone so long. */
		owner: text('owner'),
		leaseUntil: text('lease_until'),
		/** Whether it is to be printed; null where it only travels by mail. */
		printing: text('printing', { enum: ['waiting', 'printed'] }),
		/** The act by which it was printed last. */
		printedActId: integer('printed_act_id')
	},
	(t) => [
		index('delivery_state').on(t.state),
		index('delivery_printing')
			.on(t.letterId)
			.where(sql`"printing" = 'waiting'`),
		index('delivery_printed').on(t.printedActId),
		index('delivery_message').on(t.messageId),
		index('delivery_resent')
			.on(t.resentId)
			.where(sql`"resent_id" is not null`)
	]
);

/** What a mail server reported of a letter that was handed over (RFC 3464), as it was read. */
export const deliveryReport = sqliteTable(
	'delivery_report',
	{
		id: integer('id').primaryKey(),
		letterId: integer('letter_id')
			.notNull()
			.references(() => letter.id),
		/** The message that it names: as it went first, or as it was sent again. */
		about: text('about').notNull(),
		/** When it was read. */
		at: text('at').notNull(),
		recipient: text('recipient').notNull(),
		action: text('action', { enum: REPORTED_ACTIONS }).notNull(),
		/** The code of RFC 3463; empty where none was given. */
		status: text('status').notNull(),
		/** What the server said. */
		said: text('said').notNull(),
		/** The message that it came in (SHA-256), so that none is read twice. */
		mailHash: text('mail_hash').notNull()
	},
	(t) => [
		uniqueIndex('delivery_report_mail').on(t.mailHash, t.letterId, t.recipient),
		index('delivery_report_letter').on(t.letterId)
	]
);

/** The message exactly as it was handed to the mail server (RFC 5322). */
export const message = sqliteTable('message', {
	letterId: integer('letter_id')
		.primaryKey()
		.references(() => letter.id),
	/** Of earlier versions: the whole of it; empty where its papers are kept apart. */
	eml: blob('eml', { mode: 'buffer' }).notNull(),
	/** The message with a mark in place of each paper, compressed (RFC 1951). */
	packed: blob('packed', { mode: 'buffer' })
});

/** A version of the words of a kind of letter, in one language. The newest of a key and language holds; earlier ones stay. */
export const wordingVersion = sqliteTable(
	'wording_version',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		/** Which wording: one that came with the application, or one of the firm's own. */
		key: text('key').notNull(),
		kind: text('kind', { enum: LETTER_KINDS }).notNull(),
		language: text('language', { enum: LETTER_LANGUAGES }).notNull(),
		version: integer('version').notNull(),
		/** What the firm calls it. */
		name: text('name').notNull(),
		/** The words; null from when what came with the application holds again, or one of the firm's own is no longer used. */
		words: text('words', { mode: 'json' }).$type<Wording>()
	},
	(t) => [uniqueIndex('wording_version_key').on(t.key, t.language, t.version)]
);

/** Letters that somebody asked for together. What it is made of stands; only whether it rests may change. */
export const letterRun = sqliteTable('letter_run', {
	id: integer('id').primaryKey(),
	actId: integer('act_id')
		.notNull()
		.references(() => act.id),
	kind: text('kind', { enum: LETTER_KINDS }).notNull(),
	/** What kind of statements, and of which days; null for other letters. */
	statement: text('statement', { mode: 'json' }).$type<StatementAsked>(),
	/** What was added to each. */
	note: text('note').notNull(),
	/** Who gets a copy of each; null for nobody. */
	copyTo: text('copy_to'),
	at: text('at').notNull(),
	/** Who asked for it: the letters are written in their name. */
	userId: text('user_id').notNull(),
	userName: text('user_name').notNull(),
	userRole: text('user_role', { enum: ['clerk', 'supervisor', 'reader'] }).notNull(),
	isPaused: integer('is_paused', { mode: 'boolean' }).notNull().default(false)
});

/** A letter that was asked for: to be written, written, held for a reason, or withdrawn before it was sent. */
export const runLetter = sqliteTable(
	'run_letter',
	{
		id: integer('id').primaryKey(),
		runId: integer('run_id')
			.notNull()
			.references(() => letterRun.id),
		customerId: integer('customer_id')
			.notNull()
			.references(() => customer.id),
		currency: text('currency').notNull(),
		way: text('way', { enum: LETTER_WAYS }).notNull(),
		/** What the person saw that it would ask for. */
		seenAmount: amountColumn('seen_amount').notNull(),
		/** What was added to this one. */
		note: text('note').notNull().default(''),
		/** The reason against it that was overruled. */
		overruled: text('overruled', { enum: HELD_REASONS }),
		/** What is asked of this one beside its kind; null for nothing. */
		details: text('details', { mode: 'json' }).$type<LetterDetails>(),
		state: text('state', { enum: ['to-write', 'written', 'held', 'withdrawn'] }).notNull(),
		/** Why it is held, as problems in JSON; null where it is not. */
		why: text('why'),
		letterId: integer('letter_id').references(() => letter.id),
		tries: integer('tries').notNull().default(0)
	},
	(t) => [
		index('run_letter_run').on(t.runId, t.state),
		index('run_letter_letter').on(t.letterId),
		index('run_letter_to_write')
			.on(t.runId, t.id)
			.where(sql`"state" = 'to-write'`)
	]
);
