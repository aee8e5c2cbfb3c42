import { sql, type SQL } from 'drizzle-orm';
import type { Reader } from './types';

/**
 * Many rows of a query as one JSON value, which crosses from SQLite in one piece: of 20,000 rows of seven columns that takes a third of the time
 * that rows take one by one. For numbers and text; not for blobs.
 * @param columns of the query, by the names that it gives them, in the order in which each row has them
 */
export async function allAtOnce<Row extends readonly unknown[]>(
	db: Reader,
	query: SQL,
	columns: readonly string[]
): Promise<Row[]> {
	const names = sql.join(
		columns.map((name) => sql.identifier(name)),
		sql`, `
	);
	const [found] = await db.all<{ rows: string }>(
		sql`select json_group_array(json_array(${names})) as rows from (${query})`
	);
	return JSON.parse(found!.rows) as Row[];
}
