/**
 * Parts a pile so that no receipt of one part bears on the answer of one in another: receipts are together that have a tie in common.
 * Parts stand in the order of their first receipts, receipts in that of the pile.
 * @param ties of a receipt: the customers whose books its answer may rest on, and whose tariff it may follow (`tariffPayer`)
 */
export function groupReceipts<R>(
	receipts: readonly R[],
	ties: (receipt: R) => Iterable<number | string>
): R[][] {
	const leader = receipts.map((_, place) => place);
	const leaderOf = (place: number): number => {
		let at = place;
		while (leader[at] !== at) at = leader[at] = leader[leader[at]!]!;
		return at;
	};
	const first = new Map<number | string, number>();
	for (const [place, receipt] of receipts.entries()) {
		for (const tie of ties(receipt)) {
			const other = first.get(tie);
			if (other === undefined) first.set(tie, place);
			else {
				const [a, b] = [leaderOf(other), leaderOf(place)];
				leader[Math.max(a, b)] = Math.min(a, b);
			}
		}
	}
	const groups = new Map<number, R[]>();
	for (const [place, receipt] of receipts.entries()) {
		const at = leaderOf(place);
		const group = groups.get(at);
		if (group) group.push(receipt);
		else groups.set(at, [receipt]);
	}
	return [...groups.values()];
}
