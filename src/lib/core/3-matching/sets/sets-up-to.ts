import type { Day } from '../../day/day';
import type { OpenItem } from '../../model/records';
import { signedOpen } from '../answering/lines-for';

/** All that was due, or was issued, up to a day. */
export interface UpTo {
	readonly places: readonly number[];
	readonly day: Day;
	readonly by: 'due' | 'issued';
	/** The one item that is left out of it; null where none is. */
	readonly but: number | null;
}

/** Fewer items are any set. */
const LEAST_ITEMS = 3;

/** An account's items in the order of their days, with what they come to from the first on. */
interface Order {
	readonly by: 'due' | 'issued';
	readonly places: readonly number[];
	/** What the first n come to, for each n. */
	readonly sums: readonly number[];
	/** Where a day ends: so many of the first are all up to it. */
	readonly ends: readonly { readonly count: number; readonly day: Day }[];
	/** Where in the order each amount stands, ascending. */
	readonly at: ReadonlyMap<number, readonly number[]>;
}

/** The orders of a list of items are made once: many payments are held against the same account. */
const known = new WeakMap<readonly OpenItem[], readonly Order[]>();

/**
 * The beginnings of an account, by due day and by day of issue, that come to a sum: with its credit notes, and without them; whole,
 * or all but one item. Each set once; all that is open is not among them.
 */
export function setsUpTo(items: readonly OpenItem[], target: number): UpTo[] {
	const orders = known.get(items) ?? ordersOf(items);
	known.set(items, orders);
	const found = new Map<string, UpTo>();
	for (const { by, places, sums, ends, at } of orders)
		for (const { count, day } of ends) {
			const sum = sums[count]!;
			if (sum === target) add(places.slice(0, count), day, by, null);
			else if (sum > target && count > LEAST_ITEMS) {
				const [out, second] = at.get(sum - target) ?? [];
				if (out === undefined || out >= count || (second !== undefined && second < count)) continue;
				add(places.slice(0, count), day, by, places[out]!);
			}
		}
	return [...found.values()];

	function add(some: readonly number[], day: Day, by: UpTo['by'], but: number | null): void {
		const places = some.filter((place) => place !== but).sort((a, b) => a - b);
		const key = places.join();
		if (places.length < items.length && !found.has(key)) found.set(key, { places, day, by, but });
	}
}

function ordersOf(items: readonly OpenItem[]): Order[] {
	return (['due', 'issued'] as const).flatMap((by) =>
		[true, false].map((credits): Order => {
			const order = items
				.map((item, place) => ({ item, place }))
				.filter(({ item }) => credits || item.kind !== 'credit_note')
				.sort((a, b) => (a.item[by] < b.item[by] ? -1 : a.item[by] > b.item[by] ? 1 : a.place - b.place));
			const sums = [0];
			const at = new Map<number, number[]>();
			const ends: { count: number; day: Day }[] = [];
			for (const [i, { item }] of order.entries()) {
				const amount = signedOpen(item);
				sums.push(sums[i]! + amount);
				const list = at.get(amount);
				if (list) list.push(i);
				else at.set(amount, [i]);
				const after = order[i + 1];
				if (after && i + 1 >= LEAST_ITEMS && after.item[by] !== item[by])
					ends.push({ count: i + 1, day: item[by] });
			}
			return { by, places: order.map(({ place }) => place), sums, ends, at };
		})
	);
}
