/** Where a receipt may stand. */
export const RECEIPT_STATES = [
	/** In the pile. */
	'waiting',
	/** In the pile, put by with a note. */
	'held',
	/** Allocated beyond somebody's limits: a supervisor is asked, and nobody else may take it. */
	'in_approval',
	'allocated',
	/** Posted to a ledger account: not customer money. */
	'set_aside',
	/** Its parts are receipts of their own. */
	'split',
	/** A part that was joined again. */
	'withdrawn',
	/** The bank's entry for what was recorded before: the same money, counted once. */
	'matched',
	/** Recorded by mistake: it never was money. */
	'voided'
] as const;
export type ReceiptState = (typeof RECEIPT_STATES)[number];

/** From which states what is done with a receipt may start, and where it then stands; `same` leaves it where it is. */
const MOVES = {
	hold: { from: ['waiting', 'held'], to: 'held' },
	release: { from: ['waiting', 'held'], to: 'waiting' },
	ask: { from: ['waiting', 'held'], to: 'in_approval' },
	/** The supervisor agreed: it is allocated in the same transaction. */
	agree: { from: ['in_approval'], to: 'waiting' },
	/** The supervisor did not agree: it is held with what was allocated on it and why not. */
	refuse: { from: ['in_approval'], to: 'held' },
	/** Whoever asked asks no longer: it waits with what was allocated on it. */
	withdraw_request: { from: ['in_approval'], to: 'waiting' },
	allocate: { from: ['waiting', 'held'], to: 'allocated' },
	set_aside: { from: ['waiting', 'held'], to: 'set_aside' },
	match: { from: ['waiting', 'held'], to: 'matched' },
	split: { from: ['waiting', 'held'], to: 'split' },
	/** A part goes back into the entry that it was split from. */
	withdraw: { from: ['waiting', 'held'], to: 'withdrawn' },
	join: { from: ['split'], to: 'waiting' },
	void: { from: ['waiting', 'held'], to: 'voided' },
	restore: { from: ['voided'], to: 'waiting' },
	book_unidentified: { from: ['waiting', 'held'], to: 'same' },
	undo: { from: ['allocated', 'set_aside', 'matched'], to: 'waiting' },
	undo_unidentified: { from: ['waiting', 'held'], to: 'waiting' },
	/** Some of it came back, or came back no more. */
	return: { from: ['allocated'], to: 'same' },
	undo_return: { from: ['allocated'], to: 'same' }
} as const satisfies Record<
	string,
	{ readonly from: readonly ReceiptState[]; readonly to: ReceiptState | 'same' }
>;
export type ReceiptMove = keyof typeof MOVES;
export const RECEIPT_MOVES = Object.keys(MOVES) as readonly ReceiptMove[];

/** Where a receipt stands after a move; null where the move is not allowed from where it stands. */
export function stateAfter(state: ReceiptState, move: ReceiptMove): ReceiptState | null {
	const { from, to }: { from: readonly ReceiptState[]; to: ReceiptState | 'same' } = MOVES[move];
	if (!from.includes(state)) return null;
	return to === 'same' ? state : to;
}

/** Whether it lies in the pile and may be taken. */
export function isWaiting(state: ReceiptState): boolean {
	return stateAfter(state, 'allocate') !== null;
}
