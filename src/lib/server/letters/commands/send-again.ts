import { and, eq, inArray, isNotNull, or } from 'drizzle-orm';
import { z } from 'zod';
import type { Tx } from '../../platform/db/open';
import { chasingStep, customer, delivery, letter } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { idFromText } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { takenSteps } from '../store/chases';

/** A letter that came to nothing is no longer wanted once another took its steps. */
async function noStepAgain(tx: Tx, letterId: number): Promise<void> {
	const own = await tx
		.select({
			itemId: chasingStep.itemId,
			step: chasingStep.step,
			name: chasingStep.name,
			who: customer.name
		})
		.from(chasingStep)
		.innerJoin(letter, eq(letter.id, chasingStep.letterId))
		.innerJoin(customer, eq(customer.id, letter.customerId))
		.where(eq(chasingStep.letterId, letterId))
		.all();
	if (own.length === 0) return;
	const taken = await takenSteps(
		tx,
		own.map((one) => one.itemId)
	);
	const twice = own.find((one) => taken.get(one.itemId)?.some((before) => before.step === one.step));
	if (twice) throw new DomainError({ code: 'step-taken', customer: twice.who, step: twice.name });
}

/** Not taken, or not taken for now. */
const isToBeSentAgain = or(
	inArray(delivery.state, ['refused', 'failed']),
	and(eq(delivery.state, 'waiting'), isNotNull(delivery.nextAt))
);

/** Puts a letter that was refused or failed back in line, as it was written; one that is to be tried again later goes now. */
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
			.where(and(eq(letter.id, input.letterId), isToBeSentAgain))
			.get();
		if (!found) throw new DomainError({ code: 'not-found', what: 'letter that was refused or failed' });
		await noStepAgain(tx, found.id);
		await tx
			.update(delivery)
			.set({ state: 'waiting', at: ctx.now(), answer: null, nextAt: null, tries: 0 })
			.where(eq(delivery.letterId, found.id));
		const actId = await ctx.record({
			summary: { subject: found.subject },
			facts: { letterId: found.id },
			customerId: found.customerId
		});
		return { actId };
	}
});
