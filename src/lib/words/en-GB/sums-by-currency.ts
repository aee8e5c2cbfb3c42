import { list, money } from './format';

/** What amounts come to, currency by currency: "£12.00 and €3.00"; empty for none. */
export function sumsByCurrency(
	rows: readonly { readonly amount: number; readonly currency: string }[]
): string {
	const sums = new Map<string, number>();
	for (const { amount, currency } of rows) sums.set(currency, (sums.get(currency) ?? 0) + amount);
	return list([...sums].map(([currency, sum]) => money(sum, currency)));
}
