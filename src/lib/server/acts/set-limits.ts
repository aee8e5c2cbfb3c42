import { z } from 'zod';
import { LIMITS_SHAPE, writeSetting } from '../repo/settings';
import { recordAct } from '../repo/record-act';
import { defineAct } from './perform';

export const limitsInput = LIMITS_SHAPE;

/** Sets how much each role, or one person, may book alone; what was posted before stays. */
export const setLimits = defineAct({
	kind: 'set-limits',
	needs: 'supervisor',
	run: async (tx, input: z.infer<typeof limitsInput>, at) => {
		await writeSetting(tx, 'limits', input);
		await recordAct(tx, {
			kind: 'set-limits',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: 'Set the limits for differences',
			facts: input
		});
	}
});
