import { tally, type Breach, type ProofFacts } from './facts';

/**
 * Rule 2: by customer and currency the control account equals open items less unallocated credits, on every day on which
 * anything was posted; and what the states say is open equals what the records come to.
 */
export function ledgerAgrees(facts: ProofFacts): Breach[] {
	const breaches: Breach[] = [];
	const items = new Map(facts.items.map((item) => [item.id, item]));
	const receipts = new Map(facts.receipts.map((receipt) => [receipt.id, receipt]));
	// Movements of (control account − sub-ledger) by customer, currency and day: each day's running sum must be nothing.
	const gaps = new Map<string, Map<string, number>>();
	const move = (customerId: number | null, currency: string, date: string, amount: number) => {
		const key = `${customerId ?? 'no customer'} ${currency}`;
		let days = gaps.get(key);
		if (!days) gaps.set(key, (days = new Map()));
		tally(days, date, amount);
	};
	for (const line of facts.lines)
		if (line.account === facts.receivables) move(line.customerId, line.currency, line.date, line.amount);
	const open = new Map<number, number>();
	for (const item of facts.items) {
		open.set(item.id, item.total);
		move(item.customerId, item.currency, item.issued, item.credit ? item.total : -item.total);
	}
	const unallocated = new Map<number, number>();
	for (const { receiptId, customerId, date, sign } of facts.receiptPostings) {
		const receipt = receipts.get(receiptId)!;
		tally(unallocated, receiptId, sign * receipt.amount);
		move(customerId, receipt.currency, date, sign * receipt.amount);
	}
	for (const part of facts.allocations) {
		const item = items.get(part.itemId)!;
		tally(open, part.itemId, -part.amount);
		move(item.customerId, item.currency, part.date, part.amount);
		if (part.receiptId !== null) {
			const { currency } = receipts.get(part.receiptId)!;
			tally(unallocated, part.receiptId, -part.creditAmount);
			move(part.creditCustomerId, currency, part.date, -part.creditAmount);
		} else {
			const credit = items.get(part.creditItemId!)!;
			tally(open, part.creditItemId!, -part.creditAmount);
			move(credit.customerId, credit.currency, part.date, -part.creditAmount);
		}
	}
	for (const { receiptId, customerId, date, amount } of facts.receiptAdjustments) {
		tally(unallocated, receiptId, amount);
		move(customerId, receipts.get(receiptId)!.currency, date, amount);
	}
	for (const part of facts.differences) {
		const item = items.get(part.itemId)!;
		tally(open, part.itemId, -part.amount);
		move(item.customerId, item.currency, part.date, item.credit ? -part.amount : part.amount);
	}
	for (const [key, days] of gaps) {
		let sum = 0;
		const [customer, currency] = key.split(' ') as [string, string];
		for (const date of [...days.keys()].sort()) {
			sum += days.get(date)!;
			if (sum === 0) continue;
			breaches.push({
				rule: 2,
				about: `customer ${customer}: control account and open items on ${date}`,
				want: 0,
				found: sum,
				currency
			});
			break;
		}
	}
	for (const item of facts.items)
		if (open.get(item.id) !== item.stateOpen)
			breaches.push({
				rule: 2,
				about: `${item.number}: open by its records`,
				want: open.get(item.id)!,
				found: item.stateOpen,
				currency: item.currency
			});
	for (const receipt of facts.receipts) {
		const want = unallocated.get(receipt.id) ?? 0;
		if (want !== receipt.onAccount)
			breaches.push({
				rule: 2,
				about: `receipt ${receipt.id}: on account by its records`,
				want,
				found: receipt.onAccount,
				currency: receipt.currency
			});
	}
	return breaches;
}
