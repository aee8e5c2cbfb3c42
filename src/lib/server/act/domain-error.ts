import type { Problem } from '../../core/problems';

/** Thrown within a transaction to take it back; turned into problems outside. */
export class DomainError extends Error {
	readonly problems: readonly Problem[];
	constructor(...problems: readonly Problem[]) {
		super(`refused: ${problems.map((problem) => problem.code).join(', ')}`);
		this.problems = problems;
	}
}
