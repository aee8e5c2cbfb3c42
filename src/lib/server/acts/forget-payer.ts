import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { normaliseName } from '../../core/3-matching/normalise-name';
import { customer, customerName, payerAccount } from '../db/schema';
import { Refusal } from '../refusal';
import { recordAct } from '../repo/record-act';
import { defineAct } from './perform';

export const forgetInput = z.object({
	customerId: z.number().int(),
	kind: z.enum(['account', 'name']),
	text: z.string().min(1).max(200)
});

/** Forgets that an account number or another name pays for a customer: matching knows it no more. Its own name stays. */
export const forgetPayer = defineAct({
	kind: 'forget-payer',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof forgetInput>, at): Promise<{ actId: number }> => {
		const { customerId, kind, text } = forgetInput.parse(given);
		const owner = await tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (!owner) throw new Refusal({ code: 'not-found', what: 'customer' });
		const own = kind === 'name' && normaliseName(text) === normaliseName(owner.name);
		const gone = own
			? []
			: kind === 'account'
				? await tx
						.delete(payerAccount)
						.where(and(eq(payerAccount.customerId, customerId), eq(payerAccount.account, text)))
						.returning({ id: payerAccount.id })
				: await tx
						.delete(customerName)
						.where(and(eq(customerName.customerId, customerId), eq(customerName.name, text)))
						.returning({ id: customerName.id });
		if (gone.length === 0)
			throw new Refusal({ code: 'not-found', what: kind === 'account' ? 'payer account' : 'other name' });
		const actId = await recordAct(tx, {
			kind: 'forget-payer',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Forgot that ${text} pays for ${owner.name}`,
			facts: { kind, text },
			customerId
		});
		return { actId };
	}
});
