import { and, eq } from 'drizzle-orm';
import type { Problem } from '../../../core/problems';
import { defineAct, madeHere } from '../../act/define-act';
import { runLetter } from '../../platform/db/schema';

/** Says of letters of a run why they cannot be written. */
export const holdLetters = defineAct({
	kind: 'hold-letters',
	role: 'clerk',
	input: madeHere<{ readonly held: readonly { readonly id: number; readonly why: readonly Problem[] }[] }>(),
	run: async (ctx, { held }): Promise<{ actId: number }> => {
		const actId = await ctx.record({ summary: { count: held.length }, facts: { held } });
		for (const { id, why } of held)
			await ctx.tx
				.update(runLetter)
				.set({ state: 'held', why: JSON.stringify(why) })
				.where(and(eq(runLetter.id, id), eq(runLetter.state, 'to-write')));
		return { actId };
	}
});
