import fc from 'fast-check';
import { expect, it, test } from 'vitest';
import { isWaiting, RECEIPT_MOVES, RECEIPT_STATES, stateAfter, type ReceiptState } from './receipt-life';

test.each<[ReceiptState, string]>([
	[
		'waiting',
		'allocate>allocated ask>in_approval book_unidentified>waiting hold>held match>matched release>waiting set_aside>set_aside split>split undo_unidentified>waiting void>voided withdraw>withdrawn'
	],
	[
		'held',
		'allocate>allocated ask>in_approval book_unidentified>held hold>held match>matched release>waiting set_aside>set_aside split>split undo_unidentified>waiting void>voided withdraw>withdrawn'
	],
	['in_approval', 'agree>waiting refuse>held withdraw_request>waiting'],
	['allocated', 'return>allocated undo>waiting undo_return>allocated'],
	['set_aside', 'undo>waiting'],
	['split', 'join>waiting'],
	['withdrawn', ''],
	['voided', 'restore>waiting'],
	['matched', 'undo>waiting']
])('what may be done with a receipt that is %s', (state, want) => {
	const moves = RECEIPT_MOVES.flatMap((move) => {
		const to = stateAfter(state, move);
		return to === null ? [] : [`${move}>${to}`];
	});
	expect(moves.sort().join(' ')).toBe(want);
});

it('only the pile can be taken from, and every state but one can be left again', () => {
	expect(RECEIPT_STATES.filter(isWaiting)).toEqual(['waiting', 'held']);
	const dead = RECEIPT_STATES.filter((state) =>
		RECEIPT_MOVES.every((move) => [null, state].includes(stateAfter(state, move)))
	);
	expect(dead).toEqual(['withdrawn']);
});

it('whatever is done in turn, it stands in a state that is one', () => {
	fc.assert(
		fc.property(fc.array(fc.constantFrom(...RECEIPT_MOVES)), (moves) => {
			const end = moves.reduce<ReceiptState>((state, move) => stateAfter(state, move) ?? state, 'waiting');
			expect(RECEIPT_STATES).toContain(end);
		})
	);
});
