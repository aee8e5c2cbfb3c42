/** Seeded chance: the same seed gives the same books. */
export interface Chance {
	/** From 0 up to 1. */
	next(): number;
	/** A whole number from low to high, both included. */
	int(low: number, high: number): number;
	pick<T>(from: readonly T[]): T;
	/** True with a probability. */
	yes(probability: number): boolean;
}

/** A 32-bit generator (mulberry32): small, and good enough for made-up books. */
export function chance(seed: number): Chance {
	let state = seed >>> 0;
	const next = () => {
		state = (state + 0x6d2b79f5) >>> 0;
		let t = Math.imul(state ^ (state >>> 15), 1 | state);
		t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
		return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
	};
	const int = (low: number, high: number) => low + Math.floor(next() * (high - low + 1));
	return {
		next,
		int,
		pick: (from) => from[int(0, from.length - 1)]!,
		yes: (probability) => next() < probability
	};
}
