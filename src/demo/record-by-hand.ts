import { addDays } from '../lib/core/day/arithmetic';
import type { AddedCustomers } from '../lib/server/customers/commands/add-customers';
import { keepManualReceipts } from '../lib/server/receipts/commands/manual-receipts';
import { makeSlip } from '../lib/server/receipts/commands/make-paying-in-slip';
import { perform } from '../lib/server/act/perform';
import type { CallContext } from '../lib/server/act/define-act';
import { postManualReceipts } from '../lib/server/receipts/commands/post-manual-receipts';
import type { Books } from '../lib/server/platform/db/open';
import { receipt } from '../lib/server/platform/db/schema';
import { openItemsOf } from '../lib/server/documents/store/open-items';
import { desc } from 'drizzle-orm';
import { DEMO_TODAY } from './firm';
import { must } from './must';
import type { Payer } from './make-customers';

/**
 * Clubs pay by cheque: three of them went to the bank on a slip, whose entry is in today's file; one came in this morning and
 * is typed but not posted; one is dated for December. Returns what the slip comes to,
 * in pence, and the clubs.
 */
export async function recordByHand(
	books: Books,
	ctx: CallContext,
	payers: readonly Payer[],
	ids: AddedCustomers
): Promise<{ paidIn: number; clubs: readonly string[] }> {
	const clubs: { code: string; customerId: number; amount: number }[] = [];
	for (const payer of [...payers].reverse()) {
		if (!payer.customer.name.includes('Club') || payer.customer.currency !== 'GBP') continue;
		const customerId = ids[payer.customer.code]!;
		const [first] = (await openItemsOf(books.db, [customerId])).filter((item) => item.kind === 'invoice');
		if (first) clubs.push({ code: payer.customer.code, customerId, amount: first.open });
		if (clubs.length === 5) break;
	}
	const row = (club: (typeof clubs)[number], date: string, reference: string) => ({
		...{ id: null, customerId: club.customerId, date, method: 'cheque', reference },
		...{ amount: club.amount, currency: 'GBP', paidInto: 1, pays: 'oldest' }
	});
	const day = addDays(DEMO_TODAY, -2);
	const slip = clubs.slice(0, 3);
	const { ids: drafts } = await must(
		perform(books, keepManualReceipts, { rows: slip.map((club, i) => row(club, day, `10041${i + 2}`)) }, ctx)
	);
	await must(perform(books, postManualReceipts, { ids: drafts }, ctx));
	const posted = await books.db
		.select({ id: receipt.id })
		.from(receipt)
		.orderBy(desc(receipt.id))
		.limit(slip.length);
	await must(perform(books, makeSlip, { bankAccountId: 1, receiptIds: posted.map((one) => one.id) }, ctx));
	const later = clubs.slice(3);
	const dates = [DEMO_TODAY, addDays(DEMO_TODAY, 45)];
	await must(
		perform(
			books,
			keepManualReceipts,
			{ rows: later.map((club, i) => row(club, dates[Math.min(i, 1)]!, `00731${i}`)) },
			ctx
		)
	);
	return {
		paidIn: slip.reduce((sum, club) => sum + club.amount, 0),
		clubs: clubs.map((club) => club.code)
	};
}
