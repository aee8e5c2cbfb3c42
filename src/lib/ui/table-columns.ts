import type { Snippet } from 'svelte';

/** A column of a table: what it is called, what it is sorted and copied by, and how a cell of it looks. */
export interface TableColumn<Row> {
	readonly id: string;
	/** Empty for a column that only holds a mark or a button: it is neither copied nor chosen. */
	readonly name: string;
	readonly cell: Snippet<[Row, TableColumn<Row>]>;
	/** What it is sorted by, where the rows are sorted here. */
	readonly value?: (row: Row) => string | number;
	/** What is copied of it; its value where this is left out. */
	readonly copied?: (row: Row) => string;
	/** The heading sorts by it. */
	readonly sorts?: boolean;
	/** Figures stand to the right. */
	readonly figures?: boolean;
	/** It is always there. */
	readonly stays?: boolean;
	readonly class?: string;
}

/** How rows are sorted: by which column, and downwards from the greatest. */
export interface Sorting {
	readonly by: string;
	readonly down: boolean;
}

/** Reads `late` or `-late`; null where nothing or no column of these is asked for. */
export function readSorting(text: string | null, columns: readonly string[]): Sorting | null {
	const down = text?.startsWith('-') ?? false;
	const by = text?.slice(down ? 1 : 0) ?? '';
	return columns.includes(by) ? { by, down } : null;
}

/** The order of two values of a column: numbers by size, words as a dictionary has them and the numbers in them by size. */
export function compareValues(a: string | number, b: string | number): number {
	if (typeof a === 'number' && typeof b === 'number') return a - b;
	return COLLATOR.compare(String(a), String(b));
}
const COLLATOR = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

/** What stands in the address after the heading of a column was pressed: upwards, downwards, then as it was. */
export function nextSorting(now: Sorting | null, column: string): string | null {
	if (now?.by !== column) return column;
	return now.down ? null : `-${column}`;
}

/** Rows as text for a spreadsheet: a line for each, cells parted by tabs, headings first. */
export function asPastedText<Row>(columns: readonly TableColumn<Row>[], rows: readonly Row[]): string {
	const named = columns.filter((column) => column.name);
	const cell = (column: TableColumn<Row>, row: Row) =>
		plainCell(column.copied?.(row) ?? String(column.value?.(row) ?? ''));
	return [
		named.map((column) => plainCell(column.name)),
		...rows.map((row) => named.map((column) => cell(column, row)))
	]
		.map((cells) => cells.join('\t'))
		.join('\n');
}

/** One line, and nothing that a spreadsheet would take for a formula: what customers write ends up in cells. */
function plainCell(text: string): string {
	const line = text.replace(/[\t\r\n]+/g, ' ');
	return /^[=+@]|^-(?![\d.,]*$)/.test(line) ? `'${line}` : line;
}
