import { z } from 'zod';
import { cleanLine } from '../../../core/text/clean-text';
import { cutText } from '../../../core/text/cut-text';
import { defineAct } from '../../act/define-act';
import { idField } from '../../act/fields';
import type { Problem } from '../../../core/problems';
import { claimFile } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { claimById } from '../store/claim-by-id';

/** So large a file may be that is kept with a claim, in bytes. */
export const CLAIM_FILE_BYTES = 12 * 1024 * 1024;

const keptFile = z.object({
	name: z
		.string()
		.max(1_000)
		.transform((text) => cutText(cleanLine(text), 200)),
	type: z.string().max(200),
	content: z.instanceof(Buffer)
});

export const claimFilesInput = z.object({
	claimId: idField,
	files: z.array(keptFile).min(1, 'Choose a file first.').max(50)
});

/** Keeps photos, delivery notes or other files with a claim, exactly as they came: all of them or none. */
export const fileClaim = defineAct({
	kind: 'file-claim',
	role: 'clerk',
	input: claimFilesInput,
	run: async (ctx, { claimId, files }): Promise<{ actId: number; kept: number }> => {
		const problems: Problem[] = [];
		for (const { name, content } of files) {
			const bytes = content.length;
			if (bytes === 0) problems.push({ code: 'file-empty', file: name });
			if (bytes > CLAIM_FILE_BYTES)
				problems.push({ code: 'file-too-large', file: name, bytes, most: CLAIM_FILE_BYTES });
		}
		if (problems.length > 0) throw new DomainError(...problems);
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
