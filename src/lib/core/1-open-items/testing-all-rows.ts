import type { TableRow } from '../model/table-row';
import { err, ok, type Result } from '../result';
import { readCustomerRows } from './read-customers';
import { readDocumentRows } from './read-documents';
import { readHistoryRows } from './read-history';
import type { RowsRead } from './rows-read';

/** Rows of which tests expect that all can be taken, or what is wrong with some of them. */
const allOf =
	<T>(read: (rows: readonly TableRow[]) => RowsRead<T>) =>
	(given: readonly TableRow[]): Result<readonly T[]> => {
		const { rows, problems } = read(given);
		return problems.length > 0 ? err(...problems) : ok(rows);
	};

export const readCustomers = allOf(readCustomerRows);
export const readDocuments = allOf(readDocumentRows);
export const readHistory = allOf(readHistoryRows);
