import { findSets } from './find-sets';

/** An open item by its account; `amount` in minor units of one currency, credit notes negative. */
export interface AccountItem {
	readonly id: number;
	readonly customerId: number;
	readonly amount: number;
}

/** One account's items that come to the sum. */
export interface AccountSet {
	readonly customerId: number;
	readonly itemIds: readonly number[];
	/** How many sets of this account come to it, and whether those are all there are. */
	readonly count: number;
	readonly all: boolean;
}

export interface SetsByAccount {
	/** Accounts with a set that comes to the sum: the fewest sets first, then the smallest. */
	readonly within: readonly AccountSet[];
	/** Two items of two accounts that come to the sum together, and how many such pairs there are. */
	readonly across: readonly (readonly [AccountItem, AccountItem])[];
	readonly pairs: number;
}

/** Look-ups for one account, so that thousands of accounts are gone through in a second. */
const STEPS = 60_000;

/**
 * Whose items come to a sum: within each account any set, and of two accounts any two items. Items are given oldest first.
 * `keep` bounds both lists.
 */
export function setsByAccount(items: readonly AccountItem[], target: number, keep: number): SetsByAccount {
	const accounts = new Map<number, AccountItem[]>();
	for (const item of items) {
		const list = accounts.get(item.customerId);
		if (list) list.push(item);
		else accounts.set(item.customerId, [item]);
	}
	const within: AccountSet[] = [];
	for (const [customerId, own] of accounts) {
		const highest = own.reduce((sum, { amount }) => sum + Math.max(0, amount), 0);
		if (highest < target) continue;
		const { sets, count, all } = findSets(
			own.map((item) => item.amount),
			target,
			{ keep: 1, steps: STEPS }
		);
		if (sets[0]) within.push({ customerId, itemIds: sets[0].map((at) => own[at]!.id), count, all });
	}
	within.sort(
		(a, b) =>
			Number(b.all) - Number(a.all) ||
			a.count - b.count ||
			a.itemIds.length - b.itemIds.length ||
			a.customerId - b.customerId
	);
	return { within: within.slice(0, keep), ...pairsAcross(items, target, keep) };
}

function pairsAcross(items: readonly AccountItem[], target: number, keep: number) {
	const before = new Map<number, AccountItem[]>();
	const across: [AccountItem, AccountItem][] = [];
	let pairs = 0;
	for (const item of items) {
		if (item.amount <= 0) continue;
		for (const other of before.get(target - item.amount) ?? []) {
			if (other.customerId === item.customerId) continue;
			pairs++;
			if (across.length < keep) across.push([other, item]);
		}
		const list = before.get(item.amount);
		if (list) list.push(item);
		else before.set(item.amount, [item]);
	}
	return { across, pairs };
}
