import type { OpenItem } from '../../core/model/records';

/** Money on account, of which some may be a deposit for an order. */
interface Credit {
	readonly receiptId: number;
	readonly depositFor: string | null;
}

/**
 * Which money on account to use, and for which items: deposits for the invoices of their orders, where such are open; else all that is no
 * deposit, for items to be chosen. A deposit waits for the documents of its order.
 */
export function creditsToLay(
	credits: readonly Credit[],
	items: readonly OpenItem[]
): { readonly receiptIds: readonly number[]; readonly itemIds: readonly number[] } {
	const orderOf = (item: OpenItem) => item.orderReference ?? item.purchaseOrder;
	const deposits = credits.filter(
		({ depositFor }) => depositFor && items.some((item) => orderOf(item) === depositFor)
	);
	const used = deposits.length > 0 ? deposits : credits.filter(({ depositFor }) => !depositFor);
	const orders = new Set(deposits.map((one) => one.depositFor));
	return {
		receiptIds: used.map((one) => one.receiptId),
		itemIds: items
			.filter((item) => item.kind === 'invoice' && orders.has(orderOf(item)))
			.map((item) => item.id)
	};
}
