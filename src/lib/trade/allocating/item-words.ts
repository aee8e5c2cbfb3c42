import type { OpenItem } from '../../core/model/records';
import { amount } from '../../words';

/** What an item is for: its words, instalment, order, and whose it is where that is another account. */
export function itemText(item: OpenItem, owners: Readonly<Record<number, string>>): string {
	const text = item.parts > 1 ? `${item.text} (${item.part} of ${item.parts})` : item.text;
	const owner = owners[item.customerId];
	return `${text}${item.purchaseOrder ? `, ${item.purchaseOrder}` : ''}${owner ? ` · ${owner}` : ''}`;
}

/** How much of an item is settled when so much more is laid on it, from 0 to 1. */
export function settledShare(item: OpenItem, laid = 0): number {
	return (item.total - item.open + Math.abs(laid)) / item.total;
}

/** How an item stands, in words. */
export function standing(item: OpenItem): string {
	return item.open < item.total
		? `part paid, ${amount(item.open, item.currency)} of ${amount(item.total, item.currency)} open`
		: 'unpaid';
}
