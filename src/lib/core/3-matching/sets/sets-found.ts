/** What a search for sets that come to a sum has found. */
export interface SetsFound {
	/** Sets, each a list of places, ascending; the smallest sets first; at most as many as were asked for. */
	readonly sets: readonly (readonly number[])[];
	/** How many sets there are; sets that differ only in which of equal amounts they take count once. */
	readonly count: number;
	/** Whether `count` is all there are; else there are at least so many. */
	readonly all: boolean;
}

/** Puts smaller sets first, then those of earlier places. */
export function compareSets(a: readonly number[], b: readonly number[]): number {
	if (a.length !== b.length) return a.length - b.length;
	for (let i = 0; i < a.length; i++) if (a[i] !== b[i]) return a[i]! - b[i]!;
	return 0;
}
