import { z } from 'zod';
import { MAY_BE_LEFT_OUT } from '../../../core/6-reports/setting-up';
import { SETTING_UP_STEPS } from '../../../core/model/setting-up-step';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { proveBooks } from '../../ledger/queries/proof';
import { changeSettingUp } from '../store/setting-up';

/** Leaves a step of setting up out, or takes it up again. */
export const leaveStepOut = defineAct({
	kind: 'leave-step-out',
	role: 'supervisor',
	input: z.object({
		step: z
			.enum(SETTING_UP_STEPS)
			.refine((step) => MAY_BE_LEFT_OUT.includes(step), 'Nothing works without it.'),
		leftOut: z.boolean()
	}),
	run: async (ctx, { step, leftOut }): Promise<{ actId: number }> => {
		await changeSettingUp(ctx.tx, (now) => ({
			...now,
			leftOut: [...now.leftOut.filter((one) => one !== step), ...(leftOut ? [step] : [])]
		}));
		return { actId: await ctx.record({ summary: { step, leftOut } }) };
	}
});

/** Keeps that a test message was sent. */
export const testMail = defineAct({
	kind: 'test-mail',
	role: 'supervisor',
	input: z.object({ email: z.string().max(300) }),
	run: async (ctx, { email }): Promise<{ actId: number }> => {
		await changeSettingUp(ctx.tx, (now) => ({ ...now, mailTested: true }));
		return { actId: await ctx.record({ summary: { email } }) };
	}
});

/** Proves the books and ends setting them up; or ends it as it is, where somebody says so. */
export const finishSettingUp = defineAct({
	kind: 'finish-setting-up',
	role: 'supervisor',
	input: z.object({ prove: z.boolean() }),
	run: async (ctx, { prove }): Promise<{ actId: number }> => {
		const breaches = prove ? (await proveBooks(ctx.tx)).breaches.length : 0;
		if (breaches > 0) throw new DomainError({ code: 'not-proved', breaches });
		await changeSettingUp(ctx.tx, (now) => ({ ...now, open: false, proved: prove }));
		return { actId: await ctx.record({ summary: { proved: prove } }) };
	}
});
