/**
 * What may be put before a supervisor: postings that lower what customers owe without money, have money paid out, or take it
 * away, where they go beyond the person's limits; and what takes two people, whatever the sum.
 */
export const LIMITED_ACTS = [
	'allocate-receipt',
	'decide-claims',
	'write-off-small-balances',
	'issue-by-hand',
	'bring-in-documents',
	'set-aside'
] as const;

/** What takes a second person, whoever asks: it decides who may do what, or where money goes. */
export const TWO_PERSON_ACTS = [
	'make-refund-file',
	'add-bank-account',
	'set-limits',
	'add-person',
	'change-role',
	'make-sign-in-code',
	'take-off-second-factors',
	'demand-second-factor',
	'unlock-period',
	'set-bank-files',
	'set-auditor',
	'set-letters',
	'set-mail-server'
] as const;

export const APPROVAL_KINDS = [...LIMITED_ACTS, ...TWO_PERSON_ACTS] as const;
export type ApprovalKind = (typeof APPROVAL_KINDS)[number];
export type TwoPersonAct = (typeof TWO_PERSON_ACTS)[number];
