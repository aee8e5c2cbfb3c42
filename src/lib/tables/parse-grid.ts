import type { GridRow } from '../core/1-columns/read-grid-rows';
import { ok, type Result } from '../core/result';
import { delimiterOf } from './delimiter-of';
import { readRows } from './read-rows';

/** So many lines are looked at for the sign between cells: the first may be a title. */
const TOP = 20;

/** Reads a table as it stands, cells by their place (RFC 4180, or with semicolons or tabs). Rows without anything are left out. */
export function parseGrid(text: string): Result<GridRow[]> {
	const rows: GridRow[] = [];
	const read = readRows(
		text,
		(source) => delimiterOf(source, TOP),
		(row) => {
			if (row.cells.some(Boolean)) rows.push(row);
			return undefined;
		}
	);
	return read.ok ? ok(rows) : read;
}
