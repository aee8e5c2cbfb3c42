import { TABLE_FIELDS, type TableKind } from './fields';
import { guessColumns, type ColumnsOf } from './guess-columns';
import type { GridRow } from './read-grid-rows';

/** So many lines at the top may be a title, a date, a blank. */
const TOP = 20;

/** A table with its headings told from what stands above and below them. */
export interface FoundTable {
	readonly headings: readonly string[];
	/** The line of the headings. */
	readonly line: number;
	readonly rows: readonly GridRow[];
	readonly columns: ColumnsOf;
}

/**
 * Finds the line that names the columns: of the first ones, that in which most fields are told by name; where none is, the first with
 * more than one cell. Null where there is no such line.
 */
export function findHeadings(kind: TableKind, grid: readonly GridRow[]): FoundTable | null {
	let [best, most] = [-1, -1];
	for (const [at, { cells }] of grid.slice(0, TOP).entries()) {
		if (cells.filter((cell) => cell.trim() !== '').length < 2) continue;
		// Names alone: values would tell as much of a line of values.
		const named = Object.keys(guessColumns(kind, cells, [])).length;
		if (named > most) [best, most] = [at, named];
	}
	const found = grid[best];
	if (!found) return null;
	const rows = grid.slice(best + 1);
	return { headings: found.cells, line: found.line, rows, columns: guessColumns(kind, found.cells, rows) };
}

/** The fields that are needed and that no column has. */
export function missingFields(kind: TableKind, columns: ColumnsOf) {
	return TABLE_FIELDS[kind]
		.filter(({ key, needed }) => needed && columns[key] === undefined)
		.map(({ key }) => key);
}
