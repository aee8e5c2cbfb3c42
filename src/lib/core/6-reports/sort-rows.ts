import { compareText } from '../compare-text';
import { groupBy } from '../group-by';
import { currencyOrder } from './currency-order';
import type { ReportCell, ReportColumn, ReportRow } from '../model/report';

/** By which column rows are sorted, and whether the greatest comes first. */
export interface RowOrder {
	readonly by: string;
	readonly down: boolean;
}

/**
 * Rows in an order: currencies apart, for amounts of two cannot be compared, the firm's own first; then by a column; then by their ids. What has
 * nothing in that column comes last, whichever way it is sorted.
 */
export function sortRows(
	columns: readonly ReportColumn[],
	rows: readonly ReportRow[],
	{ by, down }: RowOrder,
	ownCurrency: string
): ReportRow[] {
	const at = columns.findIndex((column) => column.key === by);
	const apart = groupBy(rows, (row) => row.currency);
	return [...apart.keys()].sort(currencyOrder(ownCurrency)).flatMap((currency) =>
		apart
			.get(currency)!
			// What is compared is made once for each row, and not for each comparison.
			.map((row) => ({ row, key: keyOf(row.cells[at] ?? null) }))
			.sort((a, b) => compareKeys(a.key, b.key, down) || compareText(a.row.id, b.row.id))
			.map(({ row }) => row)
	);
}

/** Words are sorted whichever way their letters are written. */
function keyOf(cell: ReportCell): ReportCell {
	return typeof cell === 'string' ? cell.toLowerCase() : cell;
}

function compareKeys(a: ReportCell, b: ReportCell, down: boolean): number {
	if (a === null || b === null) return a === b ? 0 : a === null ? 1 : -1;
	const order = typeof a === 'number' && typeof b === 'number' ? a - b : compareText(String(a), String(b));
	return down ? -order : order;
}
