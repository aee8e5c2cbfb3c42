import { sql } from 'drizzle-orm';
import type { Tx } from '../types';

/**
 * For upgrades alone: does its work while rows of a table that is else never changed may be, and puts the guard back as it was.
 * What an upgrade writes is what a row always meant, told in a newer way.
 */
export async function withRowsOpen<T>(tx: Tx, table: string, work: () => Promise<T>): Promise<T> {
	const guard = `${table}_no_update`;
	const { text } = (await tx.get<{ text: string }>(
		sql`select sql as text from sqlite_master where type = 'trigger' and name = ${guard}`
	)) ?? { text: null };
	if (text === null) throw new Error(`no trigger ${guard}`);
	await tx.run(sql`drop trigger ${sql.identifier(guard)}`);
	const done = await work();
	await tx.run(sql.raw(text));
	return done;
}
