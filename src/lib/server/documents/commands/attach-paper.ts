import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, idField } from '../../act/fields';
import { keptFilesField, refuseOddFiles } from '../../act/kept-files';
import { refuseUndone } from '../../act/refuse-undone';
import { document, documentPaper } from '../../platform/db/schema';

/** How a PDF begins (ISO 32000-1, section 7.5.2); some have a few bytes in front. */
const isPdf = (content: Buffer) => content.subarray(0, 1024).includes('%PDF-');

/** Attaches the paper of a document as the firm sent it elsewhere: from then on copies are that, in place of one drawn from what is posted. */
export const attachPaper = defineAct({
	kind: 'attach-paper',
	role: 'clerk',
	input: z.object({
		documentId: idField,
		files: keptFilesField.refine((files) => files.length === 1, 'A document has one paper: choose one file.')
	}),
	run: async (ctx, { documentId, files }): Promise<{ actId: number }> => {
		refuseOddFiles(files);
		const { name, content } = files[0]!;
		if (!isPdf(content)) throw new DomainError({ code: 'not-a-pdf', file: name });
		const [owner] = await ctx.tx
			.select({ kind: document.kind, number: document.number, customerId: document.customerId })
			.from(document)
			.where(eq(document.id, documentId))
			.all();
		if (!owner || owner.kind === 'claim') throw new DomainError({ code: 'not-found', what: 'document' });
		const actId = await ctx.record({
			summary: { number: owner.number, file: name },
			facts: { bytes: content.length },
			...{ customerId: owner.customerId, documentId }
		});
		await ctx.tx.insert(documentPaper).values({ actId, documentId, name, bytes: content.length, content });
		return { actId };
	}
});

/** Takes a paper off its document; it stays in the record. The one before it holds again, or it is drawn from what is posted. */
export const takeOffPaper = defineAct({
	kind: 'take-off-paper',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, { actId: attachedBy }): Promise<{ actId: number }> => {
		const [paper] = await ctx.tx
			.select({
				...{ file: documentPaper.name, documentId: documentPaper.documentId },
				...{ number: document.number, customerId: document.customerId }
			})
			.from(documentPaper)
			.innerJoin(document, eq(document.id, documentPaper.documentId))
			.where(eq(documentPaper.actId, attachedBy))
			.all();
		if (!paper) throw new DomainError({ code: 'not-found', what: 'paper' });
		await refuseUndone(ctx.tx, attachedBy);
		const { number, file, customerId, documentId } = paper;
		const actId = await ctx.record({
			...{ summary: { number, file }, customerId, documentId, undoesId: attachedBy }
		});
		return { actId };
	}
});
