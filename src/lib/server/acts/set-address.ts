import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { customer } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';

export const addressInput = z.object({
	customerId: z.number().int(),
	kind: z.enum(['statement', 'reminder']),
	email: z.email('That is not an e-mail address: it needs a name, an @ and a host.')
});

/** Fills in where a customer's letters go. */
export const setAddress = defineAct({
	kind: 'set-address',
	needs: 'clerk',
	run: async (tx, input: z.infer<typeof addressInput>, at) => {
		const owner = await tx.select().from(customer).where(eq(customer.id, input.customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const column =
			input.kind === 'statement' ? { statementEmail: input.email } : { reminderEmail: input.email };
		await tx.update(customer).set(column).where(eq(customer.id, owner.id));
		await recordAct(tx, {
			kind: 'set-address',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Set the ${input.kind} address of ${owner.name}`,
			facts: {
				email: input.email,
				before: input.kind === 'statement' ? owner.statementEmail : owner.reminderEmail
			},
			customerId: owner.id
		});
	}
});
