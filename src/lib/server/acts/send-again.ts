import { and, eq, inArray } from 'drizzle-orm';
import { delivery, letter } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';

/** Puts a letter that was refused or failed back in line, as it was written. */
export const sendAgain = defineAct({
	kind: 'send-again',
	needs: 'clerk',
	run: async (tx, input: { readonly letterId: number }, at) => {
		const found = await tx
			.select({ id: letter.id, customerId: letter.customerId, subject: letter.subject })
			.from(letter)
			.innerJoin(delivery, eq(delivery.letterId, letter.id))
			.where(and(eq(letter.id, input.letterId), inArray(delivery.state, ['refused', 'failed'])))
			.get();
		if (!found) throw new DomainError({ code: 'not-found', what: 'letter that was refused or failed' });
		await tx
			.update(delivery)
			.set({ state: 'waiting', at: at.now(), answer: null })
			.where(eq(delivery.letterId, found.id));
		await recordAct(tx, {
			kind: 'send-again',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Sent again: ${found.subject}`,
			facts: { letterId: found.id },
			customerId: found.customerId
		});
	}
});
