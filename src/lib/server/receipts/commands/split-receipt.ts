import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import { checkSplit } from '../../../core/2-receipts/check-split';
import { minor, ZERO } from '../../../core/money/minor';
import { customer, receipt, receiptState } from '../../platform/db/schema';
import { rememberProcessor } from '../../firm/store/processors';
import { takeIds } from '../../platform/db/take-ids';
import { moveReceipt, waitingState } from '../store/receipt-states';
import { DomainError } from '../../act/domain-error';
import { amountField, idField } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { refuseUnidentified, takeReceipt } from './take-receipt';

const amount = amountField;
/** The name of a column of a processor's report. */
const columnField = z.string().max(200);

export const splitInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	/** Whose report it was, kept with the act. */
	processor: z.string().trim().max(80).default(''),
	/** Which column of the report is which, remembered for the processor's next one. */
	columns: z
		.object({ name: columnField, text: columnField, gross: columnField, fee: columnField })
		.nullable()
		.default(null),
	parts: z
		.array(
			z.object({
				payerName: z.string().trim().max(140),
				text: z.string().trim().max(500),
				gross: amount,
				fee: amount,
				customerId: z.number().int().nullable().default(null)
			})
		)
		.min(1)
		.max(5000)
});

/**
 * Splits one entry into the payments that it is made of, each with what was kept of it; they come to the entry to the penny.
 * Nothing is posted: the parts wait to be allocated, each credited in full.
 */
export const splitReceipt = defineAct({
	kind: 'split-receipt',
	role: 'clerk',
	input: splitInput,
	run: async (ctx, input): Promise<{ actId: number; firstId: number }> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		refuseUnidentified(state);
		const parts = input.parts.map((part) => ({ ...part, gross: minor(part.gross), fee: minor(part.fee) }));
		const problems = checkSplit({ amount: minor(row.amount), currency: row.currency }, parts);
		if (problems.length > 0) throw new DomainError(...problems);
		for (const id of new Set(parts.flatMap((part) => part.customerId ?? [])))
			if (!(await tx.select({ id: customer.id }).from(customer).where(eq(customer.id, id)).get()))
				throw new DomainError({ code: 'not-found', what: 'customer' });
		const actId = await ctx.record({
			summary: { amount: row.amount, currency: row.currency, parts: parts.length },
			facts: { processor: input.processor, parts: input.parts },
			receiptId: row.id
		});
		if (input.processor) await rememberProcessor(tx, input.processor, input.columns);
		const firstId = await takeIds(tx, receipt, parts.length);
		for (const [i, part] of parts.entries()) {
			const id = firstId + i;
			await tx.insert(receipt).values({
				id,
				bankEntryId: row.bankEntryId,
				parentId: row.id,
				method: row.method,
				knownCustomerId: part.customerId,
				fee: part.fee,
				detail: row.detail,
				booked: row.booked,
				amount: minor(part.gross - part.fee),
				currency: row.currency,
				payerName: part.payerName || row.payerName,
				payerAccount: null,
				text: part.text,
				charges: ZERO
			});
			await tx.insert(receiptState).values(waitingState(id, row.booked, actId));
		}
		await moveReceipt(tx, { id: row.id, state: state.state }, 'split', actId);
		return { actId, firstId };
	}
});

/** Joins the parts of an entry again, while all of them wait; the entry waits as one. */
export const joinParts = defineAct({
	kind: 'join-parts',
	role: 'clerk',
	input: z.object({ receiptId: idField }),
	run: async (ctx, input): Promise<{ receiptId: number }> => {
		const { tx } = ctx;
		const part = await tx.select().from(receipt).where(eq(receipt.id, input.receiptId)).get();
		const parentId = part?.parentId ?? input.receiptId;
		const parts = await tx
			.select({ id: receipt.id, state: receiptState.state })
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.where(eq(receipt.parentId, parentId));
		const standing = parts.filter((one) => one.state !== 'withdrawn');
		if (standing.length === 0) throw new DomainError({ code: 'not-found', what: 'split payment' });
		if (standing.some((one) => !isWaiting(one.state)))
			throw new DomainError({ code: 'credit-in-use', what: 'some of the parts are allocated' });
		const actId = await ctx.record({
			summary: { parts: standing.length },
			facts: { parts: standing.map((one) => one.id) },
			receiptId: parentId
		});
		for (const one of standing) await moveReceipt(tx, one, 'withdraw', actId);
		await moveReceipt(tx, { id: parentId, state: 'split' }, 'join', actId);
		return { receiptId: parentId };
	}
});
