import type { Day } from '../../core/day/day';
import type { Problem } from '../../core/problems';
import { err, ok, type Result } from '../../core/result';
import { isAsking } from '../../tables/table-seen';
import { readTrialFiles, type TrialFiles, type TrialTable } from './read-trial-files';
import { runTrial, type Trial, type TrialReceipt } from './run-trial';

/** What a trial run answers. */
export interface Answered {
	readonly summary: Omit<Trial['summary'], 'seconds'>;
	readonly receipts: readonly TrialReceipt[];
	readonly customers: number;
	readonly documents: number;
}

export interface Tried {
	/** How the tables were understood. */
	readonly tables: readonly TrialTable[];
	/** None while a table asks how it is to be read. */
	readonly answered: Answered | null;
	/** What is wrong elsewhere, meanwhile. */
	readonly problems: readonly Problem[];
}

/** On what day a trial run stands, and what currency the books would be kept in. */
export interface TrialTerms {
	/** What was settled after it can teach nothing. */
	readonly today?: Day;
	/** The commonest of the customers where nobody says. */
	readonly baseCurrency?: string;
}

/** Reads the files of a trial run and answers it; everything that is wrong in any of them, with file and line. */
export async function tryFiles(files: TrialFiles, terms: TrialTerms = {}): Promise<Result<Tried>> {
	const { tables, problems, customers, documents, statements, ...read } = await readTrialFiles(files);
	// A table that asks is not refused with what it says until it is known how to read it.
	if (tables.some(({ seen }) => isAsking(seen))) return ok({ tables, answered: null, problems });
	if (problems.length > 0) return err(...problems);
	const { today, baseCurrency } = terms;
	const history = today ? read.history.filter((one) => one.date <= today) : read.history;
	const named = { customers: files.customers.file ?? undefined, documents: files.invoices.file ?? undefined };
	const trial = runTrial({ customers, documents, statements, history, baseCurrency, named });
	if (!trial.ok) return trial;
	const counts = { customers: customers.length, documents: documents.length };
	return ok({ tables, answered: { ...trial.value, ...counts }, problems: [] });
}
