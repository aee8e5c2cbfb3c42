import { CUSTOMER_COLUMNS, readCustomers, type CustomerRow } from '../../core/1-open-items/read-customers';
import { DOCUMENT_COLUMNS, readDocuments, type DocumentRow } from '../../core/1-open-items/read-documents';
import { bad, type Result } from '../../core/result';
import { parseTable } from '../../tables/parse-table';
import { decodeText } from '../files/decode-text';

export type TableForm =
	| { readonly what: 'customers'; readonly rows: Result<CustomerRow[]> }
	| { readonly what: 'documents'; readonly rows: Result<DocumentRow[]> };

/** Larger tables are refused: 100,000 open documents are a tenth of it. */
const MOST_BYTES = 100_000_000;

/** Reads a table from a form: a file, or rows pasted from a spreadsheet with their headings. */
export async function readTableForm(request: Request): Promise<TableForm & { key?: string }> {
	const form = await request.formData();
	const what = form.get('what') === 'customers' ? 'customers' : 'documents';
	const key = form.get('key');
	const extra = typeof key === 'string' && key ? { key } : {};
	const file = form.get('file');
	const pasted = form.get('pasted');
	let text = typeof pasted === 'string' ? pasted : '';
	if (file instanceof File && file.size > 0) {
		if (file.size > MOST_BYTES)
			return { what, rows: bad({ code: 'file-too-large', bytes: file.size, most: MOST_BYTES }), ...extra };
		text = decodeText(new Uint8Array(await file.arrayBuffer()));
	}
	if (what === 'customers') {
		const rows = parseTable(text, CUSTOMER_COLUMNS);
		return { what, rows: rows.ok ? readCustomers(rows.value) : rows, ...extra };
	}
	const rows = parseTable(text, DOCUMENT_COLUMNS);
	return { what, rows: rows.ok ? readDocuments(rows.value) : rows, ...extra };
}
