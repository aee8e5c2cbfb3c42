import { tally, type Breach, type ProofFacts } from './facts';

/** Rule 3: no item is settled beyond its total, on any day; no credit is used beyond its amount. */
export function nothingBeyond(facts: ProofFacts): Breach[] {
	const used = new Map<string, number>();
	for (const part of facts.allocations) {
		tally(used, `item ${part.itemId}`, part.amount);
		tally(
			used,
			part.receiptId !== null ? `receipt ${part.receiptId}` : `item ${part.creditItemId}`,
			part.creditAmount
		);
	}
	const credited = new Map<number, number>();
	for (const { receiptId, kind, amount } of facts.receiptAdjustments)
		if (kind === 'processor_fee' || kind === 'bank_charge') tally(credited, receiptId, amount);
		else tally(used, `receipt ${receiptId}`, -amount);
	for (const part of facts.differences) tally(used, `item ${part.itemId}`, part.amount);
	const breaches: Breach[] = [];
	const check = (key: string, about: string, total: number, currency: string) => {
		const found = used.get(key) ?? 0;
		if (found < 0 || found > total) breaches.push({ rule: 3, about, want: total, found, currency });
	};
	for (const item of facts.items)
		check(`item ${item.id}`, `${item.number} settled`, item.total, item.currency);
	for (const receipt of facts.receipts)
		check(
			`receipt ${receipt.id}`,
			`receipt ${receipt.id} used`,
			Math.max(receipt.amount, 0) + (credited.get(receipt.id) ?? 0),
			receipt.currency
		);
	return breaches;
}
