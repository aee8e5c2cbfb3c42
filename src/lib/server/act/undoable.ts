import type { ActKind } from '../../core/model/act-facts';

/** Postings that are undone by turning them round; all but the first bring or take a receipt's own money. */
export const UNDOABLE_POSTINGS: readonly ActKind[] = [
	'allocate-credits',
	'allocate-receipt',
	'set-aside',
	'match-bank-entry',
	'match-bank-return',
	'book-unidentified'
];

/** Decisions that are no more than their parts: undone when these are. */
export const MADE_OF_PARTS: readonly ActKind[] = [
	'post-certain',
	'reallocate',
	'move-receipts',
	'put-on-account',
	'reinstate',
	'write-off-small-balances'
];

/** Whether an act of the kind can be undone, by itself or with its parts. */
export function isUndoable(kind: ActKind): boolean {
	return (
		UNDOABLE_POSTINGS.includes(kind) ||
		MADE_OF_PARTS.includes(kind) ||
		kind === 'undo-posting' ||
		kind === 'return-payment' ||
		kind === 'void-receipt'
	);
}
