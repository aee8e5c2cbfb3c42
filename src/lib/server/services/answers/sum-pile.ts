import type { Db } from '../../platform/db/open';
import type { PileSummed } from '../../reports/queries/today';
import { answeredPile } from './answers';
import { customersOf } from './whose-money-waits';

/** Sums up the pile as it is answered now. */
export async function sumPile(db: Db): Promise<PileSummed> {
	const pile = await answeredPile(db);
	const bands = { certain: 0, likely: 0, choose: 0, none: 0 };
	let out = 0;
	const waiting: Record<string, number> = {};
	let unidentified = 0;
	for (const row of pile.receipts) {
		if (row.unidentifiedActId !== null) {
			unidentified++;
			continue;
		}
		const { band } = pile.answers.get(row.id)!;
		if (row.amount < 0 && band === 'none') {
			out++;
			continue;
		}
		bands[band]++;
		if (row.amount > 0) waiting[row.currency] = (waiting[row.currency] ?? 0) + row.amount;
	}
	return { answered: pile.fresh, bands, out, unidentified, waiting, customers: customersOf(pile) };
}
