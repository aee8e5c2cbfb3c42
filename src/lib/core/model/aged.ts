import type { Minor } from '../money/minor';

/** Days after the day by which something is aged, both included: 0 and fewer is not late; null where it goes on without end. */
export interface AgeBucket {
	readonly from: number | null;
	readonly to: number | null;
}

/** Open amounts of one currency by age, youngest first: what is not due, then each bucket. */
export type Aged = readonly (AgeBucket & { readonly sum: Minor })[];
