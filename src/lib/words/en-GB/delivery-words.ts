import { moment } from './format';

/** How a letter fares by mail. */
export const DELIVERY_WORDS = {
	waiting: 'waits',
	sending: 'on its way',
	sent: 'sent',
	refused: 'refused',
	failed: 'failed',
	paused: 'paused',
	withdrawn: 'withdrawn',
	paper: 'by post'
} as const;

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
	if (state === 'refused' || state === 'failed') return answer ?? '';
	if (state !== 'waiting' || nextAt === null) return '';
	return `Not taken for now, will be tried again ${moment(nextAt)}${answer ? `: ${answer}` : '.'}`;
}
