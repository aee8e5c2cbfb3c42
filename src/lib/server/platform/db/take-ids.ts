import { getTableName, sql, type Table } from 'drizzle-orm';
import type { Tx } from './open';

/**
 * Takes numbers for new rows of a table, so that rows of others can point at them before they are written. What was taken in a
 * transaction that is taken back is free again.
 * @returns the first of them; the others follow it
 */
export async function takeIds(tx: Tx, table: Table, count: number): Promise<number> {
	const name = getTableName(table);
	const row = await tx.get<{ next: number }>(sql`
		insert into sequence (name, next)
		values (${name}, coalesce((select max(id) from ${table}), 0) + 1 + ${count})
		on conflict (name) do update set next = next + ${count}
		returning next`);
	return row.next - count;
}

/** Takes one number. */
export async function takeId(tx: Tx, table: Table): Promise<number> {
	return takeIds(tx, table, 1);
}
