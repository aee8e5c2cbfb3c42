import type { Problem } from '../../core/problems';

/** What came of bringing in the rows of a table. */
export interface BroughtIn {
	readonly added: number;
	/** Those of which something was changed. */
	readonly changed?: number;
	readonly skipped: number;
}

/** What would become of a row that can be taken. */
export type Fate = 'new' | 'changes' | 'same';

/** What would become of one row of a table, or why it cannot be taken. */
export interface PreviewRow {
	/** The file that it came in, where each has its own. */
	readonly file?: string | undefined;
	readonly line: number;
	readonly label: string;
	readonly text: string;
	readonly fate: Fate;
	/** What would be changed, in words. */
	readonly why: string;
	/** Why it cannot be taken; the others can be. */
	readonly refused?: Problem | undefined;
	/** What somebody should look at before it is brought in, in words; it stops nothing. */
	readonly look?: string | undefined;
}

/** So many problems tell what is wrong. */
const MOST = 50;

/** Why rows cannot be taken, the first of them. */
export function refusalsOf(rows: readonly PreviewRow[]): Problem[] {
	return rows.flatMap(({ refused }) => refused ?? []).slice(0, MOST);
}

/** That what the books have under a name is not as a row says. */
export function differsProblem(what: string, label: string, why: string, line: number): Problem {
	return { code: 'differs', what: `${what} ${label}`, why, line };
}
