import type { Problem } from '../problems';
import type { PlaceOrder } from './place-order';

/** Everything that stands against an order to place a receipt; empty when it may be done. */
export function checkLines({ receipt, customerId, lines }: PlaceOrder): Problem[] {
	const problems: Problem[] = [];
	const { currency } = receipt;
	if (receipt.amount <= 0) return [{ code: 'not-a-credit-entry' }];
	const seen = new Set<number>();
	let taken = 0;
	let credits = 0;
	for (const { item, cash, differences } of lines) {
		const label = item.parts > 1 ? `${item.number} (${item.part} of ${item.parts})` : item.number;
		if (seen.has(item.id)) problems.push({ code: 'line-twice', item: label });
		seen.add(item.id);
		if (item.currency !== currency)
			problems.push({ code: 'other-currency', item: label, found: item.currency, want: currency });
		if (item.customerId !== customerId)
			problems.push({
				code: 'other-customer',
				item: label,
				owner: String(item.customerId),
				customer: String(customerId)
			});
		const explained = differences.reduce((sum, difference) => sum + difference.amount, 0);
		const credit = item.kind === 'credit_note';
		const wrongWay = credit
			? cash >= 0 || differences.length > 0
			: cash < 0 || (cash === 0 && explained === 0);
		if (wrongWay || differences.some((difference) => difference.amount <= 0))
			problems.push({ code: 'line-not-positive', item: label });
		const asked = Math.abs(cash) + explained;
		if (asked > item.open)
			problems.push({ code: 'over-item', item: label, asked, open: item.open, currency });
		if (credit) credits -= cash;
		else taken += cash;
	}
	if (credits > taken)
		problems.push({
			code: 'credit-unused',
			item: lines.find((line) => line.cash < 0)!.item.number,
			over: credits - taken,
			currency
		});
	if (taken - credits > receipt.amount)
		problems.push({ code: 'over-receipt', placed: taken - credits, amount: receipt.amount, currency });
	return problems;
}
