import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { writeSetting } from '../store/settings';

export const bankFilesInput = z.object({ from: z.enum(['anybody', 'confirmed', 'folder']) });

/** Sets who may bring in bank files. */
export const setBankFiles = defineAct({
	kind: 'set-bank-files',
	role: 'supervisor',
	input: bankFilesInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		await writeSetting(ctx.tx, 'bankFiles', input.from);
		return { actId: await ctx.record({ summary: input }) };
	}
});
