import type { StepEffect, StepWay } from '../../core/7-letters/chasing/policy';
import type { CallOutcome } from '../../core/model/call-outcome';
import { count } from './format';

/** How a step is taken, as a choice. */
export const STEP_WAY_WORDS: Readonly<Record<StepWay, string>> = {
	usual: 'as each is reached',
	mail: 'by e-mail',
	paper: 'by post',
	both: 'by e-mail and post',
	phone: 'by telephone'
};

/** What follows from a step, as a choice. */
export const STEP_EFFECT_WORDS: Readonly<Record<StepEffect, string>> = {
	nothing: 'nothing more',
	interest: 'interest is charged',
	'hold-deliveries': 'deliveries are held',
	'hand-over': 'handed over for collection'
};

/** What came of a call. */
export const CALL_OUTCOME_WORDS: Readonly<Record<CallOutcome, string>> = {
	promise: 'promised to pay',
	dispute: 'disputes an item',
	again: 'to be called again',
	'no-answer': 'no answer',
	said: 'spoken to'
};

/** When a step is taken. */
export function stepDayWords({
	after,
	days
}: {
	readonly after: 'due' | 'step';
	readonly days: number;
}): string {
	if (after === 'step') return `${count(days, 'day')} after the step before`;
	if (days === 0) return 'on the due day';
	return days < 0 ? `${count(-days, 'day')} before the due day` : `${count(days, 'day')} after the due day`;
}

/** When somebody is thanked. */
export const thanksDayWords = (days: number): string =>
	days === 0 ? 'on the day of the payment' : `${count(days, 'day')} after the payment`;
