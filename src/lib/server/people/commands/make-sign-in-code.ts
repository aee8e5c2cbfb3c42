import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { defineAct } from '../../act/define-act';
import { takesTwo } from '../../approvals/store/takes-two';
import type { Reader } from '../../platform/db/open';
import { user } from '../../platform/db/schema';
import { makeCode } from '../store/make-code';

export const signInCodeInput = z.object({ id: z.string().max(100) });

/** Makes a code for a person who has no password, or has forgotten it: they set one of their own with it. Takes two people. */
export const makeSignInCode = takesTwo(
	defineAct({
		kind: 'make-sign-in-code',
		role: 'supervisor',
		input: signInCodeInput,
		run: async (ctx, input): Promise<{ codeId: number }> => {
			const person = await activePerson(ctx.tx, input.id);
			const actId = await ctx.record({ summary: { name: person.name }, facts: { email: person.email } });
			return { codeId: await makeCode(ctx.tx, { actId, userId: person.id, at: new Date(ctx.now()) }) };
		}
	}),
	async ({ tx }, { id }) => {
		const { name, email } = await activePerson(tx, id);
		return { code: 'make-sign-in-code', name, email };
	}
);

async function activePerson(db: Reader, id: string) {
	const person = await db.select().from(user).where(eq(user.id, id)).get();
	if (!person?.active) throw new DomainError({ code: 'not-found', what: 'person who may sign in' });
	return person;
}
