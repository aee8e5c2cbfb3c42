import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import { meetReports, takeReported, toldAgain } from '../store/reported-entries';

export const dismissReportedInput = z.object({
	reported: z.array(idField).min(1, 'Tick an entry first.').max(5_000),
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/**
 * Takes reported entries off the list that the bank never booked. No money hangs on them; should a statement bring one all the same, it
 * is an entry like any other.
 */
export const dismissReported = defineAct({
	kind: 'dismiss-reported',
	role: 'clerk',
	input: dismissReportedInput,
	run: async (ctx, { reported, reason }): Promise<{ actId: number; count: number }> => {
		const { tx } = ctx;
		const ids = new Set(reported);
		const rows = await takeReported(tx, ids);
		const actId = await ctx.record({
			summary: { count: rows.length, reason },
			facts: { reported: [...ids] }
		});
		await meetReports(
			tx,
			actId,
			[...rows, ...(await toldAgain(tx, ids))].map(({ id }) => ({ reportedId: id, entryId: null }))
		);
		return { actId, count: rows.length };
	}
});
