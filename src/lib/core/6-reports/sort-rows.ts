import { compareText } from '../compare-text';
import { currencyOrder } from './currency-order';
import type { ReportCell, ReportColumn, ReportRow } from '../model/report';

/** By which column rows are sorted, and whether the greatest comes first. */
export interface RowOrder {
	readonly by: string;
	readonly down: boolean;
}

/**
 * Rows in an order: currencies apart, for amounts of two cannot be compared; then by a column; then by their ids. What has nothing in that
 * column comes last, whichever way it is sorted.
 */
export function sortRows(
	columns: readonly ReportColumn[],
	rows: readonly ReportRow[],
	{ by, down }: RowOrder,
	ownCurrency: string
): ReportRow[] {
	const at = columns.findIndex((column) => column.key === by);
	const currencies = currencyOrder(ownCurrency);
	return rows.toSorted(
		(a, b) =>
			currencies(a.currency, b.currency) ||
			(at < 0 ? 0 : compareCells(a.cells[at] ?? null, b.cells[at] ?? null, down)) ||
			compareText(a.id, b.id)
	);
}

function compareCells(a: ReportCell, b: ReportCell, down: boolean): number {
	if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
	const order =
		typeof a === 'number' && typeof b === 'number'
			? a - b
			: compareText(String(a).toLowerCase(), String(b).toLowerCase());
	return down ? -order : order;
}
