import { LIMITS_SHAPE, writeSetting } from '../store/settings';
import { defineAct } from '../../act/define-act';

export const limitsInput = LIMITS_SHAPE;

/** Sets how much each role, or one person, may book alone; what was posted before stays. */
export const setLimits = defineAct({
	kind: 'set-limits',
	role: 'supervisor',
	input: limitsInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		await writeSetting(tx, 'limits', input);
		const actId = await ctx.record({ summary: {}, facts: input });
		return { actId };
	}
});
