import { readBankRows, type OwnAccount } from '../core/1-bank-files/read-bank-rows';
import type { ReadStatement } from '../core/1-bank-files/read-statement';
import type { Problem } from '../core/problems';
import { readOpenedTable, type OpenedTable } from './read-own-table';
import { isAsking, type TableSeen } from './table-seen';

export interface OwnBankTable {
	readonly seen: TableSeen;
	/** None while something has to be said first, or is wrong. */
	readonly statement: ReadStatement | null;
	readonly problems: readonly Problem[];
}

/** Reads a bank's own table of entries, once it is opened, as a statement of one account. */
export function readBankTable(opened: OpenedTable, account: OwnAccount): OwnBankTable {
	const { seen, rows, problems } = readOpenedTable(opened, account.currency);
	if (isAsking(seen)) return { seen, statement: null, problems: [] };
	const read = readBankRows(rows, account);
	if (!read.ok) return { seen, statement: null, problems: [...problems, ...read.problems].slice(0, 50) };
	const leftOut = [...seen.leftOut, ...read.value.leftOut].sort((a, b) => a - b);
	return {
		seen: { ...seen, leftOut },
		statement: problems.length > 0 ? null : read.value.statement,
		problems
	};
}
