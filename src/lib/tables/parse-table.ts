import type { TableRow } from '../core/model/table-row';
import { ok, type Result } from '../core/result';
import { delimiterOf } from './delimiter-of';
import { readRows } from './read-rows';

/**
 * Reads a table (RFC 4180, or with semicolons or tabs) whose first line names the columns, in any order and case. A missing column and
 * a row with other than the named columns are problems with their line.
 * @param columns those that must be there; others are kept as they are.
 */
export function parseTable(text: string, columns: readonly string[]): Result<TableRow[]> {
	const rows: TableRow[] = [];
	let header: readonly string[] | null = null;
	const read = readRows(
		text,
		(source) => delimiterOf(source, 1),
		({ line, cells: given }) => {
			if (!header) {
				const found = given.map((name) => name.toLowerCase());
				header = found;
				const missing = columns.filter((name) => !found.includes(name));
				return missing.length > 0
					? [{ code: 'csv-column-missing', columns: missing, found, line }, 'stop']
					: undefined;
			}
			if (given.length !== header.length)
				return { code: 'csv-width', want: header.length, found: given.length, line };
			const cells: Record<string, string> = {};
			for (const [i, name] of header.entries()) cells[name] = given[i]!;
			rows.push({ line, cells });
			return undefined;
		}
	);
	return read.ok ? ok(rows) : read;
}
