import { randomUUID } from 'node:crypto';
import { and, eq, inArray, isNotNull, or } from 'drizzle-orm';
import { z } from 'zod';
import type { Tx } from '../../platform/db/open';
import { chasingStep, customer, delivery, letter } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { emailField, idFromText } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { setAddress } from '../../customers/commands/set-address';
import { mergedAccounts } from '../../customers/store/merged-accounts';
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

/** Another id at the same host (RFC 5322, section 3.6.6). */
const resentIdOf = (messageId: string) => messageId.replace(/^<[^@]*/, `<${randomUUID()}`);

/** Not taken, taken and not delivered, or not taken for now. */
const isToBeSentAgain = or(
	inArray(delivery.state, ['refused', 'failed', 'undelivered']),
	and(eq(delivery.state, 'waiting'), isNotNull(delivery.nextAt))
);

/**
 * Puts a letter that did not arrive back in line, as it was written, to the same address or another one; one that is to be tried again
 * later goes now. The other address is kept for the customer's letters to come, where that is asked for.
 */
export const sendAgain = defineAct({
	kind: 'send-again',
	role: 'clerk',
	input: z.object({
		letterId: idFromText,
		email: emailField.optional(),
		keep: z.enum(['on', '']).optional()
	}),
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const found = await tx
			.select({
				...{ id: letter.id, kind: letter.kind, customerId: letter.customerId, subject: letter.subject },
				...{ recipient: letter.recipient, state: delivery.state, messageId: delivery.messageId },
				resentTo: delivery.resentTo
			})
			.from(letter)
			.innerJoin(delivery, eq(delivery.letterId, letter.id))
			.where(and(eq(letter.id, input.letterId), isToBeSentAgain))
			.get();
		if (!found) throw new DomainError({ code: 'not-found', what: 'letter that did not arrive' });
		await noStepAgain(tx, found.id);
		const before = found.resentTo ?? found.recipient;
		const to = input.email ?? before;
		// What was taken before, or goes elsewhere, travels under another id, so that reports of before are not taken for its own.
		const resent =
			found.state === 'undelivered' || found.resentTo !== null || to !== before
				? { resentTo: to, resentAt: ctx.now(), resentId: resentIdOf(found.messageId) }
				: {};
		await tx
			.update(delivery)
			.set({ state: 'waiting', at: ctx.now(), answer: null, nextAt: null, tries: 0, ...resent })
			.where(eq(delivery.letterId, found.id));
		const actId = await ctx.record({
			summary: { subject: found.subject, ...(to === before ? {} : { to }) },
			facts: { letterId: found.id },
			customerId: found.customerId
		});
		if (input.keep === 'on' && to !== before)
			await ctx.run(setAddress, {
				customerId: (await mergedAccounts(tx)).get(found.customerId) ?? found.customerId,
				kind: found.kind === 'statement' ? 'statement' : 'reminder',
				email: to
			});
		return { actId };
	}
});
