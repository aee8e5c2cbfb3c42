/** Equal amounts of a list, taken together: which of several equal ones is meant is never told by a sum. */
export interface AmountGroup {
	readonly amount: number;
	/** Places in the list, ascending: the first ones are taken first. */
	readonly places: readonly number[];
}

/** Groups equal amounts; groups come in the order of their first places. Amounts of nought are left out. */
export function amountGroups(amounts: readonly number[]): AmountGroup[] {
	const groups = new Map<number, number[]>();
	amounts.forEach((amount, place) => {
		if (amount === 0) return;
		const places = groups.get(amount);
		if (places) places.push(place);
		else groups.set(amount, [place]);
	});
	return [...groups].map(([amount, places]) => ({ amount, places }));
}
