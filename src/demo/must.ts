import type { Result } from '../lib/core/result';

/** What an act of the demo gives; the demo books are never refused, so that is a bug. */
export async function must<T>(work: Promise<Result<T>>): Promise<T> {
	const result = await work;
	if (!result.ok) throw new Error(`the demo books were refused: ${JSON.stringify(result.problems)}`);
	return result.value;
}
