import { expect, it, test } from 'vitest';
import { CLAIM_MOVES, claimAfter, decisionOf, type ClaimState } from './claim-life';

test.each<[ClaimState, string]>([
	['open', 'allow>allowed bill_back>billed_back change>open withdraw>withdrawn write_off>written_off'],
	['allowed', 'reopen>open'],
	['billed_back', 'reopen>open'],
	['written_off', 'reopen>open'],
	['withdrawn', '']
])('what may be done with a claim that is %s', (state, want) => {
	const moves = CLAIM_MOVES.flatMap((move) => {
		const to = claimAfter(state, move);
		return to === null ? [] : [`${move}>${to}`];
	});
	expect(moves.sort().join(' ')).toBe(want);
});

it.each([
	[{ allow: 5, billBack: 3, writeOff: 2 }, 'allow'],
	[{ allow: 0, billBack: 3, writeOff: 2 }, 'bill_back'],
	[{ allow: 0, billBack: 1, writeOff: 2 }, 'write_off'],
	[{ allow: 2, billBack: 2, writeOff: 2 }, 'allow']
])('a decision in parts is called by most of it', (parts, want) => expect(decisionOf(parts)).toBe(want));
