import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { nameKey } from '../../../core/text/name-key';
import type { Tx } from '../../platform/db/open';
import { customer, customerName, forgottenPayer, payerAccount } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { payersLearned } from '../store/payer-lessons';
import { defineAct } from '../../act/define-act';

export const forgetInput = z.object({
	customerId: z.number().int(),
	kind: z.enum(['account', 'name', 'words']),
	text: z.string().min(1).max(200)
});

/**
 * Forgets that an account number or another name pays for a customer, or that certain words are its payments': matching knows it
 * no more, and what allocations taught of it until now counts no more. Its own name stays.
 */
export const forgetPayer = defineAct({
	kind: 'forget-payer',
	role: 'clerk',
	input: forgetInput,
	run: async (ctx, { customerId, kind, text }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const owner = await tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const own = kind === 'name' && nameKey(text) === nameKey(owner.name);
		const gone = own || kind === 'words' ? 0 : await removeGiven(tx, customerId, kind, text);
		const key = kind === 'name' ? nameKey(text) : text;
		const learned = (await payersLearned(tx, customerId)).some(
			(one) => one.trait === kind && one.key === key
		);
		if (gone === 0 && !learned) throw new DomainError({ code: 'not-found', what: WHAT[kind] });
		const actId = await ctx.record({
			summary: { trait: kind, text, customer: owner.name },
			facts: { kind, text },
			customerId
		});
		if (learned) await tx.insert(forgottenPayer).values({ actId, customerId, trait: kind, key });
		return { actId };
	}
});

const WHAT = { account: 'payer account', name: 'other name', words: 'words' } as const;

/** Takes what was given with the customer away; how many there were. */
async function removeGiven(
	tx: Tx,
	customerId: number,
	kind: 'account' | 'name',
	text: string
): Promise<number> {
	const gone =
		kind === 'account'
			? await tx
					.delete(payerAccount)
					.where(and(eq(payerAccount.customerId, customerId), eq(payerAccount.account, text)))
					.returning({ id: payerAccount.id })
			: await tx
					.delete(customerName)
					.where(and(eq(customerName.customerId, customerId), eq(customerName.name, text)))
					.returning({ id: customerName.id });
	return gone.length;
}
