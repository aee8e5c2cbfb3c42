import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import { keptFilesField, refuseOddFiles } from '../../act/kept-files';
import { claimFile } from '../../platform/db/schema';
import { claimById } from '../store/claim-by-id';

export const claimFilesInput = z.object({ claimId: idField, files: keptFilesField });

/** Keeps photos, delivery notes or other files with a claim, exactly as they came: all of them or none. */
export const fileClaim = defineAct({
	kind: 'file-claim',
	role: 'clerk',
	input: claimFilesInput,
	run: async (ctx, { claimId, files }): Promise<{ actId: number; kept: number }> => {
		refuseOddFiles(files);
		const known = await claimById(ctx.tx, claimId);
		const actId = await ctx.record({
			summary: { number: known.number, files: files.map((file) => file.name) },
			facts: { files: files.map(({ name, content }) => ({ name, bytes: content.length })) },
			customerId: known.customerId,
			documentId: claimId
		});
		for (const file of files)
			await ctx.tx.insert(claimFile).values({ ...file, claimId, actId, bytes: file.content.length });
		return { actId, kept: files.length };
	}
});
