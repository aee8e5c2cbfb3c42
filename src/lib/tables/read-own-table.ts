import type { DayOrder } from '../core/1-columns/day-form';
import type { FieldKey, TableKind } from '../core/1-columns/fields';
import { findHeadings, missingFields } from '../core/1-columns/find-headings';
import type { ColumnsOf } from '../core/1-columns/guess-columns';
import { headingKey } from '../core/1-columns/heading-key';
import type { DecimalSign } from '../core/1-columns/number-form';
import { formsOf, readGridRows, type FormsFound, type GridRow } from '../core/1-columns/read-grid-rows';
import type { TableRow } from '../core/model/table-row';
import { err, ok, type Result } from '../core/result';
import { parseGrid } from './parse-grid';

/** What a person said of a table: by its headings, so that the next one like it is read the same way. */
export interface TableAnswer {
	/** The headings, as they are compared, in their order. */
	readonly headings: string;
	readonly columns: ColumnsOf;
	readonly dayOrder: DayOrder | null;
	readonly decimalSign: DecimalSign | null;
	readonly currency: string | null;
}

/** A table as it was understood, and what a person has to say before it can be read. */
export interface TableSeen {
	readonly file: string | null;
	/** The headings as they are compared. */
	readonly key: string;
	readonly headings: readonly string[];
	/** The line of the headings. */
	readonly line: number;
	/** The first rows, to recognise the columns by. */
	readonly samples: readonly (readonly string[])[];
	readonly columns: ColumnsOf;
	readonly dayOrder: DayOrder | null;
	readonly decimalSign: DecimalSign | null;
	readonly currency: string;
	/** Whether it is read as a person said once. */
	readonly known: boolean;
	readonly asks: {
		readonly fields: readonly FieldKey[];
		/** A date that may be two days, where the order has to be said. */
		readonly dayOrder: boolean;
		readonly decimalSign: boolean;
	};
	/** Lines without a number or code of their own: totals, headings between. */
	readonly leftOut: readonly number[];
}

export interface OwnTable {
	readonly seen: TableSeen;
	/** None while something has to be said first. */
	readonly rows: readonly TableRow[];
}

const SAMPLES = 3;

/**
 * Reads a table with a firm's own headings, dates and numbers: what was said of it goes before what was said of one like it, and that
 * before what is guessed.
 * @param answers what was said, the latest first; those for other headings are passed over
 * @param currency of rows where no column says it
 */
export function readOwnTable(
	kind: TableKind,
	{ text, file }: { readonly text: string; readonly file: string | null },
	answers: readonly TableAnswer[],
	currency: string
): Result<OwnTable> {
	const grid = parseGrid(text);
	if (!grid.ok) return grid;
	const found = findHeadings(kind, grid.value);
	if (!found) return err({ code: 'csv-no-headings' });
	const { headings, line, rows } = found;
	const key = headings.map(headingKey).join('|');
	const answer = answers.find((one) => one.headings === key);
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
	const reading = { columns, currency: answer?.currency ?? currency };
	const ready = asks.fields.length === 0 && dayOrder !== null && decimalSign !== null;
	const read = ready
		? readGridRows(kind, rows, { ...reading, dayOrder, decimalSign })
		: { rows: [], leftOut: [] };
	return ok({
		rows: read.rows,
		seen: {
			...{ file, key, headings, line, columns, asks, dayOrder, decimalSign, leftOut: read.leftOut },
			...{ currency: reading.currency, known: Boolean(answer), samples: samplesOf(rows) }
		}
	});
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
