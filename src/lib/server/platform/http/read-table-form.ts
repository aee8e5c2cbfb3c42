import type { AskedKind } from '../../../core/model/asked-kind';
import type { GridRow } from '../../../core/1-columns/read-grid-rows';
import type { RowsRead } from '../../../core/1-open-items/rows-read';
import { append } from '../../../core/append';
import { readCustomerRows, type CustomerRow } from '../../../core/1-open-items/read-customers';
import type { DocumentRow } from '../../../core/1-open-items/document-row';
import { readDocumentUbl } from '../../../core/1-open-items/read-document-ubl';
import { readDocumentRows } from '../../../core/1-open-items/read-documents';
import { readHistoryRows, type HistoryRow } from '../../../core/1-open-items/read-history';
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

/** A row of a table that cannot be taken. */
export interface RefusedRow {
	/** Which of the tables it is of. */
	readonly table: number;
	readonly line: number;
	readonly problem: Problem;
}

/** Rows of tables, how each table was understood, and what is wrong. No rows while a table asks something. */
export interface TablesRead<T> {
	readonly rows: readonly T[];
	/** Which of the tables each row is of; null for what came in a file of its own. */
	readonly tableOf: readonly (number | null)[];
	readonly tables: readonly TableSeen[];
	/** The rows of each table as they stand there. */
	readonly grids: readonly (readonly GridRow[])[];
	readonly refused: readonly RefusedRow[];
	/** What is wrong with a file, and not with one of its rows. */
	readonly problems: readonly Problem[];
}

/** Customers of tables: files, or rows pasted from a spreadsheet with their headings. */
export function readCustomerTables(given: TablesGiven): Promise<TablesRead<CustomerRow>> {
	return together(given, 'customers', () => null, readCustomerRows);
}

/** Payments of a history, of tables. */
export function readHistoryTables(given: TablesGiven): Promise<TablesRead<HistoryRow>> {
	return together(given, 'history', () => null, readHistoryRows);
}

/** Documents of tables, or of XML files. */
export function readDocumentTables(given: TablesGiven): Promise<TablesRead<DocumentRow>> {
	return together(given, 'documents', documentOfXml, readDocumentRows);
}

function documentOfXml({ text, file }: FormText): Result<DocumentRow> | null {
	return text.trimStart().startsWith('<') ? readDocumentUbl(text, file ?? '') : null;
}

/** The rows of all sources, those that cannot be taken, and what is wrong with whole files. */
async function together<T>(
	{ sources, answers, currency }: TablesGiven,
	kind: AskedKind,
	readXml: (source: FormText) => Result<T> | null,
	read: (rows: readonly TableRow[]) => RowsRead<T>
): Promise<TablesRead<T>> {
	const rows: T[] = [];
	const tableOf: (number | null)[] = [];
	const tables: TableSeen[] = [];
	const grids: (readonly GridRow[])[] = [];
	const refused: RefusedRow[] = [];
	const problems: Problem[] = [];
	const readOne = (
		source: FormText
	): Result<{ readonly rows: readonly T[]; readonly table: number | null }> => {
		const xml = readXml(source);
		if (xml) return xml.ok ? ok({ rows: [xml.value], table: null }) : xml;
		const opened = readOwnTable(kind, source, answers, currency);
		if (!opened.ok) return opened;
		const { seen, rows: own, grid, problems: ambiguous } = opened.value;
		const found = read(own);
		const faults = [...ambiguous, ...found.problems];
		// A table of which no row can be taken may be something else.
		if (found.rows.length === 0 && faults[0]) {
			const other = asKind(kind, source, err(faults[0]));
			if (!other.ok && other.problems[0]!.code === 'other-file') return other;
		}
		const table = tables.push(seen) - 1;
		grids.push(grid);
		const where = source.file === null ? {} : { file: source.file };
		for (const one of faults)
			refused.push({ table, line: ('line' in one && one.line) || 0, problem: { ...one, ...where } });
		return ok({ rows: found.rows, table });
	};
	for (const given of sources) {
		const source = await textOfSource(given);
		const result = source.ok ? inFile(asKind(kind, source.value, readOne(source.value)), given.file) : source;
		if (!result.ok) append(problems, result.problems);
		else {
			append(rows, result.value.rows);
			for (const _ of result.value.rows) tableOf.push(result.value.table);
		}
	}
	const isWhole = problems.length === 0 && !tables.some(isAsking);
	return {
		...(isWhole ? { rows, tableOf } : { rows: [], tableOf: [] }),
		...{ tables, grids, refused, problems: problems.slice(0, 50) }
	};
}
