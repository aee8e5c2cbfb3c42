import Papa from 'papaparse';
import type { GridRow } from '../core/1-columns/read-grid-rows';
import type { Problem } from '../core/problems';
import { err, ok, type Result } from '../core/result';
import { MOST_ROWS } from './parse-table';

/** So many lines are looked at for the sign between cells: the first may be a title. */
const TOP = 20;

/** The sign that any of the first lines uses most among comma, semicolon, tab and bar, outside quotes. */
function delimiterOfTop(text: string): string {
	const lines = text
		.slice(0, 100_000)
		.split(/\r\n|\r|\n/, TOP)
		.map((line) => line.replace(/"[^"]*"/g, ''));
	const most = (sign: string) => Math.max(...lines.map((line) => line.split(sign).length));
	return [',', ';', '\t', '|'].reduce((best, sign) => (most(sign) > most(best) ? sign : best));
}

/**
 * Reads a table as it stands, cells by their place: RFC 4180, or with semicolons, tabs or bars. Blank lines are left out. A quote that
 * never ends and more rows than are read at once are problems with their line.
 */
export function parseGrid(text: string): Result<GridRow[]> {
	const source = text.replace(/^\uFEFF/, '');
	if (!source.trim()) return err({ code: 'file-empty' });
	const problems: Problem[] = [];
	const rows: GridRow[] = [];
	let line = 1;
	let counted = 0;
	Papa.parse<string[]>(source, {
		delimiter: delimiterOfTop(source),
		skipEmptyLines: false,
		step: ({ data, errors, meta }, parser) => {
			const at = line;
			for (; counted < meta.cursor; counted++) if (source.charCodeAt(counted) === 10) line++;
			for (const error of errors) problems.push({ code: 'csv-broken', detail: error.message, line: at });
			if (data.every((cell) => cell.trim() === '')) return;
			rows.push({ line: at, cells: data.map((cell) => cell.trim()) });
			if (rows.length > MOST_ROWS) {
				problems.push({ code: 'csv-too-long', most: MOST_ROWS, line: at });
				parser.abort();
			}
		}
	});
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rows);
}
