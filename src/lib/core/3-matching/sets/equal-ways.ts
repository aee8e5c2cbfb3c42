import type { OpenItem } from '../../model/records';
import { signedOpen } from '../answering/lines-for';

/** In how many ways a set can be made of items of the same amounts. */
export interface EqualWays {
	/** Items as open as a chosen one that are not chosen. */
	readonly left: number;
	/** All ways, this one counted; no more than `MOST_WAYS`. */
	readonly ways: number;
	/** Some of the others: each with one item changed for one of the same amount. */
	readonly others: readonly (readonly number[])[];
}

/** Beyond this the count says nothing more. */
export const MOST_WAYS = 1_000_000;

/** The ways in which equal items may stand for each other in a set of places; which is meant, no sum tells. At most `keep` are listed. */
export function equalWays(items: readonly OpenItem[], places: readonly number[], keep: number): EqualWays {
	const chosen = new Set(places);
	const groups = new Map<number, { taken: number[]; left: number[] }>();
	for (const place of places) {
		const amount = signedOpen(items[place]!);
		const group = groups.get(amount) ?? { taken: [], left: [] };
		group.taken.push(place);
		groups.set(amount, group);
	}
	items.forEach((item, place) => {
		if (!chosen.has(place)) groups.get(signedOpen(item))?.left.push(place);
	});
	let [left, ways] = [0, 1];
	const others: number[][] = [];
	for (const group of groups.values()) {
		left += group.left.length;
		ways = Math.min(MOST_WAYS, ways * choose(group.taken.length + group.left.length, group.taken.length));
		// The latest that was taken gives way first.
		for (const place of [...group.taken].reverse())
			for (const other of group.left)
				if (others.length < keep)
					others.push(places.map((one) => (one === place ? other : one)).sort((a, b) => a - b));
	}
	return { left, ways, others };
}

/** In how many ways so many can be chosen of so many, no more than `MOST_WAYS`. */
function choose(all: number, some: number): number {
	let ways = 1;
	for (let i = 0; i < Math.min(some, all - some) && ways < MOST_WAYS; i++)
		ways = (ways * (all - i)) / (i + 1);
	return Math.min(MOST_WAYS, Math.round(ways));
}
