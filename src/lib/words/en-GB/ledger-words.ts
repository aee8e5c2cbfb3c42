import { DIFFERENCE_NAMES } from './difference-names';

const KINDS: Readonly<Record<string, string>> = {
	...DIFFERENCE_NAMES,
	settled_before: 'Settled before',
	claim: 'Claim',
	refund: 'To be paid back',
	returned: 'Returned',
	'return-payment': 'Returned',
	'undo-return': 'Return undone',
	moved: 'For another account',
	'allocate-credits': 'Credit allocated',
	invoice: 'Invoice',
	credit_note: 'Credit note',
	charge: 'Charge',
	'allocate-receipt': 'Receipt',
	'undo-posting': 'Undone'
};

/** What a line of a customer's ledger is called. */
export function ledgerWords(kind: string): string {
	return KINDS[kind] ?? kind;
}
