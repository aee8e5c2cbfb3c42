import { OUT_OF_BOUNDS } from './triggers';

/** Whether the database refused a row for an amount or a day that is beyond what any may be. */
export function isOutOfBounds(error: unknown): boolean {
	for (
		let one = error as { message?: unknown; cause?: unknown } | undefined;
		one;
		one = one.cause as typeof one
	)
		if (typeof one.message === 'string' && one.message.includes(OUT_OF_BOUNDS)) return true;
	return false;
}
