import { and, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { takesTwo } from '../../approvals/store/takes-two';
import type { Reader } from '../../platform/db/open';
import { secondFactor, session, user } from '../../platform/db/schema';
import { endRecoveryCodes } from '../store/recovery-codes';
import { secondFactorsOf } from '../store/second-factors';

export const takeOffInput = z.object({ id: z.string().max(100) });

/** Takes off all second factors of a person who lost them, and ends their sessions. Takes two people. */
export const takeOffSecondFactors = takesTwo(
	defineAct({
		kind: 'take-off-second-factors',
		role: 'supervisor',
		input: takeOffInput,
		run: async (ctx, { id }): Promise<{ actId: number }> => {
			const { name, email } = await whoHasSome(ctx.tx, id);
			const at = new Date(ctx.now());
			await ctx.tx
				.update(secondFactor)
				.set({ endedAt: at })
				.where(and(eq(secondFactor.userId, id), isNull(secondFactor.endedAt)));
			await endRecoveryCodes(ctx.tx, id, at);
			await ctx.tx.delete(session).where(eq(session.userId, id));
			return { actId: await ctx.record({ summary: { name }, facts: { email } }) };
		}
	}),
	async ({ tx }, { id }) => {
		const { name, email } = await whoHasSome(tx, id);
		return { code: 'take-off-second-factors', name, email };
	}
);

async function whoHasSome(db: Reader, id: string) {
	const person = await db.select().from(user).where(eq(user.id, id)).get();
	if (!person || (await secondFactorsOf(db, id)).length === 0)
		throw new DomainError({ code: 'not-found', what: 'second step of theirs' });
	return person;
}
