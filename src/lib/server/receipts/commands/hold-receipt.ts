import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { allocationInput } from '../../allocation/allocation-input';
import { moveReceipt } from '../store/receipt-states';
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
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const actId = await ctx.record({
			summary: {
				because: input.because,
				receipt: { amount: row.amount, currency: row.currency, payer: row.payerName }
			},
			receiptId: row.id
		});
		await moveReceipt(
			tx,
			{ id: row.id, state: state.state },
			input.because ? 'hold' : 'release',
			actId,
			input.because
				? { heldBecause: input.because, heldOrder: input.order && JSON.stringify(input.order) }
				: {}
		);
		return { actId };
	}
});
