import type { EntryDoubt } from '../model/entry-doubt';
import type { Problem } from '../problems';

/** The entries of which problems ask whether they are in the books already. */
export const doubtsOf = (problems: readonly Problem[]): readonly EntryDoubt[] =>
	problems.flatMap((problem) => (problem.code === 'entries-doubtful' ? problem.doubts : []));
