import { and, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { delivery, letter } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { idFromText } from '../../act/fields';
import { defineAct } from '../../act/define-act';

/** Puts a letter that was refused or failed back in line, as it was written. */
export const sendAgain = defineAct({
	kind: 'send-again',
	role: 'clerk',
	input: z.object({ letterId: idFromText }),
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const found = await tx
			.select({ id: letter.id, customerId: letter.customerId, subject: letter.subject })
			.from(letter)
			.innerJoin(delivery, eq(delivery.letterId, letter.id))
			.where(and(eq(letter.id, input.letterId), inArray(delivery.state, ['refused', 'failed'])))
			.get();
		if (!found) throw new DomainError({ code: 'not-found', what: 'letter that was refused or failed' });
		await tx
			.update(delivery)
			.set({ state: 'waiting', at: ctx.now(), answer: null })
			.where(eq(delivery.letterId, found.id));
		const actId = await ctx.record({
			summary: { subject: found.subject },
			facts: { letterId: found.id },
			customerId: found.customerId
		});
		return { actId };
	}
});
