import type { OpenItem } from '../../model/records';
import type { Reason } from '../answer';
import { signedOpen } from './lines-for';
import { setsUpTo } from '../sets/sets-up-to';
import { weightOf, type SetKind } from './weigh-sets';

/** Something that the payer may have meant. */
export interface Meaning {
	readonly places: readonly number[];
	readonly kind: SetKind;
	readonly weight: number;
	readonly reason: Reason | null;
}

/** Everything that comes to the sum, with its weight, the weightiest first; then the smaller, then the older. */
export function meaningsOf(
	items: readonly OpenItem[],
	amount: number,
	sets: readonly (readonly number[])[],
	upToDate: boolean
): Meaning[] {
	const found = new Map<string, Meaning>();
	const add = (places: readonly number[], kind: SetKind, reason: Reason | null) => {
		const key = places.join();
		const weight = weightOf(kind, places.length, items.length, upToDate);
		const known = found.get(key);
		if (!known || known.weight < weight) found.set(key, { places, kind, weight, reason });
	};
	for (const places of sets) add(places, places.length === 1 ? 'one' : 'set', null);
	for (const { places, day, by, but } of setsUpTo(items, amount))
		add(places, but === null ? 'until' : 'until-but-one', {
			...{ code: 'all-until', day, by, items: places.length },
			but: but === null ? null : items[but]!.number
		});
	if (items.length > 2 && items.reduce((sum, item) => sum + signedOpen(item), 0) === amount)
		add(
			items.map((_, place) => place),
			'all',
			{ code: 'all-open', items: items.length }
		);
	return [...found.values()].sort((a, b) => b.weight - a.weight || a.places.length - b.places.length);
}
