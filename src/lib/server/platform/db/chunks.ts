/** Rows in groups that stay below SQLite's limit of bound values for a row of some twenty columns. */
export function chunks<T>(rows: readonly T[], size = 500): T[][] {
	const out: T[][] = [];
	for (let i = 0; i < rows.length; i += size) out.push(rows.slice(i, i + size));
	return out;
}
