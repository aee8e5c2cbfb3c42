import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { emailField, idFromText } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const addressInput = z.object({
	customerId: idFromText,
	kind: z.enum(['statement', 'reminder']),
	email: emailField
});

/** Fills in where a customer's letters go. */
export const setAddress = defineAct({
	kind: 'set-address',
	role: 'clerk',
	input: addressInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const owner = await tx.select().from(customer).where(eq(customer.id, input.customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const column =
			input.kind === 'statement' ? { statementEmail: input.email } : { reminderEmail: input.email };
		await tx
			.update(customer)
			.set({ ...column, version: owner.version + 1 })
			.where(eq(customer.id, owner.id));
		const actId = await ctx.record({
			summary: { letter: input.kind, customer: owner.name },
			facts: {
				email: input.email,
				before: input.kind === 'statement' ? owner.statementEmail : owner.reminderEmail
			},
			customerId: owner.id
		});
		return { actId };
	}
});
