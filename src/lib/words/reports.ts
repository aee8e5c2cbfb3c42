import type { Report, ReportCell, ReportColumn } from '../core/model/report';
import type { ReportSheet } from '../core/6-reports/report-sheet';
import type { Day } from '../core/day/day';
import { plainAmount } from './plain-amount';
import {
	REPORT_NAMES,
	moment,
	reportAskedLines,
	reportCell,
	reportHeading,
	reportOfNothing,
	reportText
} from './en-GB';

/** A cell that holds words, in them. */
export { reportText as reportWord };

/** Whose books a report is of, and when it was made. */
export interface ReportMadeBy {
	readonly firm: string;
	/** ISO 8601, by the firm's clock when it is said. */
	readonly at: string;
	readonly day: Day;
}

/** Columns that take what room the others leave. */
const WIDE: ReadonlySet<string> = new Set(['customer', 'payer', 'tag']);

/** Whether what stands in a column is aligned by its figures. */
export const isFigures = ({ kind }: ReportColumn): boolean => kind === 'money' || kind === 'whole';

/** What a report was asked, line by line, and when it was made. */
export function askedAndMade({ fields }: Pick<Report, 'fields'>, { at }: ReportMadeBy) {
	return [...reportAskedLines(fields), { name: 'Made', value: moment(at) }];
}

/** A report laid out as paper: all rows, then what they come to. */
export function layOutReport(report: Report, by: ReportMadeBy): ReportSheet {
	const { columns } = report;
	const cellsOf = (row: Report['rows'][number]) =>
		columns.map((column, n) => reportCell(column, row, row.cells[n] ?? null));
	return {
		...{ language: 'en', title: REPORT_NAMES[report.id].name, author: by.firm, day: by.day },
		asked: askedAndMade(report, by),
		columns: columns.map((column) => ({
			...{ name: reportHeading(column.heading), figures: isFigures(column), wide: WIDE.has(column.key) }
		})),
		rows: [
			...report.rows.map((row) => ({ cells: cellsOf(row), isSum: false })),
			...report.sums.map((row) => ({ cells: withTotal(columns, cellsOf(row)), isSum: true }))
		],
		nothing: reportOfNothing(report),
		...{ footer: `${by.firm} · ${moment(by.at)}`, pages: 'Page {page} of {pages}' }
	};
}

/** The word before sums, where a column of words comes first. */
function withTotal(columns: readonly ReportColumn[], cells: readonly string[]): string[] {
	return cells.map((cell, n) => (n === 0 && columns[0]?.kind === 'text' ? 'In all' : cell));
}

/** A report as a table for programs: headings, then every row; amounts plain, days as `YYYY-MM-DD`, and no sums, which would count twice. */
export function reportTable({ columns, rows }: Pick<Report, 'columns' | 'rows'>): {
	readonly headings: readonly string[];
	readonly rows: readonly (readonly (string | number)[])[];
} {
	return {
		headings: columns.map(({ heading }) => reportHeading(heading)),
		rows: rows.map(({ cells, currency }) =>
			columns.map((column, n) => plainCell(column, currency, cells[n] ?? null))
		)
	};
}

/** A cell as a program or a spreadsheet reads it. */
export function plainCell(column: ReportColumn, currency: string, cell: ReportCell): string | number {
	if (cell === null) return '';
	if (column.kind === 'money') return plainAmount(Number(cell), currency);
	return column.kind === 'text' ? reportText(column, String(cell)) : cell;
}
