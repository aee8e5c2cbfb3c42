import { append } from '../../core/append';
import { CUSTOMER_COLUMNS, readCustomers } from '../../core/1-open-items/read-customers';
import { DOCUMENT_COLUMNS, readDocuments } from '../../core/1-open-items/read-documents';
import { HISTORY_COLUMNS, readHistory } from '../../core/1-open-items/read-history';
import type { ReadStatement } from '../../core/1-bank-files/read-statement';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import type { TableRow } from '../../core/model/table-row';
import { parseTable } from '../../tables/parse-table';
import { partsOfContent, readContent, type FileContent } from '../platform/files/file-content';
import { decodeText } from '../platform/files/decode-text';
import { readBankFile } from '../receipts/store/read-bank-file';
import { runTrial, type TrialReceipt, type Trial } from './run-trial';

/** A file as it came. */
export interface GivenFile {
	readonly name: string;
	readonly content: FileContent;
}

export interface TrialFiles {
	readonly customers: GivenFile;
	readonly invoices: GivenFile;
	readonly bank: readonly GivenFile[];
	readonly history: GivenFile | null;
}

export interface Tried {
	readonly summary: Omit<Trial['summary'], 'seconds'>;
	readonly receipts: readonly TrialReceipt[];
	readonly customers: number;
	readonly documents: number;
}

/** Reads the files of a trial run and answers it; everything that is wrong in any of them, with file and line. */
export async function tryFiles(files: TrialFiles): Promise<Result<Tried>> {
	const problems: Problem[] = [];
	const named = <T>(result: Result<T>, file: GivenFile): T | null => {
		if (result.ok) return result.value;
		append(
			problems,
			result.problems.map((one) => ({ ...one, file: file.name }))
		);
		return null;
	};
	const table = async <T>(
		file: GivenFile,
		columns: readonly string[],
		read: (rows: readonly TableRow[]) => Result<T>
	): Promise<T | null> => {
		const rows = parseTable(decodeText(await readContent(file.content)), columns);
		return named(rows.ok ? read(rows.value) : rows, file);
	};
	const customers = await table(files.customers, CUSTOMER_COLUMNS, readCustomers);
	const documents = await table(files.invoices, DOCUMENT_COLUMNS, readDocuments);
	const history = files.history ? await table(files.history, HISTORY_COLUMNS, readHistory) : [];
	const statements: ReadStatement[] = [];
	for (const file of files.bank) {
		const read = named(await readBankFile(file.name, partsOfContent(file.content)), file);
		if (read) append(statements, read.statements);
	}
	if (!customers || !documents || !history || problems.length > 0) return err(...problems.slice(0, 50));
	const trial = runTrial({ customers, documents, statements, history });
	if (!trial.ok) return trial;
	return ok({ ...trial.value, customers: customers.length, documents: documents.length });
}
