import Papa from 'papaparse';
import type { GridRow } from '../core/1-columns/read-grid-rows';
import type { Problem } from '../core/problems';
import { err, ok, type Result } from '../core/result';

/** More rows than this are refused: a firm of some size has a tenth of it open. */
const MOST_ROWS = 500_000;

/** Takes a row: what is wrong with it, `'stop'` behind it where nothing can be read after it, nothing where it is well. */
export type TakeRow = (row: GridRow) => Problem | readonly [Problem, 'stop'] | undefined;

/**
 * Goes through the rows of a table as RFC 4180 writes it, or with another sign between cells, each with the line on which it begins; lines
 * may break within quotes. A quote that never ends and too many rows are problems with their line.
 * @param delimiterOf the sign between cells, from the text without its byte-order mark
 */
export function readRows(text: string, delimiterOf: (text: string) => string, take: TakeRow): Result<null> {
	const source = text.replace(/^\uFEFF/, '');
	if (!source.trim()) return err({ code: 'file-empty' });
	const problems: Problem[] = [];
	let [line, counted, taken] = [1, 0, 0];
	Papa.parse<string[]>(source, {
		delimiter: delimiterOf(source),
		skipEmptyLines: false,
		step: ({ data, errors, meta }, parser) => {
			const at = line;
			for (; counted < meta.cursor; counted++) if (source.charCodeAt(counted) === 10) line++;
			for (const error of errors) problems.push({ code: 'csv-broken', detail: error.message, line: at });
			if (data.length === 1 && data[0]!.trim() === '') return;
			const wrong = take({ line: at, cells: data.map((cell) => cell.trim()) });
			if (wrong) problems.push('code' in wrong ? wrong : wrong[0]);
			if (wrong && !('code' in wrong)) return parser.abort();
			if (++taken <= MOST_ROWS) return;
			problems.push({ code: 'csv-too-long', most: MOST_ROWS, line: at });
			parser.abort();
		}
	});
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(null);
}
