import type { HeldReason } from '../../core/7-letters/why-held';

const REASONS: Readonly<Record<HeldReason, string>> = {
	'nothing-owed': 'nothing is owed',
	'no-address': 'no address is kept',
	'money-waiting': 'receipts not allocated yet',
	paused: 'reminders are paused',
	'in-credit': 'the account is in credit',
	'credit-covers': 'credit on the account covers what is overdue',
	disputed: 'all of it is in dispute',
	'wants-none': 'they want no statements',
	'sent-today': 'one was sent today'
};

/** Why a letter is held, as a part of a sentence. */
export const heldReason = (reason: HeldReason): string => REASONS[reason];
