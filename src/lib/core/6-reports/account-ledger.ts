import type { Day } from '../day/day';
import { minor, type Minor } from '../money/minor';

/** A posting on a customer's account: raises (+) or lowers (−) what they owe. */
export interface AccountPosting {
	readonly id: number;
	readonly date: Day;
	readonly amount: Minor;
	readonly currency: string;
}

/**
 * Adds the running balance of its currency to each posting, by accounting date, then in the order of posting.
 * @param opening what the postings before come to, by currency
 */
export function accountLedger<T extends AccountPosting>(
	postings: readonly T[],
	opening: ReadonlyMap<string, Minor> = new Map()
): (T & { readonly balance: Minor })[] {
	const sums = new Map<string, number>(opening);
	return [...postings]
		.sort((a, b) => (a.date < b.date ? -1 : a.date > b.date ? 1 : a.id - b.id))
		.map((posting) => {
			const sum = (sums.get(posting.currency) ?? 0) + posting.amount;
			sums.set(posting.currency, sum);
			return { ...posting, balance: minor(sum) };
		});
}
