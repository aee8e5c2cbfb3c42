import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { act, bankFile, bankFileConfirmation } from '../../platform/db/schema';

/** Confirms a bank file that somebody else brought in by hand: that it is what the bank gave. */
export const confirmBankFile = defineAct({
	kind: 'confirm-bank-file',
	role: 'clerk',
	input: z.object({ fileId: idField }),
	run: async (ctx, { fileId }): Promise<{ actId: number | null }> => {
		const { tx, who } = ctx;
		const file = await tx
			.select({
				name: bankFile.name,
				userId: act.userId,
				by: act.userName,
				confirmed: bankFileConfirmation.actId
			})
			.from(bankFile)
			.innerJoin(act, eq(act.id, bankFile.actId))
			.leftJoin(bankFileConfirmation, eq(bankFileConfirmation.fileId, bankFile.id))
			.where(eq(bankFile.id, fileId))
			.get();
		if (!file) throw new DomainError({ code: 'not-found', what: 'bank file' });
		if (file.confirmed !== null) return ctx.unchanged({ actId: null });
		if (file.userId === who.id) throw new DomainError({ code: 'second-person', who: file.by });
		const actId = await ctx.record({ summary: { file: file.name, who: file.by }, facts: { fileId } });
		await tx.insert(bankFileConfirmation).values({ fileId, actId });
		return { actId };
	}
});
