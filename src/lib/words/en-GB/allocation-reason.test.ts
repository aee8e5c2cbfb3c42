import { expect, it, test } from 'vitest';
import { allocationReasonSentence, reasonsOfRecord } from './allocation-reason';

test.each([
	[
		{ code: 'recorded-by-hand', by: 'Wren', method: 'cheque', reference: '101' } as const,
		'Recorded by hand by Wren: cheque 101.'
	],
	[{ code: 'written-off', note: '' } as const, 'Written off with other small balances.'],
	[{ code: 'written-off', note: 'too small to ask for' } as const, 'too small to ask for'],
	[{ code: 'not-as-proposed' } as const, 'Allocated otherwise than was proposed.'],
	['As an earlier version wrote it.', 'As an earlier version wrote it.']
])('%o is why it was allocated', (reason, want) => {
	expect(allocationReasonSentence(reason)).toBe(want);
	expect(reasonsOfRecord(JSON.stringify({ reasons: [reason] }))).toEqual([want]);
});
it('a record without reasons has none', () => expect(reasonsOfRecord('{}')).toEqual([]));
