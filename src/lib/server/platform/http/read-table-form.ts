import type { TableKind } from '../../../core/1-columns/fields';
import { append } from '../../../core/append';
import { readCustomers, type CustomerRow } from '../../../core/1-open-items/read-customers';
import type { DocumentRow } from '../../../core/1-open-items/document-row';
import { readDocumentUbl } from '../../../core/1-open-items/read-document-ubl';
import { readDocuments } from '../../../core/1-open-items/read-documents';
import type { TableRow } from '../../../core/model/table-row';
import type { Problem } from '../../../core/problems';
import { err, ok, type Result } from '../../../core/result';
import { readOwnTable } from '../../../tables/read-own-table';
import { isAsking, type TableAnswer, type TableSeen } from '../../../tables/table-seen';
import { asKind, inFile, textOfSource, type FormSource, type FormText } from './read-form-text';

/** Files and pasted rows, and what is known of how to read them. */
export interface TablesGiven {
	readonly sources: readonly FormSource[];
	/** What was said of tables with such headings, the latest first. */
	readonly answers: readonly TableAnswer[];
	/** Of rows where no column says their currency. */
	readonly currency: string;
}

/** Rows of tables, how each table was understood, and what is wrong. No rows while a table asks something. */
export interface TablesRead<T> {
	readonly rows: readonly T[];
	readonly tables: readonly TableSeen[];
	readonly problems: readonly Problem[];
}

/** Customers of tables: files, or rows pasted from a spreadsheet with their headings. */
export function readCustomerTables(given: TablesGiven): Promise<TablesRead<CustomerRow>> {
	return together(given, 'customers', () => null, readCustomers);
}

/** Documents of tables, or of XML files. */
export function readDocumentTables(given: TablesGiven): Promise<TablesRead<DocumentRow>> {
	return together(given, 'documents', documentOfXml, readDocuments);
}

function documentOfXml({ text, file }: FormText): Result<DocumentRow> | null {
	return text.trimStart().startsWith('<') ? readDocumentUbl(text, file ?? '') : null;
}

/** The rows of all sources, or every problem of any. */
async function together<T>(
	{ sources, answers, currency }: TablesGiven,
	kind: TableKind,
	readXml: (source: FormText) => Result<T> | null,
	read: (rows: readonly TableRow[]) => Result<T[]>
): Promise<TablesRead<T>> {
	const rows: T[] = [];
	const tables: TableSeen[] = [];
	const problems: Problem[] = [];
	const readOne = (source: FormText): Result<readonly T[]> => {
		const xml = readXml(source);
		if (xml) return xml.ok ? ok([xml.value]) : xml;
		const table = readOwnTable(kind, source, answers, currency);
		if (!table.ok) return table;
		const { seen, rows: own, problems: faults } = table.value;
		tables.push(seen);
		const rest = read(own);
		if (faults.length === 0) return rest;
		return err(...faults, ...(rest.ok ? [] : rest.problems));
	};
	for (const given of sources) {
		const source = await textOfSource(given);
		const result = inFile(asKind(kind, source, readOne(source)), source.file);
		if (result.ok) for (const row of result.value) rows.push(row);
		else append(problems, result.problems);
	}
	const isWhole = problems.length === 0 && !tables.some(isAsking);
	return { rows: isWhole ? rows : [], tables, problems: problems.slice(0, 50) };
}
