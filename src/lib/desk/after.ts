import type { ActionResult } from '@sveltejs/kit';

/** What follows an act: says what was done, and goes on to the next receipt where that is wanted. */
export type After = (
	said: string,
	goOn?: boolean
) => (turn: {
	result: ActionResult;
	update: (options: { reset: boolean; invalidateAll: boolean }) => Promise<void>;
}) => Promise<void>;
