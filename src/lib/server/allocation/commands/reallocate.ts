import { asc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { minor } from '../../../core/money/minor';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import { kindOf } from '../../act/kinds';
import { allocationInput } from '../allocation-input';
import { act, customer, journalLine, receipt, receiptState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { chosenDate } from '../../receipts/commands/accounting-day';
import { postAllocation } from './allocate-receipt';
import { undoOne } from './undo-posting';

export const reallocateInput = z.object({
	/** The act that allocated it, which stands. */
	actId: idField,
	/** What is allocated now; its day is the accounting day of the change, today where none is given. */
	order: allocationInput
});

/**
 * Puts a wrong allocation right in one step: the money is taken off and allocated again, on other items or for another
 * customer, in part or with other deductions. Both are parts of the one act, on a day of an open period; the bank's line
 * stays on its own day, for what is taken off and allocated again on the day of the change nets to nothing.
 */
export const reallocate = defineAct({
	kind: 'reallocate',
	role: 'clerk',
	input: reallocateInput,
	run: async (ctx, { actId, order }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const first = await tx.select().from(act).where(eq(act.id, actId)).get();
		if (!first || kindOf(first) !== 'allocate-receipt' || first.receiptId === null)
			throw new DomainError({ code: 'not-found', what: 'allocation' });
		const now = await tx
			.select({ state: receiptState, row: receipt })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(eq(receiptState.receiptId, first.receiptId))
			.get();
		const { state, row } = now!;
		if (state.actId !== actId || state.version !== order.receiptVersion) {
			const last = await tx.select().from(act).where(eq(act.id, state.lastActId)).get();
			throw new DomainError({ code: 'receipt-taken', who: last!.userName, at: last!.at, to: null });
		}
		const date = await chosenDate(tx, order.date, ctx.today);
		const owner = await tx
			.select({ name: customer.name })
			.from(customer)
			.where(eq(customer.id, order.customerId ?? 0))
			.get();
		if (!owner) throw new DomainError({ code: 'no-customer' });
		// The money's own line comes first in the journal of an allocation.
		const money = await tx
			.select({ base: journalLine.base })
			.from(journalLine)
			.where(eq(journalLine.actId, actId))
			.orderBy(asc(journalLine.id))
			.limit(1)
			.get();
		const { amount, currency, payerName: payer } = row;
		const decisionId = await ctx.record({
			date,
			summary: { amount, currency, payer, customer: owner.name },
			facts: { of: actId },
			customerId: order.customerId,
			receiptId: row.id
		});
		await undoOne(ctx.part('undo-posting'), { actId, date }, true);
		await postAllocation(
			ctx.part('allocate-receipt'),
			{ ...order, receiptId: row.id, receiptVersion: state.version + 1 },
			{ before: { date, base: minor(money!.base) }, reasons: [] }
		);
		return { actId: decisionId };
	}
});
