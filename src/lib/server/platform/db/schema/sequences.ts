import { integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** The next free number of each table whose rows are numbered before they are written (`db/take-ids.ts`). */
export const sequence = sqliteTable('sequence', {
	name: text('name').primaryKey(),
	next: integer('next').notNull()
});

/** What was done once to books of an earlier version, and how many rows it could not tell. */
export const upgrade = sqliteTable('upgrade', {
	name: text('name').primaryKey(),
	left: integer('left').notNull()
});

/** What went through the journal, and through the bank, since the books began: all amounts without their signs, added up. */
export const turnover = sqliteTable('turnover', {
	name: text('name', { enum: ['journal', 'bank'] }).primaryKey(),
	sum: integer('sum').notNull()
});
