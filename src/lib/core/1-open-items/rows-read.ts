import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';

/** What the rows of a table say, and what is wrong in those that say nothing that can be taken: each problem has its line. */
export interface RowsRead<T> {
	readonly rows: readonly T[];
	readonly problems: readonly Problem[];
}

/** So many problems tell what is wrong with a file. */
const MOST = 50;

/** All rows, or what is wrong with some of them. */
export function allOrProblems<T>({ rows, problems }: RowsRead<T>): Result<readonly T[]> {
	return problems.length > 0 ? err(...problems.slice(0, MOST)) : ok(rows);
}
