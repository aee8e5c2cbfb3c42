import { append } from '../../append';
import { tally, type Breach, type ProofFacts } from './facts';

/**
 * Rule 2: by customer and currency the control account equals open items less unallocated credits, on every day on which
 * anything was posted; what the states say is open equals what the records come to; and what was open by day (spans), from which reports
 * as of a day in the past are made, is the control account, too, also in base currency.
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
	append(breaches, firstGaps(gaps, 'control account and open items'));
	append(breaches, spansAgree(facts));
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

/** Movements that should come to nothing on each day, by customer and currency. */
type Gaps = ReadonlyMap<string, ReadonlyMap<string, number>>;

/** Of each customer and currency the first day on which the movements so far come to something. */
function firstGaps(gaps: Gaps, what: string): Breach[] {
	const breaches: Breach[] = [];
	for (const [key, days] of gaps) {
		let sum = 0;
		const [customer, currency] = key.split(' ') as [string, string];
		for (const date of [...days.keys()].sort()) {
			sum += days.get(date)!;
			if (sum === 0) continue;
			breaches.push({
				...{ rule: 2, about: `customer ${customer}: ${what} on ${date}` },
				...{ want: 0, found: sum, currency }
			});
			break;
		}
	}
	return breaches;
}

/** Holds spans against the control account, in its currency and in base currency. */
function spansAgree(facts: ProofFacts): Breach[] {
	const amounts = new Map<string, Map<string, number>>();
	const bases = new Map<string, Map<string, number>>();
	const move = (row: ProofFacts['spans'][number] | ProofFacts['lines'][number], sign: 1 | -1) => {
		const key = `${row.customerId ?? 'no customer'} ${row.currency}`;
		for (const [gaps, sum] of [
			[amounts, row.amount],
			[bases, row.base]
		] as const) {
			let days = gaps.get(key);
			if (!days) gaps.set(key, (days = new Map()));
			tally(days, row.date, sign * sum);
		}
	};
	for (const line of facts.lines) if (line.account === facts.receivables) move(line, 1);
	for (const span of facts.spans) move(span, -1);
	return [
		...firstGaps(amounts, 'control account and what was open by day'),
		...firstGaps(bases, 'control account and what was open by day, in base currency')
	];
}
