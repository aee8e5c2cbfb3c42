import type { Books } from '../platform/db/open';
import { CLERK, done, newDocument, partsOf, SUPERVISOR, testBooks } from '../testing';
import { keepManualReceipts } from './commands/manual-receipts';
import { postManualReceipts } from './commands/post-manual-receipts';

/** Books of three open invoices: two of one customer, one of another. For tests. */
export const handBooks = () =>
	testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000), newDocument('AK-3', 2, 300));

/** A cheque that somebody typed; another way where that is said. For tests. */
export const handRow = (customerId: number, amount: number, over: object = {}) => ({
	id: null,
	customerId,
	date: '2026-10-29',
	method: 'cheque',
	reference: '100412',
	amount,
	currency: 'GBP',
	pays: 'oldest',
	...over
});

/** Keeps rows as a clerk, and posts them as a supervisor. Returns the act of each. */
export async function postedByHand(
	books: Books,
	...rows: ReturnType<typeof handRow>[]
): Promise<readonly number[]> {
	const { ids } = await done(books, keepManualReceipts, { rows }, CLERK);
	return partsOf(books, (await done(books, postManualReceipts, { ids }, SUPERVISOR)).actId);
}
