import { DIFFERENCE_NAMES } from './difference-names';

const KINDS: Readonly<Record<string, string>> = {
	...DIFFERENCE_NAMES,
	settled_before: 'Settled before',
	claim: 'Claim',
	refund: 'To be paid back',
	returned: 'Came back',
	'return-payment': 'Came back',
	'undo-return': 'Did not come back',
	moved: 'For another account',
	'place-credits': 'Credit placed',
	invoice: 'Invoice',
	credit_note: 'Credit note',
	charge: 'Charge',
	'place-receipt': 'Receipt',
	'undo-placing': 'Taken back'
};

/** What a line of a customer's ledger is called. */
export function ledgerWords(kind: string): string {
	return KINDS[kind] ?? kind;
}
