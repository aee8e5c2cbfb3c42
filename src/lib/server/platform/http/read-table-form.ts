import { append } from '../../../core/append';
import { readCustomers, CUSTOMER_COLUMNS, type CustomerRow } from '../../../core/1-open-items/read-customers';
import type { DocumentRow } from '../../../core/1-open-items/document-row';
import { readDocumentUbl } from '../../../core/1-open-items/read-document-ubl';
import { DOCUMENT_COLUMNS, readDocuments } from '../../../core/1-open-items/read-documents';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import { parseTable } from '../../../tables/parse-table';
import { asKind, inFile, textOfSource, type FormSource, type FormText } from './read-form-text';

/** Customers of tables: files, or rows pasted from a spreadsheet with their headings. */
export function readCustomerTables(sources: readonly FormSource[]): Promise<Result<CustomerRow[]>> {
	return together(sources, (source) => asKind('customers', source, customersOf(source)));
}

/** Documents of tables, or of XML files. */
export function readDocumentTables(sources: readonly FormSource[]): Promise<Result<DocumentRow[]>> {
	return together(sources, (source) => asKind('documents', source, documentsOf(source)));
}

function customersOf({ text }: FormText): Result<CustomerRow[]> {
	const rows = parseTable(text, CUSTOMER_COLUMNS);
	return rows.ok ? readCustomers(rows.value) : rows;
}

function documentsOf({ text, file }: FormText): Result<DocumentRow[]> {
	if (text.trimStart().startsWith('<')) {
		const one = readDocumentUbl(text, file ?? '');
		return one.ok ? ok([one.value]) : one;
	}
	const rows = parseTable(text, DOCUMENT_COLUMNS);
	return rows.ok ? readDocuments(rows.value) : rows;
}

/** The rows of all sources, or every problem of any. */
async function together<T>(
	sources: readonly FormSource[],
	read: (source: FormText) => Result<T[]>
): Promise<Result<T[]>> {
	const rows: T[] = [];
	const problems: Problem[] = [];
	for (const source of sources) {
		const result = inFile(read(await textOfSource(source)), source.file);
		if (result.ok) for (const row of result.value) rows.push(row);
		else append(problems, result.problems);
	}
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(rows);
}
