import { eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { CHART } from '../../../core/5-journal/chart';
import { journalOfSetAside } from '../../../core/5-journal/journal-of-set-aside';
import { minor } from '../../../core/money/minor';
import { journalLine, receiptState, bankMatch } from '../../platform/db/schema';
import { onItsWay } from '../store/on-its-way';
import { postJournal } from '../../ledger/store/post-journal';
import { whereMoneyLies } from '../store/where-money-lies';
import { moveReceipt } from '../store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { idField, versionField } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { accountingDate } from './accounting-day';
import { refuseUnidentified, takeReceipt } from './take-receipt';

export const matchEntryInput = z.object({
	receiptId: idField,
	receiptVersion: versionField,
	/** What was recorded before: one receipt, or a paying-in slip with all of its receipts. */
	to: z.object({ kind: z.enum(['slip', 'receipt']), id: idField })
});

/**
 * The bank shows money that was recorded by hand: the entry meets the receipt, or all of a paying-in slip, and is not counted
 * again. Bank to money on its way; the customers' accounts stay as they are.
 */
export const matchBankEntry = defineAct({
	kind: 'match-bank-entry',
	role: 'clerk',
	input: matchEntryInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const found = (await onItsWay(tx)).find((one) => one.kind === input.to.kind && one.id === input.to.id);
		if (!found || row.bankEntryId === null)
			throw new DomainError({ code: 'not-found', what: 'recorded payment' });
		refuseUnidentified(state);
		if (found.amount !== row.amount || found.currency !== row.currency)
			throw new DomainError({
				code: 'match-differs',
				recorded: found.amount,
				shown: row.amount,
				currency: row.currency
			});
		const date = await accountingDate(tx, row.booked);
		const amount = row.amount;
		// What was recorded stands on money on its way with a base value of its own: that one is moved.
		const lines = await tx
			.select({ base: journalLine.base, account: journalLine.account })
			.from(journalLine)
			.innerJoin(receiptState, eq(receiptState.actId, journalLine.actId))
			.where(inArray(receiptState.receiptId, [...found.receiptIds]));
		const base = minor(
			lines.filter((line) => line.account === CHART.onItsWay.code).reduce((sum, line) => sum + line.base, 0)
		);
		const lies = whereMoneyLies(row, state);
		const actId = await ctx.record({
			date,
			summary: { amount, currency: row.currency, method: found.method, reference: found.reference },
			facts: { to: input.to, receiptIds: found.receiptIds },
			receiptId: row.id
		});
		await tx
			.insert(bankMatch)
			.values(found.receiptIds.map((recordedId) => ({ actId, shownId: row.id, recordedId })));
		await moveReceipt(tx, { id: row.id, state: state.state }, 'match', actId);
		await postJournal(
			tx,
			actId,
			date,
			journalOfSetAside({
				amount,
				base,
				currency: row.currency,
				bankLedger: lies.ledger,
				bankEntryId: lies.bankEntryId,
				account: CHART.onItsWay.code
			})
		);
		return { actId };
	}
});
