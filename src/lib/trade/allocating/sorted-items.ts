import type { OpenItem } from '../../core/model/records';

/** Items of a desk: own ones first, then those of others, then those in other currencies, each by due day. */
export function sortedItems(
	items: readonly OpenItem[],
	currency: string,
	customerId: number | undefined
): OpenItem[] {
	const rank = (item: OpenItem) =>
		(item.currency === currency ? 0 : 2) + (item.customerId === customerId ? 0 : 1);
	return [...items].sort((a, b) => {
		const [x, y] = [rank(a), rank(b)];
		return x - y || (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id);
	});
}
