import type { DayOrder } from '../core/1-columns/day-form';
import type { TableKind } from '../core/1-columns/fields';
import { findHeadings, missingFields } from '../core/1-columns/find-headings';
import type { ColumnsOf } from '../core/1-columns/guess-columns';
import { headingKey } from '../core/1-columns/heading-key';
import type { DecimalSign } from '../core/1-columns/number-form';
import { formsOf, readGridRows, type FormsFound, type GridRow } from '../core/1-columns/read-grid-rows';
import type { TableRow } from '../core/model/table-row';
import { err, ok, type Result } from '../core/result';
import type { Problem } from '../core/problems';
import { parseGrid } from './parse-grid';
import { isAsking, type TableAnswer, type TableSeen } from './table-seen';

export interface OwnTable {
	readonly seen: TableSeen;
	/** None while something has to be said first. */
	readonly rows: readonly TableRow[];
	/** The rows as they stand in the table. */
	readonly grid: readonly GridRow[];
	/** What in its rows can be meant in two ways. */
	readonly problems: readonly Problem[];
}

/** What the column is called that says of refused rows why they were: mended, they are read as the table that they came from. */
export const WHY_REFUSED = 'Why it was not taken';

const SAMPLES = 3;

/** A table of which the headings are known: what a reading of its rows begins with. */
export interface OpenedTable {
	readonly kind: TableKind;
	readonly seen: Omit<TableSeen, 'currency' | 'leftOut' | 'settled'>;
	/** What stands above the headings. */
	readonly above: readonly GridRow[];
	readonly rows: readonly GridRow[];
}

/**
 * Opens a table with a firm's own headings, dates and numbers: what was said of it goes before what was said of one like it, and that
 * before what is guessed.
 * @param answers what was said, the latest first; those for other headings are passed over
 */
export function openOwnTable(
	kind: TableKind,
	{ text, file }: { readonly text: string; readonly file: string | null },
	answers: readonly TableAnswer[]
): Result<OpenedTable> {
	const grid = parseGrid(text);
	if (!grid.ok) return grid;
	const found = findHeadings(kind, grid.value);
	if (!found) return err({ code: 'csv-no-headings' });
	const { headings, line, rows } = found;
	const key = headings
		.filter((heading) => heading !== WHY_REFUSED)
		.map(headingKey)
		.join('|');
	const answer = answers.find((one) => one.headings === key) ?? null;
	const columns = answer ? columnsWithin(answer.columns, headings.length) : found.columns;
	const wide = rows.find(
		({ cells }) => cells.length > headings.length && cells.slice(headings.length).some(Boolean)
	);
	if (wide)
		return err({ code: 'csv-width', want: headings.length, found: wide.cells.length, line: wide.line });
	const forms = formsOf(kind, columns, rows);
	const dayOrder = settled(forms.dayOrder, answer?.dayOrder ?? null);
	const decimalSign = settled(forms.decimalSign, answer?.decimalSign ?? null);
	const asks = {
		fields: missingFields(kind, columns),
		dayOrder: dayOrder === null,
		decimalSign: decimalSign === null
	};
	return ok({
		...{ kind, rows, above: grid.value.filter((row) => row.line < line) },
		seen: {
			file,
			key,
			headings,
			line,
			columns,
			answer,
			dayOrder,
			decimalSign,
			samples: samplesOf(rows),
			asks
		}
	});
}

/** Reads the rows of an opened table. @param currency of rows where no column says it, and nobody said it of the table */
export function readOpenedTable({ kind, rows, ...opened }: OpenedTable, currency: string): OwnTable {
	const { answer, columns, dayOrder, decimalSign } = opened.seen;
	const seen: TableSeen = {
		...opened.seen,
		currency: answer?.currency ?? currency,
		leftOut: [],
		settled: []
	};
	if (isAsking(seen) || dayOrder === null || decimalSign === null)
		return { seen, rows: [], grid: rows, problems: [] };
	const { leftOut, settled, ...read } = readGridRows(kind, rows, {
		...{ columns, dayOrder, decimalSign, currency: seen.currency },
		currencyIsSaid: Boolean(answer?.currency)
	});
	return { seen: { ...seen, leftOut, settled }, grid: rows, ...read };
}

/** Opens a table and reads its rows. */
export function readOwnTable(
	kind: TableKind,
	source: { readonly text: string; readonly file: string | null },
	answers: readonly TableAnswer[],
	currency: string
): Result<OwnTable> {
	const opened = openOwnTable(kind, source, answers);
	return opened.ok ? ok(readOpenedTable(opened.value, currency)) : opened;
}

/** What the table itself tells; what was said only where it tells nothing. One that contradicts itself is read as was said. */
function settled<T extends DayOrder | DecimalSign>(
	found: FormsFound['dayOrder'] | FormsFound['decimalSign'],
	said: T | null
): T | null {
	return found === 'either' || found === null ? said : (found as T);
}

function columnsWithin(columns: ColumnsOf, count: number): ColumnsOf {
	return Object.fromEntries(Object.entries(columns).filter(([, at]) => at < count));
}

function samplesOf(rows: readonly GridRow[]): string[][] {
	return rows.slice(0, SAMPLES).map(({ cells }) => cells.map((cell) => cell.slice(0, 60)));
}
