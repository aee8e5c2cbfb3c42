import type { Day } from '../day/day';

/** Why a customer paid short and says so. */
export const CLAIM_REASONS = ['damaged', 'missing', 'price', 'returned', 'late', 'other'] as const;
export type ClaimReason = (typeof CLAIM_REASONS)[number];

/** What is kept of a claim when it is split off its invoice. */
export interface ClaimFacts {
	readonly reason: ClaimReason;
	/** Who follows it up. */
	readonly owner: string;
	readonly deadline: Day;
	readonly note: string;
}
