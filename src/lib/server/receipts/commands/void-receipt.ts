import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { defineAct, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField, versionField } from '../../act/fields';
import { kindOf } from '../../act/kinds';
import { saidOf } from '../../act/said';
import { act, receipt, receiptState, slipReceipt } from '../../platform/db/schema';
import { overLimitProblems } from '../../approvals/store/ask-approval';
import { baseCurrencyOr } from '../../firm/store/settings';
import { overLimitsNow } from '../../reductions/store/over-limits-now';
import { undoReductions, writeReductions } from '../../reductions/store/write-reductions';
import type { Reduction } from '../../../core/4-allocation/over-limits';
import { moneyOf } from './accounting-day';
import { moveReceipt } from '../store/receipt-states';

export const voidReceiptInput = z.object({
	receiptId: idField,
	receiptVersion: versionField,
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/**
 * Voids a receipt that was recorded by hand and never was money: what it was allocated to is open again, and it waits for nothing. Refused
 * while something hangs on it, which is named: a paying-in slip, the bank's entry, a claim, what of it was allocated since. It counts
 * against the limits of whoever does it; beyond them a supervisor has to.
 */
export const voidReceipt = defineAct({
	kind: 'void-receipt',
	role: 'clerk',
	input: voidReceiptInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row, state } = await receiptNow(ctx, input.receiptId);
		if (row.bankEntryId !== null) throw new DomainError({ code: 'bank-shows-it' });
		if (state.version !== input.receiptVersion) throw new DomainError(await takenBy(ctx, state.lastActId));
		const slip = await tx.select().from(slipReceipt).where(eq(slipReceipt.receiptId, row.id)).get();
		if (slip) throw new DomainError({ code: 'credit-in-use', what: `paying-in slip ${slip.slipId}` });
		if (state.state !== 'allocated' && !isWaiting(state.state))
			throw new DomainError(await takenBy(ctx, state.lastActId));
		const { base } = await moneyOf(tx, row, state, ctx.today);
		const customerId = state.customerId ?? row.knownCustomerId;
		// It takes money away from the customer: whoever voids what a colleague took in has the same limits as for any other way.
		const taken: Reduction[] = [{ kind: 'set_aside', base, customerId }];
		const over = await overLimitsNow(ctx, taken);
		if (over.length > 0)
			throw new DomainError(...overLimitProblems(over, await baseCurrencyOr(tx, row.currency)));
		const actId = await ctx.record({
			summary: {
				...{ amount: row.amount, currency: row.currency, payer: row.payerName },
				...{ method: row.method, reference: row.text, reason: input.reason }
			},
			customerId,
			receiptId: row.id
		});
		await writeReductions(ctx, actId, taken);
		if (state.state === 'allocated') await ctx.run(undoPosting, { actId: state.actId! });
		const now = await receiptNow(ctx, row.id);
		await moveReceipt(tx, { id: row.id, state: now.state.state }, 'void', actId);
		return { actId };
	}
});

/** Takes the voiding of a receipt back: it waits again, to be allocated. */
export const restoreReceipt = defineAct({
	kind: 'restore-receipt',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, input): Promise<{ receiptId: number }> => {
		const { tx } = ctx;
		const first = await tx.select().from(act).where(eq(act.id, input.actId)).get();
		if (!first || kindOf(first) !== 'void-receipt') throw new DomainError({ code: 'not-found', what: 'act' });
		const { row, state } = await receiptNow(ctx, first.receiptId!);
		if (state.state !== 'voided' || state.lastActId !== first.id)
			throw new DomainError(await takenBy(ctx, state.lastActId));
		const actId = await ctx.record({
			summary: { of: saidOf(first) },
			customerId: first.customerId,
			receiptId: row.id,
			undoesId: first.id
		});
		await undoReductions(tx, actId, first.id);
		await moveReceipt(tx, { id: row.id, state: state.state }, 'restore', actId);
		return { receiptId: row.id };
	}
});

async function receiptNow({ tx }: ActContext, receiptId: number) {
	const found = await tx
		.select({ row: receipt, state: receiptState })
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.where(eq(receipt.id, receiptId))
		.get();
	if (!found) throw new DomainError({ code: 'not-found', what: 'receipt' });
	return found;
}

async function takenBy({ tx }: ActContext, lastActId: number) {
	const last = await tx.select().from(act).where(eq(act.id, lastActId)).get();
	return { code: 'receipt-taken', who: last?.userName ?? '', at: last?.at ?? '', to: null } as const;
}
