import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { chosenDayField, idField, versionField } from '../../act/fields';
import { customer, receiptState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { chosenDate } from '../../receipts/commands/accounting-day';
import { reallocate } from './reallocate';
import { undoPosting } from './undo-posting';

export const moveReceiptsInput = z.object({
	/** The acts that allocated the receipts, in the versions of the receipts that were seen. */
	allocations: z
		.array(z.object({ actId: idField, receiptVersion: versionField }))
		.min(1, 'Choose a payment first.')
		.max(500),
	/** The account that they go to, where they lie on account; null to have them wait on the desk again. */
	customerId: idField.nullable(),
	date: chosenDayField
});

/** Several receipts are taken off at once: they wait again, or lie on another account. All of them or none. */
export const moveReceipts = defineAct({
	kind: 'move-receipts',
	role: 'clerk',
	input: moveReceiptsInput,
	run: async (ctx, input): Promise<{ actId: number; count: number }> => {
		const { tx } = ctx;
		const { customerId } = input;
		const owner =
			customerId === null ? null : await tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (owner === undefined) throw new DomainError({ code: 'not-found', what: 'customer' });
		const count = input.allocations.length;
		const actIdOfAll = await ctx.record({
			summary: { count, customer: owner?.name ?? null },
			facts: { of: input.allocations.map((one) => one.actId) },
			customerId
		});
		const date = input.date === null ? undefined : await chosenDate(tx, input.date, ctx.today);
		for (const { actId, receiptVersion } of input.allocations) {
			const now = await tx.select().from(receiptState).where(eq(receiptState.actId, actId)).get();
			if (!now || now.version !== receiptVersion)
				throw new DomainError({
					code: 'not-found',
					what: 'allocation as you saw it: somebody has changed one of them'
				});
			if (customerId === null) await ctx.run(undoPosting, { actId, date });
			else {
				const order = { receiptId: now.receiptId, receiptVersion, customerId, date: input.date, lines: [] };
				await ctx.run(reallocate, { actId, order });
			}
		}
		return { actId: actIdOfAll, count };
	}
});
