import { z } from 'zod';
import { ageEndsFault, LONGEST_AGE } from '../../../core/6-reports/age-buckets';
import { ageEndsSentence } from '../../../words';
import { defineAct } from '../../act/define-act';
import { writeSetting } from '../store/settings';

/** More than anybody types: that they are too many is said of fewer than these. */
const MOST_READ = 400;

const setAgeingInput = z.object({
	ends: z
		.array(
			z
				.number()
				.int()
				.min(0)
				.max(100 * LONGEST_AGE)
		)
		.max(MOST_READ)
		.superRefine((ends, ctx) => {
			const fault = ageEndsFault(ends);
			if (fault) ctx.addIssue({ code: 'custom', message: ageEndsSentence(fault) });
		})
});

/** Sets the days at which ageing buckets end; nothing in the books changes by it. */
export const setAgeing = defineAct({
	kind: 'set-ageing',
	role: 'supervisor',
	input: setAgeingInput,
	run: async (ctx, { ends }): Promise<{ actId: number }> => {
		await writeSetting(ctx.tx, 'ageing', { ends });
		return { actId: await ctx.record({ summary: { ends }, facts: { ends } }) };
	}
});
