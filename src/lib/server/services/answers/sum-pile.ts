import type { Db } from '../../platform/db/open';
import { answeredPile } from './answers';

/** What the pile comes to: it crosses threads, where the pile itself would not. */
export interface PileSummed {
	/** False where receipts are still being answered: then it pays to ask again. */
	readonly answered: boolean;
	readonly bands: Readonly<Record<'certain' | 'likely' | 'choose' | 'none', number>>;
	/** How many of the bank's lines are debits. */
	readonly out: number;
	/** What waits by currency, in minor units. */
	readonly waiting: Readonly<Record<string, number>>;
	readonly waitingCustomers: number;
}

/** Sums up the pile as it is answered now. */
export async function sumPile(db: Db): Promise<PileSummed> {
	const pile = await answeredPile(db);
	const bands = { certain: 0, likely: 0, choose: 0, none: 0 };
	let out = 0;
	const waiting: Record<string, number> = {};
	for (const row of pile.receipts) {
		if (row.amount < 0) {
			out++;
			continue;
		}
		bands[pile.answers.get(row.id)!.band]++;
		waiting[row.currency] = (waiting[row.currency] ?? 0) + row.amount;
	}
	const customers = new Set([...pile.answers.values()].flatMap((answer) => answer.customerId ?? []));
	return { answered: pile.fresh, bands, out, waiting, waitingCustomers: customers.size };
}
