import type { Report, ReportCell, ReportColumn, ReportRow } from '../../core/model/report';
import type { ReportSheet } from '../../core/6-reports/report-sheet';
import { currencyDigits } from '../../core/money/currency';
import type { Problem } from '../../core/problems';
import { REPORT_NAMES, reportHeading } from '../../words';
import {
	askedAndMade,
	isFigures,
	layOutReport,
	reportTable,
	reportWord,
	type ReportMadeBy
} from '../../words/reports';
import { defineLook } from '../act/define-look';
import { readSetting } from '../firm/store/settings';
import { xlsxFile, type XlsxCell } from '../platform/files/xlsx-file';
import { csvText } from '../platform/http/csv-response';
import { lookAtReport, type ReportAsked } from '../reports/queries/report';

export const REPORT_FORMATS = ['csv', 'xlsx', 'pdf'] as const;
export type ReportFormat = (typeof REPORT_FORMATS)[number];

/** So many rows are one file that somebody would read on paper. */
export const MOST_ON_PAPER = 20_000;

/** A report as a file, or as what is set on paper; its name has no ending. */
export type ReportFile =
	| { readonly what: 'problems'; readonly problems: readonly Problem[] }
	| { readonly what: 'csv'; readonly name: string; readonly text: string }
	| { readonly what: 'xlsx'; readonly name: string; readonly bytes: Uint8Array }
	| { readonly what: 'pdf'; readonly name: string; readonly sheet: ReportSheet };

export interface ReportFileAsked extends Omit<ReportAsked, 'page'> {
	readonly format: ReportFormat;
	/** When it is made (ISO 8601). */
	readonly at: string;
}

/** All rows of a report as a file, in the order in which they are shown. */
export const lookAtReportFile = defineLook(
	'reader',
	async (db, { format, at, ...asked }: ReportFileAsked, viewer): Promise<ReportFile> => {
		const answer = await lookAtReport(db, { ...asked, page: null }, viewer);
		if (!answer.ok) return { what: 'problems', problems: answer.problems };
		const { report } = answer;
		const name = fileName(report);
		if (format === 'csv') {
			const { headings, rows } = reportTable(report);
			return { what: 'csv', name, text: csvText(headings, rows) };
		}
		const firm = (await readSetting(db, 'firm'))?.name ?? '';
		const by: ReportMadeBy = { firm, at, day: viewer.today };
		if (format === 'xlsx') return { what: 'xlsx', name, bytes: await workbook(report, by) };
		if (report.rows.length > MOST_ON_PAPER) {
			const { length } = report.rows;
			return { what: 'problems', problems: [{ code: 'report-too-long', rows: length, most: MOST_ON_PAPER }] };
		}
		return { what: 'pdf', name, sheet: layOutReport(report, by) };
	}
);

/** "ageing-2026-10-30": what it is, and of which days. */
function fileName({ id, fields }: Report): string {
	return [id, ...fields.flatMap((field) => (field.kind === 'day' ? [field.value] : []))].join('-');
}

function workbook(report: Report, by: ReportMadeBy): Promise<Buffer> {
	const { columns, rows, sums } = report;
	const cellsOf = (row: ReportRow) =>
		columns.map((column, n) => xlsxCell(column, row.currency, row.cells[n] ?? null));
	return xlsxFile({
		name: REPORT_NAMES[report.id].name,
		lines: [
			[REPORT_NAMES[report.id].name, by.firm],
			...askedAndMade(report, by).map(({ name, value }) => [name, value] as const)
		],
		headings: columns.map(({ heading }) => reportHeading(heading)),
		rows: rows.map(cellsOf),
		sums: sums.map(cellsOf),
		figures: columns.map(isFigures)
	});
}

function xlsxCell(column: ReportColumn, currency: string, cell: ReportCell): XlsxCell {
	if (cell === null) return null;
	switch (column.kind) {
		case 'money': {
			const decimals = currencyDigits(currency) ?? 2;
			// A workbook keeps numbers as doubles: what has so many digits as money is read back exactly.
			return { kind: 'number', value: Number(cell) / 10 ** decimals, decimals };
		}
		case 'whole':
			return { kind: 'number', value: Number(cell), decimals: 0 };
		case 'day':
			return { kind: 'day', value: String(cell) };
		case 'text':
			return { kind: 'text', value: reportWord(column, String(cell)) };
	}
}
