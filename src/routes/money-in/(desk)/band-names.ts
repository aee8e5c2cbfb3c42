import type { PileGroup } from '$lib/server/services/answers/order-pile';

/** What the groups of the pile are called, and how many pips say how sure. */
export const BAND_NAMES: Readonly<
	Record<PileGroup, { readonly says: string; readonly filled: 0 | 1 | 2 | 3 | null }>
> = {
	certain: { says: 'Certain', filled: 3 },
	likely: { says: 'Likely', filled: 2 },
	choose: { says: 'Choose', filled: 1 },
	none: { says: 'No suggestion', filled: 0 },
	held: { says: 'On hold', filled: null },
	unidentified: { says: 'Unidentified', filled: null }
};
