import type { Problem } from '../problems';

/** What the rows of a table say, and what is wrong in those that say nothing that can be taken: each problem has its line. */
export interface RowsRead<T> {
	readonly rows: readonly T[];
	readonly problems: readonly Problem[];
}
