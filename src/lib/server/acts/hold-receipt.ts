import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { receiptState } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { defineAct } from './perform';
import { placeInput } from '../place-input';
import { takeReceipt } from './take-receipt';

export const holdInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	/** Empty takes the hold off. */
	because: z.string().trim().max(400),
	/** What was laid on the desk, to be found again. */
	order: placeInput.nullable().default(null)
});

/** Puts a receipt by with a note, or takes the note off; nothing is posted. */
export const holdReceipt = defineAct({
	kind: 'hold-receipt',
	needs: 'clerk',
	run: async (tx, input: z.input<typeof holdInput>, at): Promise<{ actId: number }> => {
		const { row } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const actId = await recordAct(tx, {
			kind: 'hold-receipt',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: input.because ? `Held a receipt: ${input.because}` : 'Took a receipt off hold',
			facts: { because: input.because },
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
