import type { DocumentKind, OpenItem } from '../model/records';
import type { Problem } from '../problems';
import { err, ok, type Result } from '../result';

/** An open item that somebody ticked as paid. */
export interface TickedItem {
	readonly item: Pick<OpenItem, 'id' | 'number' | 'customerId' | 'currency' | 'open' | 'version'> & {
		readonly kind: DocumentKind;
	};
	/** How much of it was paid, minor units, above zero; of a credit note, how much of it was taken off. */
	readonly amount: number;
}

/** One payment of one customer, and what it settles. */
export interface TickedPayment {
	readonly customerId: number;
	readonly currency: string;
	readonly amount: number;
	readonly lines: readonly { readonly itemId: number; readonly version: number; readonly cash: number }[];
}

/**
 * Makes payments of what was ticked over many accounts: one of each customer where it came as one sum, one of each item where each
 * came by itself. What is more than open, credit notes that no invoice of theirs outweighs, and several currencies in one sum are
 * refused.
 */
export function paymentsOfTicked(ticked: readonly TickedItem[], asOneSum: boolean): Result<TickedPayment[]> {
	const problems: Problem[] = [];
	const currency = ticked[0]?.item.currency ?? '';
	const groups = new Map<
		number,
		{ customerId: number; currency: string; lines: TickedPayment['lines'][number][] }
	>();
	for (const { item, amount } of ticked) {
		if (amount <= 0 || amount > item.open)
			problems.push({
				code: 'more-than-open',
				number: item.number,
				open: item.open,
				currency: item.currency
			});
		if (asOneSum && item.currency !== currency)
			problems.push({ code: 'other-currency', item: item.number, found: item.currency, want: currency });
		const key = asOneSum ? item.customerId : item.id;
		const group = groups.get(key) ?? { customerId: item.customerId, currency: item.currency, lines: [] };
		const cash = item.kind === 'credit_note' ? -amount : amount;
		groups.set(key, group);
		group.lines.push({ itemId: item.id, version: item.version, cash });
	}
	const payments = [...groups.values()].map((group) => ({
		...group,
		amount: group.lines.reduce((sum, line) => sum + line.cash, 0)
	}));
	const names = new Map(ticked.map(({ item }) => [item.id, item.number]));
	for (const { amount, lines } of payments)
		if (amount <= 0) problems.push({ code: 'credit-without-invoice', number: names.get(lines[0]!.itemId)! });
	return problems.length > 0 ? err(...problems.slice(0, 50)) : ok(payments);
}
