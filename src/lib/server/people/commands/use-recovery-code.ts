import { eq } from 'drizzle-orm';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { recoveryCode } from '../../platform/db/schema';
import { goodRecoveryCodes } from '../store/recovery-codes';
import { letIn } from '../store/second-factors';

/** A person comes in by a recovery code in place of their second factor. It is good once. */
export const useRecoveryCode = defineAct({
	kind: 'use-recovery-code',
	role: 'reader',
	input: madeHere<{ readonly codeId: number; readonly sessionId: string }>(),
	run: async (ctx, { codeId, sessionId }): Promise<{ actId: number; left: number }> => {
		const { id: userId, name } = ctx.who;
		const at = new Date(ctx.now());
		const good = await goodRecoveryCodes(ctx.tx, userId);
		if (!good.some(({ id }) => id === codeId))
			throw new DomainError({
				code: 'field',
				field: 'code',
				message: 'That code was used already. Type another.'
			});
		await ctx.tx.update(recoveryCode).set({ endedAt: at }).where(eq(recoveryCode.id, codeId));
		await letIn(ctx.tx, sessionId, at);
		return { actId: await ctx.record({ summary: { name } }), left: good.length - 1 };
	}
});
