import type { ReportedAction } from '../../core/7-letters/returned/read-delivery-status';
import { moment } from './format';

/** How a letter fares by mail. */
export const DELIVERY_WORDS = {
	waiting: 'waits',
	sending: 'on its way',
	sent: 'sent',
	refused: 'refused',
	failed: 'failed',
	undelivered: 'not delivered',
	paused: 'paused',
	withdrawn: 'withdrawn',
	paper: 'by post'
} as const;

/** What a mail server reported of a letter. */
export const REPORT_WORDS: Readonly<Record<ReportedAction, string>> = {
	failed: 'not delivered',
	delayed: 'delayed, still being tried',
	delivered: 'delivered',
	relayed: 'passed on to another server',
	expanded: 'passed on to several people'
};

/** Whether a letter was not taken, or was taken and not delivered: somebody has to see to it. */
export function didNotArrive(state: keyof typeof DELIVERY_WORDS | null): boolean {
	return state === 'refused' || state === 'failed' || state === 'undelivered';
}

/** What more is to be said of a letter that the mail server did not take; nothing where it did, or was not asked. */
export function deliverySays({
	state,
	answer,
	nextAt
}: {
	readonly state: keyof typeof DELIVERY_WORDS | null;
	readonly answer: string | null;
	readonly nextAt: string | null;
}): string {
	if (didNotArrive(state)) return answer ?? '';
	if (state !== 'waiting' || nextAt === null) return '';
	return `Not taken for now, will be tried again ${moment(nextAt)}${answer ? `: ${answer}` : '.'}`;
}
