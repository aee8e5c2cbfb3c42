import type { Allocation, Difference, Placing } from '../model/placing';
import { minor, type Minor } from '../money/minor';

/** An item as it stands now. */
export interface ItemState {
	readonly itemId: number;
	readonly open: Minor;
	readonly openBase: Minor;
}

/**
 * Takes back all that a placing did, to the penny and in base currency too: each item (credit notes that joined in, as
 * well) gets back exactly what was taken from it, whatever happened to the rest of it since.
 */
export function undoPlacing(
	placing: { readonly allocations: readonly Allocation[]; readonly differences: readonly Difference[] },
	now: readonly ItemState[]
): Placing['changes'] {
	const back = new Map(
		now.map((state) => [state.itemId, { open: state.open as number, base: state.openBase as number }])
	);
	const give = (itemId: number, amount: number, base: number) => {
		const state = back.get(itemId);
		if (!state) throw new RangeError(`item ${itemId} was placed on but is not among those to be reopened`);
		state.open += amount;
		state.base += base;
	};
	for (const { source, itemId, amount, itemBase, creditBase } of placing.allocations) {
		give(itemId, amount, itemBase);
		if ('itemId' in source) give(source.itemId, amount, creditBase);
	}
	for (const { itemId, amount, base } of placing.differences) give(itemId, amount, base);
	return [...back].map(([itemId, { open, base }]) => ({ itemId, open: minor(open), openBase: minor(base) }));
}
