import { customType, index, integer, sqliteTable, text, uniqueIndex } from 'drizzle-orm/sqlite-core';
import { dayColumn } from '../columns';
import { act } from './acts';

/** The key of a row of any table: a number or a text, kept as it is (no affinity). */
const keyColumn = customType<{ data: number | string; driverData: number | string }>({
	dataType: () => 'blob'
});

/**
 * What one transaction wrote, closed by a hash over all of it and over the seal before: so no row of the books can be changed, added,
 * moved or taken out without it showing (`db/seal`).
 */
export const seal = sqliteTable('seal', {
	id: integer('id').primaryKey(),
	/** When it was written, ISO 8601 in UTC. */
	at: text('at').notNull(),
	/** The last act that it covers; null where none was written. */
	actId: integer('act_id'),
	previousHash: text('previous_hash').notNull(),
	hash: text('hash').notNull()
});

/** Rows of a table as a seal covers them: a run of rows that are never changed, or one version of a row that is. */
export const sealedRows = sqliteTable(
	'sealed_rows',
	{
		id: integer('id').primaryKey(),
		sealId: integer('seal_id').notNull(),
		tableName: text('table_name').notNull(),
		firstKey: keyColumn('first_key').notNull(),
		lastKey: keyColumn('last_key').notNull(),
		/** How many; none where the row was taken out. */
		rows: integer('rows').notNull(),
		/** SHA-256 of the rows as they are stored, in base64url; empty where the row was taken out. */
		hash: text('hash').notNull()
	},
	(t) => [index('sealed_rows_key').on(t.tableName, t.firstKey), index('sealed_rows_seal').on(t.sealId)]
);

/** Which columns of a table its seals cover, and the seal since which they do: a table that gets other columns is sealed anew. */
export const sealedForm = sqliteTable('sealed_form', {
	tableName: text('table_name').primaryKey(),
	/** Names in order, as JSON. */
	columns: text('columns').notNull(),
	sinceSeal: integer('since_seal').notNull()
});

/** What triggers noted of the transaction that runs. Empty between transactions, unless somebody else wrote to the books. */
export const unsealedChange = sqliteTable('unsealed_change', {
	id: integer('id').primaryKey(),
	tableName: text('table_name').notNull(),
	rowKey: keyColumn('row_key').notNull(),
	/** The row before, as its sealed form; null where it is new. */
	before: text('before'),
	/** And after; null where it was taken out, or where it is read back from the table. */
	after: text('after')
});

/** A change that the application did not write, found when it wrote next. */
export const foreignChange = sqliteTable('foreign_change', {
	id: integer('id').primaryKey(),
	/** When it was found, ISO 8601 in UTC. */
	foundAt: text('found_at').notNull(),
	tableName: text('table_name').notNull(),
	rowKey: keyColumn('row_key').notNull(),
	/** The row as it was found, as its sealed form; null where it was gone. */
	found: text('found')
});

/** A head of the chain that was signed and left the machine (`platform/anchors`). */
export const anchor = sqliteTable(
	'anchor',
	{
		id: integer('id').primaryKey(),
		/** How many seals it covers, and the hash of the last. */
		seals: integer('seals').notNull(),
		head: text('head').notNull(),
		/** The day of the books. */
		day: dayColumn('day').notNull(),
		/** When it was signed, ISO 8601 in UTC. */
		at: text('at').notNull(),
		/** The day was over, or a period was locked. */
		reason: text('reason', { enum: ['day', 'lock'] }).notNull(),
		/** The anchor as it was written, as JSON. */
		signed: text('signed').notNull(),
		/** How it fared on its way to the auditor's address; null where the firm has none. */
		mail: text('mail', { enum: ['waiting', 'sent', 'failed'] }),
		/** What the mail server said. */
		answer: text('answer')
	},
	(t) => [uniqueIndex('anchor_seals_reason').on(t.seals, t.reason)]
);

/**
 * What the proof found against the books, and somebody looked into and put down with a reason: a record that an earlier version hashed
 * otherwise than it was stored, or a change by something else that was found. It counts no more as long as it is as it was then.
 */
export const acknowledgedFinding = sqliteTable(
	'acknowledged_finding',
	{
		id: integer('id').primaryKey(),
		actId: integer('act_id')
			.notNull()
			.references(() => act.id),
		kind: text('kind', { enum: ['record', 'foreign'] }).notNull(),
		/** The record, or the change that was found. */
		ref: integer('ref').notNull(),
		/** The hash of the record as it was stored then; empty for a change, which is never changed itself. */
		state: text('state').notNull()
	},
	(t) => [uniqueIndex('acknowledged_finding_ref').on(t.kind, t.ref, t.state)]
);
