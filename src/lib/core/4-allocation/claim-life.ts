/** Where a claim may stand. */
export const CLAIM_STATES = ['open', 'allowed', 'billed_back', 'written_off', 'withdrawn'] as const;
export type ClaimState = (typeof CLAIM_STATES)[number];

const MOVES = {
	allow: { from: ['open'], to: 'allowed' },
	bill_back: { from: ['open'], to: 'billed_back' },
	write_off: { from: ['open'], to: 'written_off' },
	/** What decided it was undone, whole or in part: it waits for its decision again. */
	reopen: { from: ['allowed', 'billed_back', 'written_off'], to: 'open' },
	/** What split it off was undone: its invoice is owed instead. */
	withdraw: { from: ['open'], to: 'withdrawn' },
	change: { from: ['open'], to: 'open' }
} as const satisfies Record<string, { readonly from: readonly ClaimState[]; readonly to: ClaimState }>;
export type ClaimMove = keyof typeof MOVES;
export const CLAIM_MOVES = Object.keys(MOVES) as readonly ClaimMove[];

/** Where a claim stands after a move; null where the move is not allowed from where it stands. */
export function claimAfter(state: ClaimState, move: ClaimMove): ClaimState | null {
	const { from, to }: { from: readonly ClaimState[]; to: ClaimState } = MOVES[move];
	return from.includes(state) ? to : null;
}

/** The move that a decision is, by what made up the most of it; the records say the parts. */
export function decisionOf(parts: {
	readonly allow: number;
	readonly billBack: number;
	readonly writeOff: number;
}): ClaimMove {
	const most = Math.max(parts.allow, parts.billBack, parts.writeOff);
	return most === parts.allow ? 'allow' : most === parts.billBack ? 'bill_back' : 'write_off';
}
