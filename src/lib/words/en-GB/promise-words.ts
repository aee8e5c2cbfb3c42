import type { PromiseState } from '../../core/6-reports/promise-states';

/** How a promise to pay stands. */
export const PROMISE_WORDS: Readonly<Record<PromiseState, string>> = {
	open: 'waits',
	kept: 'kept',
	kept_late: 'kept late',
	part_kept: 'kept in part',
	broken: 'broken'
};
