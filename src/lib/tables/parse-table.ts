import Papa from 'papaparse';
import type { TableRow } from '../core/model/table-row';
import type { Problem } from '../core/problems';
import { err, ok, type Result } from '../core/result';
import { delimiterOf } from './headings-of';

/** More rows than this are refused: a firm of some size has a tenth of it open. */
export const MOST_ROWS = 500_000;

/**
 * Reads a table as RFC 4180 writes it, or with semicolons or tabs as spreadsheets do: the first line names the columns, in
 * any order and case; lines may break within quotes. A missing column, an unknown one that is asked for, a quote that never
 * ends and a row with other than the named columns are problems with their line.
 * @param columns those that must be there; others are kept as they are.
 */
export function parseTable(text: string, columns: readonly string[]): Result<TableRow[]> {
	const source = text.replace(/^\uFEFF/, '');
	if (!source.trim()) return err({ code: 'file-empty' });
	const problems: Problem[] = [];
	const rows: TableRow[] = [];
	let header: string[] | null = null;
	let line = 1;
	let counted = 0;
	Papa.parse<string[]>(source, {
		delimiter: delimiterOf(source),
		skipEmptyLines: false,
		step: ({ data, errors, meta }, parser) => {
			const at = line;
			for (; counted < meta.cursor; counted++) if (source.charCodeAt(counted) === 10) line++;
			for (const error of errors) problems.push({ code: 'csv-broken', detail: error.message, line: at });
			if (data.length === 1 && data[0]!.trim() === '') return;
			if (!header) {
				header = data.map((name) => name.trim().toLowerCase());
				const missing = columns.filter((name) => !header!.includes(name));
				if (missing.length > 0) {
					problems.push({ code: 'csv-column-missing', columns: missing, found: header, line: at });
					parser.abort();
				}
				return;
			}
			if (data.length !== header.length) {
				problems.push({ code: 'csv-width', want: header.length, found: data.length, line: at });
				return;
			}
			const cells: Record<string, string> = {};
			for (const [i, name] of header.entries()) cells[name] = data[i]!.trim();
			rows.push({ line: at, cells });
			if (rows.length > MOST_ROWS) {
				problems.push({ code: 'csv-too-long', most: MOST_ROWS, line: at });
				parser.abort();
			}
		}
	});
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rows);
}
