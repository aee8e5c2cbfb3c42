import { and, eq, gt, isNull } from 'drizzle-orm';
import { defineAct, madeHere } from '../../act/define-act';
import { act, signInCode, user } from '../../platform/db/schema';

/** A code that goes by mail is good for so many minutes. */
export const MAILED_MINUTES = 30;
/** So many go to one person within an hour: more are not asked for by them. */
const MOST_AN_HOUR = 3;

/**
 * Makes a code for a person who asked for one by mail, by the address that they sign in with. Those that a supervisor made stay good: else
 * whoever knows an address could end them.
 */
export const sendSignInCode = defineAct({
	kind: 'send-sign-in-code',
	role: 'supervisor',
	input: madeHere<{ readonly email: string }>(),
	run: async (
		ctx,
		{ email }
	): Promise<{ readonly code: { readonly id: number; readonly userId: string } | null }> => {
		const { tx } = ctx;
		const person = await tx
			.select()
			.from(user)
			.where(and(eq(user.email, email), eq(user.active, true)))
			.get();
		if (!person) return ctx.unchanged({ code: null });
		const at = new Date(ctx.now());
		const lately = await tx
			.select({ id: signInCode.id })
			.from(signInCode)
			.innerJoin(act, eq(act.id, signInCode.actId))
			.where(
				and(
					eq(signInCode.userId, person.id),
					eq(act.kind, 'send-sign-in-code'),
					gt(act.at, new Date(at.getTime() - 3_600_000).toISOString())
				)
			);
		if (lately.length >= MOST_AN_HOUR) return ctx.unchanged({ code: null });
		const actId = await ctx.record({ summary: { name: person.name } });
		await tx
			.update(signInCode)
			.set({ endedAt: at })
			.where(and(eq(signInCode.userId, person.id), isNull(signInCode.endedAt), eq(signInCode.mailed, true)));
		const made = await tx
			.insert(signInCode)
			.values({
				...{ actId, userId: person.id, endedAt: null, mailed: true },
				expiresAt: new Date(at.getTime() + MAILED_MINUTES * 60_000)
			})
			.returning({ id: signInCode.id, userId: signInCode.userId })
			.get();
		return { code: made };
	}
});
