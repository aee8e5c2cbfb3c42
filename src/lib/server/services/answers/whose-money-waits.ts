import type { Db } from '../../platform/db/open';
import { answeredPile, type Pile } from './answers';

/**
 * The customers whose money waits to be allocated, by the newest answers; where those cannot be made, by those that are known. They are
 * not to be reminded before. Answers are kept where the application runs, so this is asked there and handed on to looks in other threads.
 */
export async function whoseMoneyWaits(db: Db): Promise<number[]> {
	return customersOf(await answeredPile(db, Infinity).catch(() => answeredPile(db)));
}

/** The customers that answers name, each once. */
export function customersOf({ answers }: Pick<Pile, 'answers'>): number[] {
	return [...new Set([...answers.values()].flatMap((answer) => answer.customerId ?? []))];
}
