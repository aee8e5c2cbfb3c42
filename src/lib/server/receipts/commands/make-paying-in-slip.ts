import { minor } from '../../../core/money/minor';
import { and, eq, inArray, isNull } from 'drizzle-orm';
import { z } from 'zod';
import {
	bankAccount,
	payingInSlip,
	receipt,
	receiptState,
	slipReceipt,
	standingBankMatch
} from '../../platform/db/schema';
import { takeId } from '../../platform/db/take-ids';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const slipInput = z.object({
	bankAccountId: z.number({ message: 'Choose the bank account.' }).int(),
	receiptIds: z.array(idField).min(1, 'Choose something first.').max(2000)
});

/** Puts cheques and cash on one paying-in slip for a bank account; nothing is posted until the bank shows the money. */
export const makeSlip = defineAct({
	kind: 'make-paying-in-slip',
	role: 'clerk',
	input: slipInput,
	run: async (ctx, input): Promise<{ slipId: number }> => {
		const { tx } = ctx;
		const account = await tx.select().from(bankAccount).where(eq(bankAccount.id, input.bankAccountId)).get();
		if (!account) throw new DomainError({ code: 'not-found', what: 'bank account' });
		const ids = [...input.receiptIds];
		const rows = await tx
			.select({ id: receipt.id, amount: receipt.amount, currency: receipt.currency, on: slipReceipt.slipId })
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.leftJoin(slipReceipt, eq(slipReceipt.receiptId, receipt.id))
			.leftJoin(standingBankMatch, eq(standingBankMatch.recordedId, receipt.id))
			.where(
				and(
					inArray(receipt.id, ids),
					eq(receiptState.state, 'allocated'),
					// Money that the bank has shown, or never will, is on its way to nowhere.
					isNull(receipt.bankEntryId),
					isNull(standingBankMatch.id),
					eq(receipt.isPettyCash, false)
				)
			);
		if (rows.length === 0 || rows.length !== ids.length || rows.some((row) => row.on !== null))
			throw new DomainError({ code: 'draft-gone' });
		const other = rows.find((row) => row.currency !== account.currency);
		if (other)
			throw new DomainError({
				code: 'other-currency',
				item: 'A payment on the slip',
				found: other.currency,
				want: account.currency
			});
		const total = minor(rows.reduce((sum, row) => sum + row.amount, 0));
		const slipId = await takeId(tx, payingInSlip);
		const actId = await ctx.record({
			summary: { slip: slipId, count: rows.length, amount: total, currency: account.currency },
			facts: { slipId, receiptIds: ids }
		});
		await tx
			.insert(payingInSlip)
			.values({ id: slipId, actId, date: ctx.today, bankAccountId: account.id, total });
		await tx.insert(slipReceipt).values(ids.map((receiptId) => ({ receiptId, slipId })));
		return { slipId };
	}
});
