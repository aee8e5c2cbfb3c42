import type { Placeholder } from '../../core/7-letters/wording/placeholders';
import type { BuiltInWording } from '../../core/7-letters/wording/wording';
import type { WordingFault } from '../../core/7-letters/wording/check-wording';

/** What wordings that came with the application are called in lists. */
export const WORDING_NAMES: Readonly<Record<BuiltInWording, string>> = {
	statement: 'Statement',
	returned: 'Returned payment',
	'before-due': 'Before the due day',
	reminder: 'First reminder',
	'second-reminder': 'Second reminder',
	'final-demand': 'Final demand',
	thanks: 'Thanks for payment',
	copies: 'Copy documents',
	interest: 'Interest charged'
};

/** What each placeholder stands for. */
export const PLACEHOLDER_WORDS: Readonly<Record<Placeholder, string>> = {
	customer: 'name of the customer',
	contact: 'name of the contact, or of the customer',
	account: 'account code',
	firm: 'name of your firm',
	title: 'title of the letter',
	day: 'day of the letter',
	amount: 'amount asked for',
	overdue: 'amount overdue',
	deducted: 'that credit was deducted, where it was',
	count: 'number of items',
	numbers: 'numbers of the items',
	'days-late': 'days since the oldest fell due',
	reference: 'payment reference',
	shows: 'what the letter shows, in a sentence',
	'as-at': 'day of the statement',
	from: 'first day of the period',
	to: 'last day of the period',
	step: 'this step of chasing',
	'next-step': 'the step after it',
	'next-day': 'day of the step after it',
	'answer-by': 'day by which to answer',
	returned: 'amount returned',
	'paid-on': 'day it was paid',
	'returned-on': 'day it was returned',
	'returned-why': 'reason the bank gave',
	charge: 'charge for it',
	person: 'who sends the letter',
	'firm-phone': 'telephone of your firm',
	'firm-email': 'e-mail address of your firm',
	items: 'table of items',
	totals: 'aged totals',
	'how-to-pay': 'how to pay'
};

/** What is wrong with a text that is to be filled in. */
export function wordingFault({ why, what, near }: WordingFault): string {
	switch (why) {
		case 'unknown':
			return `${what} stands for nothing here${near ? `: did you mean {${near}}?` : '; choose one from the list.'}`;
		case 'not-closed':
			return 'A brace is opened here and never closed. Placeholders are written as in {customer}.';
		case 'not-opened':
			return 'A brace is closed here that was never opened. Placeholders are written as in {customer}.';
		case 'too-many':
			return 'There are more than 100 placeholders in one text.';
		case 'not-alone':
			return `${what} stands for a part of its own: give it a line to itself, in the text of the letter.`;
		default:
			return why satisfies never;
	}
}
