import type { OpenItem } from '../../../core/model/records';
import type { Minor } from '../../../core/money/minor';

/**
 * Items read or changed within one transaction, so that posting many receipts in it reads each item once. Outside of a
 * transaction nothing is kept.
 */
const kept = new WeakMap<object, Map<number, OpenItem>>();

export function keepItems(db: object, items: readonly OpenItem[]): void {
	if (!('rollback' in db)) return;
	let map = kept.get(db);
	if (!map) kept.set(db, (map = new Map()));
	for (const item of items) map.set(item.id, item);
}

/** Of the ids, the items that are known, and the ids of those that have to be read. */
export function keptItems(db: object, ids: readonly number[]): { kept: OpenItem[]; missing: number[] } {
	const map = kept.get(db);
	const found = ids.flatMap((id) => map?.get(id) ?? []);
	return { kept: found, missing: map ? ids.filter((id) => !map.has(id)) : [...ids] };
}

/** Follows what is written: the item's open amount, and its version raised by one. */
export function keepChanges(
	db: object,
	changes: readonly { readonly itemId: number; readonly open: Minor; readonly openBase: Minor }[]
): void {
	const map = kept.get(db);
	for (const { itemId, open, openBase } of changes) {
		const item = map?.get(itemId);
		if (item) map!.set(itemId, { ...item, open, openBase, version: item.version + 1 });
	}
}
