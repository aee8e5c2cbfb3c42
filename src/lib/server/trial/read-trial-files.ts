import type { ReadStatement } from '../../core/1-bank-files/read-statement';
import type { AskedKind } from '../../core/model/asked-kind';
import type { DocumentRow } from '../../core/1-open-items/document-row';
import type { CustomerRow } from '../../core/1-open-items/read-customers';
import type { HistoryRow } from '../../core/1-open-items/read-history';
import type { Problem } from '../../core/problems';
import { append } from '../../core/append';
import { readBankTable } from '../../tables/read-bank-table';
import { openOwnTable } from '../../tables/read-own-table';
import { isAsking, type TableAnswer, type TableSeen } from '../../tables/table-seen';
import { HEAD_BYTES, recogniseFile } from '../../tables/recognise-file';
import type { FileKind } from '../../core/model/file-kind';
import { partsOfContent, type FileContent } from '../platform/files/file-content';
import { textOfSource, type FormSource } from '../platform/http/read-form-text';
import {
	readCustomerTables,
	readDocumentTables,
	readHistoryTables,
	type TablesRead
} from '../platform/http/read-table-form';
import { bankFilesWithin, type FileGiven } from '../receipts/store/bank-files-within';
import { readBankFile } from '../receipts/store/read-bank-file';

/** The files of a trial run, and how to read those that are tables. */
export interface TrialFiles {
	readonly customers: FormSource;
	readonly invoices: FormSource;
	readonly bank: readonly FormSource[];
	readonly history: FormSource | null;
	/** What was said of tables with such headings, the latest first. */
	readonly answers: Readonly<Record<AskedKind, readonly TableAnswer[]>>;
	/** Of rows and bank tables where nothing says their currency. */
	readonly currency: string;
}

/** A table as it was understood. */
export interface TrialTable {
	readonly kind: AskedKind;
	readonly seen: TableSeen;
}

/** What the files say; nothing in them while a table asks something or anything is wrong. */
export interface TrialRead {
	readonly customers: readonly CustomerRow[];
	readonly documents: readonly DocumentRow[];
	readonly history: readonly HistoryRow[];
	readonly statements: readonly ReadStatement[];
	readonly tables: readonly TrialTable[];
	/** With the file, and the line where it is of one. */
	readonly problems: readonly Problem[];
}

/** The kinds of files that are read as a bank's own table of entries. */
const BANK_TABLES: readonly FileKind[] = ['bank-table', 'other-table', 'spreadsheet'];

/** Reads what a trial run is of: tables with a firm's own headings, and bank files of any format. */
export async function readTrialFiles(files: TrialFiles): Promise<TrialRead> {
	const problems: Problem[] = [];
	const tables: TrialTable[] = [];
	const rowsOf = async <T>(
		kind: AskedKind,
		source: FormSource | null,
		read: (given: Parameters<typeof readCustomerTables>[0]) => Promise<TablesRead<T>>
	): Promise<readonly T[]> => {
		if (!source) return [];
		const { rows, ...found } = await read({
			sources: [source],
			answers: files.answers[kind],
			currency: files.currency
		});
		append(
			tables,
			found.tables.map((seen) => ({ kind, seen }))
		);
		append(problems, found.problems);
		append(
			problems,
			found.refused.map(({ problem }) => problem)
		);
		return rows;
	};
	const customers = await rowsOf('customers', files.customers, readCustomerTables);
	const documents = await rowsOf('documents', files.invoices, readDocumentTables);
	const history = await rowsOf('history', files.history, readHistoryTables);
	const statements: ReadStatement[] = [];
	for (const source of files.bank) {
		for (const read of await readStatements(source, files)) {
			if (read.seen) tables.push({ kind: 'bank-table', seen: read.seen });
			append(problems, read.problems);
			append(statements, read.statements);
		}
	}
	const isWhole = problems.length === 0 && !tables.some(({ seen }) => isAsking(seen));
	return {
		...(isWhole
			? { customers, documents, history, statements }
			: { customers: [], documents: [], history: [], statements: [] }),
		...{ tables, problems: problems.slice(0, 50) }
	};
}

interface StatementsRead {
	readonly statements: readonly ReadStatement[];
	/** How it was understood, where it is a table. */
	readonly seen: TableSeen | null;
	readonly problems: readonly Problem[];
}

/** A bank's file in any format, an archive of some, or the bank's own table. */
async function readStatements(
	{ file, content }: FormSource,
	given: TrialFiles
): Promise<readonly StatementsRead[]> {
	const bytes = typeof content === 'string' ? new TextEncoder().encode(content) : content;
	const files = await bankFilesWithin({ name: file ?? 'pasted rows', content: bytes });
	if (!files.ok) return [nothing(files.problems, file)];
	const found: StatementsRead[] = [];
	for (const one of files.value) {
		if (BANK_TABLES.includes(await kindOf(one.content))) found.push(await readTableOfBank(one, given));
		else {
			const read = await readBankFile(one.name, partsOfContent(one.content));
			found.push(
				read.ok
					? { statements: read.value.statements, seen: null, problems: [] }
					: nothing(read.problems, one.name)
			);
		}
	}
	return found;
}

function nothing(problems: readonly Problem[], file: string | null): StatementsRead {
	const named = file === null ? problems : problems.map((one) => ({ ...one, file }));
	return { statements: [], seen: null, problems: named };
}

async function kindOf(content: FileContent): Promise<FileKind> {
	for await (const chunk of partsOfContent(content)) return recogniseFile(chunk.subarray(0, HEAD_BYTES));
	return 'empty';
}

async function readTableOfBank(
	{ name, content }: FileGiven,
	{ answers, currency }: TrialFiles
): Promise<StatementsRead> {
	const text = await textOfSource({ file: name, content });
	const opened = text.ok ? openOwnTable('bank-table', text.value, answers['bank-table']) : text;
	if (!opened.ok) return nothing(opened.problems, name);
	const said = opened.value.seen.answer?.currency ?? currency;
	const { seen, statement, problems } = readBankTable(opened.value, { number: null, currency: said });
	return { ...nothing(problems, name), statements: statement ? [statement] : [], seen };
}
