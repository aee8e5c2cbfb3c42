import type { OpenItem } from '../../core/model/records';

/**
 * The oldest items that a customer owes, by due day, as far as the money goes; the last one may be paid in part. Credit notes, claims, and
 * items of others or in another currency are none of them.
 * @param money minor units of the owner's currency
 */
export function oldestItems(
	items: readonly OpenItem[],
	owner: { readonly customerId: number | null; readonly currency: string },
	money: number
): OpenItem[] {
	const own = items.filter(
		(item) =>
			item.kind !== 'credit_note' &&
			item.kind !== 'claim' &&
			item.currency === owner.currency &&
			item.customerId === owner.customerId
	);
	own.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
	const taken: OpenItem[] = [];
	let left = money;
	for (const item of own) {
		if (left <= 0) break;
		taken.push(item);
		left -= item.open;
	}
	return taken;
}
