import { ONE_OF, TABLE_FIELDS, type FieldKey, type TableKind } from './fields';
import { readDayAs } from './day-form';
import { readNumberAs } from './number-form';
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
	// What a bank's entry says may sound like a heading: headings stand above the first of them.
	const entry = kind === 'bank-table' ? grid.findIndex(({ cells }) => isEntry(cells)) : -1;
	const top = grid.slice(0, entry < 0 ? TOP : Math.min(entry, TOP));
	let [best, most] = [-1, -1];
	for (const [at, { cells }] of top.entries()) {
		if (cells.filter((cell) => cell.trim() !== '').length < 2) continue;
		// Names alone: values would tell as much of a line of values.
		const named = Object.keys(guessColumns(kind, cells, [])).length;
		if (named > most) [best, most] = [at, named];
	}
	// Where no column is called by a word that is known, the line above the entries names them, if it is as wide as they are.
	if (entry >= 0 && most <= 0)
		best = grid[entry - 1]?.cells.length === grid[entry]!.cells.length ? entry - 1 : -1;
	const found = grid[best];
	if (!found) return entry < 0 ? null : withoutHeadings(grid.slice(entry));
	const rows = grid.slice(best + 1);
	return { headings: found.cells, line: found.line, rows, columns: guessColumns(kind, found.cells, rows) };
}

/** The fields that are needed and that no column has. */
export function missingFields(kind: TableKind, columns: ColumnsOf): FieldKey[] {
	const missing = TABLE_FIELDS[kind]
		.filter(({ key, needed }) => needed && columns[key] === undefined)
		.map(({ key }) => key);
	const oneOf = ONE_OF[kind] ?? [];
	if (oneOf.length > 0 && oneOf.every((key) => columns[key] === undefined)) missing.push(oneOf[0]!);
	return missing;
}

/** Whether a line is an entry itself: some banks name no columns, and their first entry is none of their headings. */
function isEntry(cells: readonly string[]): boolean {
	return cells.some(isDay) && cells.some((cell) => isAmount(cell) && !isDay(cell));
}

/** A table whose columns have no names: they are called by what stands in them, so that two of the same shape are alike. */
function withoutHeadings(rows: readonly GridRow[]): FoundTable {
	const headings = rows[0]!.cells.map((_, at) => {
		const values = rows.slice(0, TOP).flatMap(({ cells }) => cells[at]?.trim() || []);
		if (values.length === 0) return '';
		return values.every(isDay) ? 'date' : values.every(isAmount) ? 'amount' : 'text';
	});
	return { headings, line: rows[0]!.line, rows, columns: guessColumns('bank-table', headings, rows) };
}

function isDay(cell: string): boolean {
	return readDayAs(cell, 'day-first') !== null || readDayAs(cell, 'month-first') !== null;
}

function isAmount(cell: string): boolean {
	return readNumberAs(cell, '.') !== null || readNumberAs(cell, ',') !== null;
}
