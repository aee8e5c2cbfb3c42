export interface SubsetSums {
	/** Sets found, smallest first, then in the order of the items; at most `keep`. Each is a list of places, ascending. */
	readonly sets: readonly (readonly number[])[];
	/** How many sets there are in all. */
	readonly count: number;
}

/**
 * All sets of one to three of the given amounts that come to the target exactly: counted, and the first `keep` of them
 * listed. One pass with an index of amounts, so pairs cost n and triples n² steps; the caller bounds n.
 */
export function subsetSums(amounts: readonly number[], target: number, keep: number): SubsetSums {
	const places = new Map<number, number[]>();
	amounts.forEach((amount, place) => {
		const list = places.get(amount);
		if (list) list.push(place);
		else places.set(amount, [place]);
	});
	const sets: number[][] = [];
	let count = 0;
	/** Takes every place of the wanted amount that lies behind `after`. */
	const finish = (chosen: readonly number[], wanted: number, after: number) => {
		const list = places.get(wanted);
		if (!list || list[list.length - 1]! <= after) return;
		for (const place of list) {
			if (place <= after) continue;
			count++;
			if (sets.length < keep) sets.push([...chosen, place]);
		}
	};
	finish([], target, -1);
	for (let a = 0; a < amounts.length; a++) finish([a], target - amounts[a]!, a);
	for (let a = 0; a < amounts.length; a++)
		for (let b = a + 1; b < amounts.length; b++) finish([a, b], target - amounts[a]! - amounts[b]!, b);
	return { sets, count };
}
