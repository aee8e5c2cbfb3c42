import { eq } from 'drizzle-orm';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import type { Tx } from '../../platform/db/open';
import { session, signInCode } from '../../platform/db/schema';
import { endCodes } from '../store/make-code';
import { setPassword } from '../store/set-password';

/**
 * A person sets a password of their own: whoever asks proved that it is them, by the password before or by a code. All their
 * sessions end.
 */
export const setOwnPassword = defineAct({
	kind: 'set-own-password',
	role: 'reader',
	/** The hash of the password: working it out takes time, and nobody else is to wait for it. */
	input: madeHere<{ readonly hash: string; readonly by: 'password' | { readonly codeId: number } }>(),
	run: async (ctx, { hash, by }): Promise<{ actId: number }> => {
		const { id, name } = ctx.who;
		const at = new Date(ctx.now());
		if (by !== 'password') await refuseEndedCode(ctx.tx, by.codeId);
		await setPassword(ctx.tx, id, hash, at);
		await endCodes(ctx.tx, id, at);
		await ctx.tx.delete(session).where(eq(session.userId, id));
		return { actId: await ctx.record({ summary: { name }, facts: { by: by === 'password' ? by : 'code' } }) };
	}
});

/** A code is good once: who comes second with the same one is refused. */
async function refuseEndedCode(tx: Tx, codeId: number): Promise<void> {
	const code = await tx.select().from(signInCode).where(eq(signInCode.id, codeId)).get();
	if (!code || code.endedAt !== null)
		throw new DomainError({
			...{ code: 'field', field: 'code' },
			message: 'That code was used already. Ask for another.'
		});
}
