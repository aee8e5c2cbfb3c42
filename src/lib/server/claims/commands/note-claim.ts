import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import { claimNote } from '../../platform/db/schema';
import { claimById } from '../store/claim-by-id';

export const claimNoteInput = z.object({
	claimId: idField,
	text: z.string().trim().min(1, 'Type the note first.').max(2_000)
});

/** Keeps what somebody noted about a claim. */
export const noteClaim = defineAct({
	kind: 'note-claim',
	role: 'clerk',
	input: claimNoteInput,
	run: async (ctx, { claimId, text }): Promise<{ actId: number }> => {
		const known = await claimById(ctx.tx, claimId);
		const actId = await ctx.record({
			summary: { number: known.number, text },
			customerId: known.customerId,
			documentId: claimId
		});
		await ctx.tx.insert(claimNote).values({ actId, claimId, text });
		return { actId };
	}
});
