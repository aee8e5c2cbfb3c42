import { contentDisposition } from './content-disposition';
import Papa from 'papaparse';
import { decimalSign } from '../../../words/conventions';

/**
 * A table as a CSV file (RFC 4180, UTF-8 with its mark, so that spreadsheets know the letters). Where a comma stands before decimals,
 * spreadsheets expect semicolons between cells. What a spreadsheet would take for a formula is made plain text.
 * @param name of the file, letters and digits
 */
export function csvResponse(
	name: string,
	headings: readonly string[],
	rows: readonly (readonly (string | number)[])[]
): Response {
	const text = Papa.unparse(
		{ fields: [...headings], data: rows.map((row) => [...row]) },
		{ delimiter: decimalSign() === ',' ? ';' : ',', escapeFormulae: /^[=+@\t\r]|^-(?![\d.,]*$)/ }
	);
	return new Response(`\ufeff${text}\r\n`, {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': contentDisposition('attachment', `${name}.csv`)
		}
	});
}
