import type { HeldReason } from '../../core/7-letters/why-held';

const REASONS: Readonly<Record<HeldReason, string>> = {
	'nothing-owed': 'nothing is owed',
	'no-address': 'no address is kept',
	'money-waiting': 'receipts not allocated yet',
	paused: 'reminders are paused',
	'in-credit': 'the account is in credit',
	'credit-covers': 'credit on the account covers what is overdue',
	disputed: 'all of it is in dispute',
	promised: 'they promised to pay',
	'cheque-covers': 'a cheque with a later date covers it',
	'to-call': 'the next step is a call',
	'no-step': 'no step is due today',
	'too-small': 'too little for this step',
	'step-missed': 'this step should have gone long ago',
	'wants-none': 'they want no statements',
	'sent-today': 'one was sent today'
};

/** Why a letter is held, as a part of a sentence. */
export const heldReason = (reason: HeldReason): string => REASONS[reason];
