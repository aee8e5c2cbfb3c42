import type { TableRow } from '../model/table-row';
import { withoutAccents } from '../text/without-accents';
import { readDayAs, dayOrderOf, type DayOrder } from './day-form';
import { TABLE_FIELDS, type FieldKey, type TableKind } from './fields';
import type { ColumnsOf } from './guess-columns';
import { headingKey } from './heading-key';
import { HEADING_LANGUAGES } from './headings';
import { decimalSignOf, readNumberAs, type DecimalSign } from './number-form';

/** A row of a table as it stands there, with the line on which it begins. */
export interface GridRow {
	readonly line: number;
	readonly cells: readonly string[];
}

/** How a table is to be read: which column is which, and how its dates and numbers are written. */
export interface TableReading {
	readonly columns: ColumnsOf;
	readonly dayOrder: DayOrder;
	readonly decimalSign: DecimalSign;
	/** The currency of all rows where no column says it. */
	readonly currency: string;
}

/** What of a reading the table tells itself; `'either'` where a person has to say, null where it contradicts itself. */
export interface FormsFound {
	readonly dayOrder: DayOrder | 'either' | null;
	readonly decimalSign: DecimalSign | 'either' | null;
}

const SYMBOLS: Readonly<Record<string, string>> = { '€': 'EUR', '£': 'GBP', $: 'USD' };

/** How the table writes dates and numbers, found from all values of the columns that have them. */
export function formsOf(kind: TableKind, columns: ColumnsOf, rows: readonly GridRow[]): FormsFound {
	const of = (shape: string) =>
		TABLE_FIELDS[kind]
			.filter((field) => field.shape === shape && columns[field.key] !== undefined)
			.flatMap(({ key }) => rows.map((row) => row.cells[columns[key]!] ?? ''))
			.filter((text) => text !== '');
	return { dayOrder: dayOrderOf(of('day')), decimalSign: decimalSignOf(of('amount')) };
}

/**
 * The rows of a table with our own names and forms, as the readers of rows want them: dates as YYYY-MM-DD, amounts with a dot. What
 * cannot be read stays as it is, so that the reader says so with its line. Rows in which neither a number nor a name stands are
 * headings between, totals and blank lines: they are left out, and counted.
 */
export function readGridRows(
	kind: TableKind,
	rows: readonly GridRow[],
	reading: TableReading
): { readonly rows: readonly TableRow[]; readonly leftOut: readonly number[] } {
	const key: FieldKey = kind === 'documents' ? 'number' : 'code';
	const out: TableRow[] = [];
	const leftOut: number[] = [];
	for (const row of rows) {
		const cells = cellsOf(kind, row, reading);
		if (!cells[key]) leftOut.push(row.line);
		else out.push({ line: row.line, cells });
	}
	return { rows: out, leftOut };
}

function cellsOf(kind: TableKind, row: GridRow, reading: TableReading): Readonly<Record<string, string>> {
	const cells: Record<string, string> = {};
	for (const { key, shape } of TABLE_FIELDS[kind]) {
		const at = reading.columns[key];
		const text = (at === undefined ? undefined : row.cells[at])?.trim() ?? '';
		if (shape === 'day') cells[key] = readDayAs(text, reading.dayOrder) ?? text;
		else if (shape === 'amount') cells[key] = readNumberAs(text, reading.decimalSign) ?? text;
		else if (shape === 'number') cells[key] = firstNumber(text);
		else if (shape === 'currency') cells[key] = SYMBOLS[text] ?? (text || reading.currency);
		else cells[key] = text;
	}
	return kind === 'documents' ? asDocument(cells) : cells;
}

/** "30 Tage netto" is 30; "2,5 %" is 2.5. */
function firstNumber(text: string): string {
	return /\d+(?:[.,]\d+)?/.exec(text)?.[0].replace(',', '.') ?? text;
}

/**
 * A document's kind by its word, or by the sign of its sum; sums without a sign. Where the first sum is not told it is the same as what
 * is open.
 */
function asDocument(cells: Record<string, string>): Readonly<Record<string, string>> {
	const [open, total] = [cells['open']!, cells['total'] || cells['open']!];
	const said = cells['kind'] ? kindOf(cells['kind']) : null;
	const negative = open.startsWith('-') || total.startsWith('-');
	// A credit note whose sums are negative is one; an invoice below zero is a credit note.
	const kind =
		cells['kind'] && !said
			? cells['kind']
			: negative && said !== 'charge'
				? 'credit_note'
				: (said ?? 'invoice');
	return { ...cells, kind, open: open.replace(/^-/, ''), total: total.replace(/^-/, '') };
}

/** The kind of document that a word stands for, in any language that headings are known in. */
function kindOf(text: string): 'invoice' | 'credit_note' | 'charge' | null {
	const word = headingKey(withoutAccents(text));
	for (const kind of ['credit_note', 'charge', 'invoice'] as const)
		if (HEADING_LANGUAGES.some(({ kinds }) => kinds[kind].some((one) => headingKey(one) === word)))
			return kind;
	return null;
}
