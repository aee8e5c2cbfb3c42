import type { Day } from '../day/day';
import type { OpenItem } from '../model/records';
import { signedOpen } from './lines-for';

/** All that was due, or was issued, up to a day. */
export interface UpTo {
	readonly places: readonly number[];
	readonly day: Day;
	readonly by: 'due' | 'issued';
	/** The one item that is left out of it; null where none is. */
	readonly but: number | null;
}

/** Fewer items are any set. */
const LEAST = 3;

/**
 * The beginnings of an account, by due day and by day of issue, that come to a sum: with its credit notes, and without them; whole,
 * or all but one item. Each set once; all that is open is not among them.
 */
export function setsUpTo(items: readonly OpenItem[], target: number): UpTo[] {
	const found = new Map<string, UpTo>();
	for (const by of ['due', 'issued'] as const)
		for (const credits of [true, false]) {
			const order = items
				.map((item, place) => ({ item, place }))
				.filter(({ item }) => credits || item.kind !== 'credit_note')
				.sort((a, b) => (a.item[by] < b.item[by] ? -1 : a.item[by] > b.item[by] ? 1 : a.place - b.place));
			let sum = 0;
			for (let i = 0; i < order.length - 1; i++) {
				sum += signedOpen(order[i]!.item);
				const day = order[i]!.item[by];
				if (i + 1 < LEAST || order[i + 1]!.item[by] === day) continue;
				const some = order.slice(0, i + 1);
				if (sum === target) add(some, day, by, null);
				else if (sum > target) {
					const out = some.filter(({ item }) => signedOpen(item) === sum - target);
					if (out.length === 1 && some.length > LEAST) add(some, day, by, out[0]!.place);
				}
			}
		}
	return [...found.values()];

	function add(
		some: readonly { readonly place: number }[],
		day: Day,
		by: UpTo['by'],
		but: number | null
	): void {
		const places = some.map((one) => one.place).filter((place) => place !== but);
		places.sort((a, b) => a - b);
		const key = places.join();
		if (places.length < items.length && !found.has(key)) found.set(key, { places, day, by, but });
	}
}
