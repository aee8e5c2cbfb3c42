import { z } from 'zod';
import { CHART } from '../../../core/5-journal/chart';
import { journalOfSetAside } from '../../../core/5-journal/journal-of-set-aside';
import { moveReceipt } from '../store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { postJournal } from '../../ledger/store/post-journal';
import { whereMoneyLies } from '../store/where-money-lies';
import { defineAct } from '../../act/define-act';
import { moneyOf } from './accounting-day';
import { refuseUnidentified, takeReceipt } from './take-receipt';

export const unidentifiedInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int()
});

/**
 * Books money whose payer nobody knows yet to unidentified receipts, so that the bank's account is right meanwhile. It goes on
 * waiting in the pile; allocated later, it comes from there.
 */
export const bookUnidentified = defineAct({
	kind: 'book-unidentified',
	role: 'clerk',
	input: unidentifiedInput,
	run: async (ctx, { receiptId, receiptVersion }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, receiptId, receiptVersion);
		refuseUnidentified(state);
		if (row.amount <= 0) throw new DomainError({ code: 'not-a-credit-entry' });
		const { date, base } = await moneyOf(tx, row, state, ctx.today);
		const amount = row.amount;
		const actId = await ctx.record({
			date,
			summary: { amount, currency: row.currency, payer: row.payerName },
			receiptId: row.id
		});
		await moveReceipt(tx, { id: row.id, state: state.state }, 'book_unidentified', actId, {
			unidentifiedActId: actId,
			unidentifiedBase: base
		});
		const { ledger, bankEntryId } = whereMoneyLies(row, state);
		const posting = { amount, base, currency: row.currency, bankLedger: ledger, bankEntryId };
		await postJournal(tx, actId, date, journalOfSetAside({ ...posting, account: CHART.unidentified.code }));
		return { actId };
	}
});
