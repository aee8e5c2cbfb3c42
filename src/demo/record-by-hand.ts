import { addDays } from '../lib/core/day/arithmetic';
import { keepDrafts } from '../lib/server/acts/drafts';
import { makeSlip } from '../lib/server/acts/make-slip';
import { perform, type Act, type Circumstance } from '../lib/server/acts/perform';
import { postDrafts } from '../lib/server/acts/post-drafts';
import type { Books } from '../lib/server/db/open';
import { receipt } from '../lib/server/db/schema';
import { openItemsOf } from '../lib/server/repo/open-items';
import { desc } from 'drizzle-orm';
import { DEMO_TODAY } from './firm';
import type { Payer } from './make-customers';

/**
 * Clubs pay by cheque: three of them went to the bank on a slip, whose entry is in today's file; one came in this morning and
 * is typed but not posted; one is dated for December. Returns what the slip comes to,
 * in pence, and the clubs.
 */
export async function recordByHand(
	books: Books,
	at: Circumstance,
	payers: readonly Payer[],
	ids: ReadonlyMap<string, number>
): Promise<{ paidIn: number; clubs: readonly string[] }> {
	const must = async <I, O>(act: Act<I, O>, input: I): Promise<O> => {
		const result = await perform(books, act, input, at);
		if (!result.ok) throw new Error(`the demo books were refused: ${JSON.stringify(result.problems)}`);
		return result.value;
	};
	const clubs: { code: string; customerId: number; amount: number }[] = [];
	for (const payer of [...payers].reverse()) {
		if (!payer.customer.name.includes('Club') || payer.customer.currency !== 'GBP') continue;
		const customerId = ids.get(payer.customer.code)!;
		const [first] = (await openItemsOf(books.db, [customerId])).filter((item) => item.kind === 'invoice');
		if (first) clubs.push({ code: payer.customer.code, customerId, amount: first.open });
		if (clubs.length === 5) break;
	}
	const row = (club: (typeof clubs)[number], date: string, reference: string) => ({
		...{ id: null, customerId: club.customerId, date, method: 'cheque', reference },
		...{ amount: club.amount, currency: 'GBP', pays: 'oldest' }
	});
	const day = addDays(DEMO_TODAY, -2);
	const slip = clubs.slice(0, 3);
	const { ids: drafts } = await must(
		keepDrafts,
		slip.map((club, i) => row(club, day, `10041${i + 2}`))
	);
	await must(postDrafts, { ids: drafts });
	const posted = await books.db
		.select({ id: receipt.id })
		.from(receipt)
		.orderBy(desc(receipt.id))
		.limit(slip.length);
	await must(makeSlip, { bankAccountId: 1, receiptIds: posted.map((one) => one.id) });
	const later = clubs.slice(3);
	await must(
		keepDrafts,
		later.map((club, i) => row(club, i === 0 ? DEMO_TODAY : addDays(DEMO_TODAY, 45), `00731${i}`))
	);
	return {
		paidIn: slip.reduce((sum, club) => sum + club.amount, 0),
		clubs: clubs.map((club) => club.code)
	};
}
