import { tally, type Breach, type ProofFacts } from './facts';

/**
 * Rule 7: each line of receivables says what of the sub-ledger it stands for, no other line does, and the lines of a source
 * come to what it is: in its currency and, but for the money of receipts, in base currency.
 */
export function linesHaveSources(facts: ProofFacts): Breach[] {
	const breaches: Breach[] = [];
	const found = new Map<string, number>();
	const add = (sums: Map<string, number>, key: string, amount: number, base: number | null) => {
		tally(sums, key, amount);
		if (base !== null) tally(sums, `${key} in base`, base);
	};
	/** Sums that earlier versions posted for several allocations of an act together. */
	const together = new Set<string>();
	for (const line of facts.lines) {
		const isControl = line.account === facts.receivables;
		if (isControl !== (line.sourceKind !== null))
			breaches.push({
				...{ rule: 7, about: `act ${line.actId}: a line on ${line.account} without its source` },
				...{ want: 0, found: line.amount, currency: line.currency }
			});
		if (!isControl || line.sourceKind === null) continue;
		const who = `${line.customerId} ${line.currency}`;
		const key = `${line.sourceKind} ${line.sourceId} ${who}`;
		if (line.sourceKind === 'currency-difference') together.add(`${line.actId} ${who}`);
		add(found, key, line.amount, line.sourceKind === 'receipt' ? null : line.base);
	}
	const want = new Map<string, number>();
	const items = new Map(facts.items.map((item) => [item.id, item]));
	const receipts = new Map(facts.receipts.map((receipt) => [receipt.id, receipt]));
	for (const { documentId, customerId, currency, credit, total, totalBase } of facts.items) {
		const sign = credit ? -1 : 1;
		add(want, `document ${documentId} ${customerId} ${currency}`, sign * total, sign * totalBase);
	}
	for (const { receiptId, customerId, sign } of facts.receiptPostings) {
		const { amount, currency } = receipts.get(receiptId)!;
		add(want, `receipt ${receiptId} ${customerId} ${currency}`, -sign * amount, null);
	}
	for (const { id, receiptId, customerId, amount, base } of facts.receiptAdjustments)
		add(want, `receipt-adjustment ${id} ${customerId} ${receipts.get(receiptId)!.currency}`, -amount, -base);
	for (const { id, itemId, amount, base } of facts.differences) {
		const { customerId, currency, credit } = items.get(itemId)!;
		const sign = credit ? 1 : -1;
		add(want, `deduction ${id} ${customerId} ${currency}`, sign * amount, sign * base);
	}
	for (const part of facts.allocations) {
		const item = items.get(part.itemId)!;
		const currency =
			part.receiptId !== null
				? receipts.get(part.receiptId)!.currency
				: items.get(part.creditItemId!)!.currency;
		const own = `allocation ${part.id} ${item.customerId} ${item.currency}`;
		if (part.creditCustomerId !== item.customerId || currency !== item.currency) {
			const from = `allocation ${part.id} ${part.creditCustomerId} ${currency}`;
			add(want, from, part.creditAmount, part.creditBase);
			add(want, own, -part.amount, -part.creditBase);
		}
		const realised = part.creditBase - part.itemBase;
		const who = `${item.customerId} ${item.currency}`;
		if (together.has(`${part.actId} ${who}`))
			add(want, `currency-difference ${part.actId} ${who}`, 0, realised);
		else add(want, own, 0, realised);
	}
	for (const key of new Set([...found.keys(), ...want.keys()])) {
		const [asked, is] = [want.get(key) ?? 0, found.get(key) ?? 0];
		if (asked === is) continue;
		const [kind, id, , currency, ...base] = key.split(' ');
		breaches.push({
			...{ rule: 7, about: [kind, id, 'in the journal', ...base].join(' ') },
			...{ want: asked, found: is, currency: currency! }
		});
	}
	return breaches;
}
