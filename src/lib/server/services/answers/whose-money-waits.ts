import type { Db } from '../../platform/db/open';
import { answeredPile } from './answers';

/**
 * The customers whose money waits to be allocated, as the answers say: they are not to be reminded before. Answers are kept where the
 * application runs, so this is asked there and handed on to looks in other threads.
 * @param newest whether answers that are being made are waited for; where they cannot be made, those that are known count
 */
export async function whoseMoneyWaits(db: Db, newest: boolean): Promise<number[]> {
	const pile = newest
		? await answeredPile(db, Infinity).catch(() => answeredPile(db))
		: await answeredPile(db);
	return [...new Set([...pile.answers.values()].flatMap((answer) => answer.customerId ?? []))];
}
