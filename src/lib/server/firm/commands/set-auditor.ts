import { takesTwo } from '../../approvals/store/takes-two';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { emailField } from '../../act/fields';
import { writeSetting } from '../store/settings';

export const auditorInput = z.object({ email: z.literal('').or(emailField) });

/** Sets to whom anchors of the books go by mail; empty for nobody. */
export const setAuditor = takesTwo(
	defineAct({
		kind: 'set-auditor',
		role: 'supervisor',
		input: auditorInput,
		run: async (ctx, { email }): Promise<{ actId: number }> => {
			await writeSetting(ctx.tx, 'auditor', { email });
			return { actId: await ctx.record({ summary: { email } }) };
		}
	}),
	(_, { email }) => ({ code: 'set-auditor', email })
);
