/** A line's amount, and the balance after it where the bank gives one; minor units. */
export interface ChainLink {
	readonly amount: number;
	readonly balance: number | null;
}

/** A balance that does not follow from the lines before it in time. */
export interface ChainBreak {
	/** The line's place among those given. */
	readonly at: number;
	readonly found: number;
	readonly want: number;
}

export interface Chain {
	/** Whether the lines stand with the newest first. */
	readonly newestFirst: boolean;
	/** The balances before the first and after the last in time; null where no line has any. */
	readonly opening: number | null;
	readonly closing: number | null;
	/** Where it breaks, in the order in which the lines stand; none where all balances follow from each other. */
	readonly breaks: readonly ChainBreak[];
}

/**
 * Follows the balances of a bank's table: in the order in which the lines stand, or the other way round where fewer of them break so. The
 * same number of breaks either way is told by the days.
 * @param newestFirst what the days say of the order
 */
export function balanceChain(links: readonly ChainLink[], newestFirst: boolean): Chain {
	const ways = [newestFirst, !newestFirst].map((reversed) => follow(links, reversed));
	return ways[1]!.breaks.length < ways[0]!.breaks.length ? ways[1]! : ways[0]!;
}

function follow(links: readonly ChainLink[], newestFirst: boolean): Chain {
	const order = newestFirst ? links.map((_, at) => links.length - 1 - at) : links.map((_, at) => at);
	const breaks: ChainBreak[] = [];
	let opening: number | null = null;
	let balance: number | null = null;
	/** What came and went before the first balance. */
	let before = 0;
	for (const at of order) {
		const { amount, balance: found } = links[at]!;
		if (balance === null) before += amount;
		else balance += amount;
		if (found === null) continue;
		if (balance === null) opening = found - before;
		else if (balance !== found) breaks.push({ at, found, want: balance });
		balance = found;
	}
	breaks.sort((a, b) => a.at - b.at);
	return { newestFirst, opening, closing: balance, breaks };
}
