import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField, versionField } from '../../act/fields';
import { customer } from '../../platform/db/schema';
import { allocateReceipt } from './allocate-receipt';

export const putOnAccountInput = z.object({
	receipts: z
		.array(z.object({ id: idField, version: versionField }))
		.min(1, 'Mark a receipt first.')
		.max(500),
	customerId: idField
});

/** Puts several receipts on one customer's account, to be allocated later: all of them or none, undone as one. */
export const putOnAccount = defineAct({
	kind: 'put-on-account',
	role: 'clerk',
	input: putOnAccountInput,
	run: async (ctx, { receipts, customerId }): Promise<{ actId: number; count: number }> => {
		const owner = await ctx.tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const actId = await ctx.record({
			summary: { count: receipts.length, customer: owner.name },
			facts: { receipts: receipts.map((one) => one.id) },
			customerId
		});
		for (const { id, version } of receipts)
			await ctx.run(allocateReceipt, { receiptId: id, receiptVersion: version, customerId, lines: [] });
		return { actId, count: receipts.length };
	}
});
