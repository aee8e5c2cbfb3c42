import { CUSTOMER_COLUMNS, readCustomers, type CustomerRow } from '../../core/1-open-items/read-customers';
import { DOCUMENT_COLUMNS, readDocuments, type DocumentRow } from '../../core/1-open-items/read-documents';
import type { Result } from '../../core/result';
import { parseTable } from '../../tables/parse-table';
import { readFormText } from './read-form-text';

export type TableForm =
	| { readonly what: 'customers'; readonly rows: Result<CustomerRow[]> }
	| { readonly what: 'documents'; readonly rows: Result<DocumentRow[]> };

/** Reads a table from a form: a file, or rows pasted from a spreadsheet with their headings. */
export async function readTableForm(request: Request): Promise<TableForm & { key?: string }> {
	const form = await request.formData();
	const what = form.get('what') === 'customers' ? 'customers' : 'documents';
	const key = form.get('key');
	const extra = typeof key === 'string' && key ? { key } : {};
	const source = await readFormText(form);
	if (!source.ok) return { what, rows: source, ...extra };
	const text = source.value;
	if (what === 'customers') {
		const rows = parseTable(text, CUSTOMER_COLUMNS);
		return { what, rows: rows.ok ? readCustomers(rows.value) : rows, ...extra };
	}
	const rows = parseTable(text, DOCUMENT_COLUMNS);
	return { what, rows: rows.ok ? readDocuments(rows.value) : rows, ...extra };
}
