import { contentDisposition } from './content-disposition';
import Papa from 'papaparse';
import { decimalSign } from '../../../words/conventions';

/**
 * A table as the text of a CSV file (RFC 4180). Where a comma stands before decimals, spreadsheets expect semicolons between cells. What
 * a spreadsheet would take for a formula is made plain text.
 */
export function csvText(
	headings: readonly string[],
	rows: readonly (readonly (string | number)[])[]
): string {
	return Papa.unparse(
		{ fields: [...headings], data: rows.map((row) => [...row]) },
		{ delimiter: decimalSign() === ',' ? ';' : ',', escapeFormulae: /^[=+@\t\r]|^-(?![\d.,]*$)/ }
	);
}

/**
 * The text of a table as a file (UTF-8 with its mark, so that spreadsheets know the letters).
 * @param name of the file, letters and digits
 */
export function csvFile(name: string, text: string): Response {
	return new Response(`\ufeff${text}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': contentDisposition('attachment', `${name}.csv`)
		}
	});
}

/** A table as a CSV file. */
export function csvResponse(
	name: string,
	headings: readonly string[],
	rows: readonly (readonly (string | number)[])[]
): Response {
	return csvFile(name, csvText(headings, rows));
}
