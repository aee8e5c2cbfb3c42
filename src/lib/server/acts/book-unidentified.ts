import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { CHART } from '../../core/5-journal/chart';
import { journalOfSetAside } from '../../core/5-journal/journal-of-set-aside';
import { minor } from '../../core/money/minor';
import { toDecimal } from '../../core/money/to-decimal';
import { receiptState } from '../db/schema';
import { DomainError } from '../domain-error';
import { postJournal } from '../repo/post-journal';
import { actByKey, recordAct } from '../repo/record-act';
import { whereMoneyLies } from '../repo/where-money-lies';
import { defineAct } from './perform';
import { moneyOf } from './accounting-day';
import { refuseUnidentified, takeReceipt } from './take-receipt';

export const unidentifiedInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int()
});

/**
 * Books money whose payer nobody knows yet to unidentified receipts, so that the bank's account is right meanwhile. It goes on
 * waiting in the pile; placed later, it comes from there.
 */
export const bookUnidentified = defineAct({
	kind: 'book-unidentified',
	needs: 'clerk',
	run: async (tx, input: z.infer<typeof unidentifiedInput>, at): Promise<{ actId: number }> => {
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actId: done.id };
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		refuseUnidentified(state);
		if (row.amount <= 0) throw new DomainError({ code: 'not-a-credit-entry' });
		const { date, base } = await moneyOf(tx, row, state, at.today);
		const amount = minor(row.amount);
		const actId = await recordAct(tx, {
			kind: 'book-unidentified',
			date,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Booked ${toDecimal(amount, row.currency)} ${row.currency} from ${row.payerName ?? 'an unnamed payer'} to unidentified receipts`,
			facts: {},
			receiptId: row.id,
			key: at.key
		});
		await tx
			.update(receiptState)
			.set({
				unidentifiedActId: actId,
				unidentifiedBase: base,
				version: input.receiptVersion + 1,
				lastActId: actId
			})
			.where(eq(receiptState.receiptId, row.id));
		const { ledger, bankEntryId } = whereMoneyLies(row, state);
		const posting = { amount, base, currency: row.currency, bankLedger: ledger, bankEntryId };
		await postJournal(tx, actId, date, journalOfSetAside({ ...posting, account: CHART.unidentified.code }));
		return { actId };
	}
});
