import { CONVENTIONS_SHAPE, writeSetting } from '../store/settings';
import { defineAct } from '../../act/define-act';

/** Sets how the firm writes numbers, and by which clock it works; nothing in the books changes by it. */
export const setConventions = defineAct({
	kind: 'set-conventions',
	role: 'supervisor',
	input: CONVENTIONS_SHAPE,
	run: async (ctx, input): Promise<{ actId: number }> => {
		await writeSetting(ctx.tx, 'conventions', input);
		const actId = await ctx.record({ summary: input, facts: input });
		return { actId };
	}
});
