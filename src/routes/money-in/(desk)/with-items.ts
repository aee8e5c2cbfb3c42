import type { OpenItem } from '$lib/core/model/records';
import { sortedItems } from '$lib/trade/allocating/sorted-items';
import type { Desk, DeskFrame } from '$lib/server/allocation/queries/desk';

/** Accounts whose items are kept in the browser; an account may have thousands. */
const KEPT = 6;
const kept = new Map<string, readonly OpenItem[]>();

/**
 * Completes a desk with the open items of its accounts: own items first, then those of others, then those in other currencies,
 * each by due day. Asks the server only for accounts that changed since they were fetched last.
 */
export async function withItems(frame: DeskFrame, fetcher: typeof fetch): Promise<Desk> {
	const { accounts, version } = frame.itemsOf;
	if (accounts.length === 0) return { ...frame, items: [] };
	const address = `/api/desk-items?accounts=${accounts.join(',')}&version=${version}`;
	const key = `${address} ${frame.currency} ${frame.customer?.id}`;
	let items = kept.get(key);
	if (!items) {
		const response = await fetcher(address);
		if (!response.ok) throw new Error('The open items could not be read. Load the page again.');
		items = sortedItems((await response.json()) as OpenItem[], frame.currency, frame.customer?.id);
		// Only a browser keeps them: on the server they would be everybody's.
		if (typeof window !== 'undefined') {
			kept.set(key, items);
			if (kept.size > KEPT) kept.delete(kept.keys().next().value!);
		}
	}
	return { ...frame, items };
}
