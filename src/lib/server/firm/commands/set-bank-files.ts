import { takesTwo } from '../../approvals/store/takes-two';
import { desc } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { bankFile } from '../../platform/db/schema';
import { writeSetting } from '../store/settings';

export const bankFilesInput = z.object({ from: z.enum(['anybody', 'confirmed', 'folder']) });

/** Sets who may bring in bank files from now on. */
export const setBankFiles = takesTwo(
	defineAct({
		kind: 'set-bank-files',
		role: 'supervisor',
		input: bankFilesInput,
		run: async (ctx, input): Promise<{ actId: number }> => {
			const newest = await ctx.tx
				.select({ id: bankFile.id })
				.from(bankFile)
				.orderBy(desc(bankFile.id))
				.limit(1)
				.get();
			await writeSetting(ctx.tx, 'bankFiles', { from: input.from, since: newest?.id ?? 0 });
			return { actId: await ctx.record({ summary: input }) };
		}
	}),
	(_, { from }) => ({ code: 'set-bank-files', from })
);
