import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { receiptState } from '../db/schema';
import { defineAct } from '../act/define-act';
import { allocationInput } from '../allocation-input';
import { takeReceipt } from './take-receipt';

export const holdInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	/** Empty takes the hold off. */
	because: z.string().trim().max(400),
	/** What was laid on the desk, to be found again. */
	order: allocationInput.nullable().default(null)
});

/** Puts a receipt by with a note, or takes the note off; nothing is posted. */
export const holdReceipt = defineAct({
	kind: 'hold-receipt',
	role: 'clerk',
	input: holdInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const actId = await ctx.record({
			summary: { because: input.because },
			receiptId: row.id
		});
		await tx
			.update(receiptState)
			.set({
				state: input.because ? 'held' : 'waiting',
				heldBecause: input.because || null,
				heldOrder: input.because && input.order ? JSON.stringify(input.order) : null,
				version: input.receiptVersion + 1,
				lastActId: actId
			})
			.where(eq(receiptState.receiptId, row.id));
		return { actId };
	}
});
