import type { Problem } from './problems';

/** What came of an attempt that may go wrong in use: a value, or every problem found, never both. */
export type Result<T> =
	{ readonly ok: true; readonly value: T } | { readonly ok: false; readonly problems: readonly Problem[] };

export function ok<T>(value: T): Result<T> {
	return { ok: true, value };
}

export function err(...problems: Problem[]): Result<never> {
	return { ok: false, problems };
}
