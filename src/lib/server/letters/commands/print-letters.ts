import { and, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { delivery, runLetter } from '../../platform/db/schema';

/** So many letters are one file for the printer. */
export const PRINTED_TOGETHER = 300;

/** Takes the letters that wait for the printer as printed: those of one run, or all. They lie ready as one file from then on. */
export const printLetters = defineAct({
	kind: 'print-letters',
	role: 'clerk',
	input: z.object({ runId: z.coerce.number().int().positive().optional() }),
	run: async (ctx, { runId }): Promise<{ actId: number; printed: number }> => {
		const { tx } = ctx;
		const own = tx
			.select({ id: runLetter.letterId })
			.from(runLetter)
			.where(eq(runLetter.runId, runId ?? 0));
		const waiting = await tx
			.select({ id: delivery.letterId })
			.from(delivery)
			.where(
				and(
					eq(delivery.printing, 'waiting'),
					runId === undefined ? undefined : inArray(delivery.letterId, own)
				)
			)
			.orderBy(delivery.letterId)
			.limit(PRINTED_TOGETHER)
			.all();
		if (waiting.length === 0) throw new DomainError({ code: 'nothing-to-print' });
		const ids = waiting.map((row) => row.id);
		const actId = await ctx.record({ summary: { count: ids.length }, facts: { letters: ids } });
		await tx
			.update(delivery)
			.set({ printing: 'printed', printedActId: actId })
			.where(inArray(delivery.letterId, ids));
		return { actId, printed: ids.length };
	}
});
