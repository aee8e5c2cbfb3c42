import { sql } from 'drizzle-orm';
import type { Reader } from '../types';

/** What was written since a moment, by table: the keys of the rows. */
export type Changes = ReadonlyMap<string, readonly (number | string)[]>;

/** The newest seal: it stands for all that was written up to now; nought where there is none. */
export async function newestSeal(db: Reader): Promise<number> {
	const rows = await db.all<{ id: number | null }>(sql`select max(id) as id from seal`);
	return rows[0]?.id ?? 0;
}

/**
 * The rows that were written since a seal, each table's by its keys; of tables that are not `wanted` that something was. Null where
 * they are more than `most`.
 */
export async function changesSince(
	db: Reader,
	seal: number,
	wanted: ReadonlySet<string>,
	most: number
): Promise<Changes | null> {
	const runs = await db.all<{
		name: string;
		first: number | string;
		last: number | string;
		rows: number;
	}>(sql`
		select table_name as name, first_key as first, last_key as last, rows from sealed_rows
		where seal_id > ${seal} order by id limit ${most + 1}`);
	if (runs.length > most) return null;
	const changes = new Map<string, Set<number | string>>();
	let count = 0;
	for (const { name, first, last, rows } of runs) {
		const keys = changes.get(name) ?? new Set();
		changes.set(name, keys);
		if (!wanted.has(name)) continue;
		count += Math.max(rows, 1);
		if (count > most) return null;
		if (typeof first === 'number' && typeof last === 'number')
			for (let key = first; key <= last; key++) keys.add(key);
		else keys.add(first);
	}
	return new Map([...changes].map(([name, keys]) => [name, [...keys]]));
}
