import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { act, bankFile, bankStatement, statementAcceptance } from '../../platform/db/schema';
import { statementFaults } from '../store/statement-faults';

export const acceptStatementInput = z.object({
	statementId: idField,
	reason: z.string().trim().min(1, 'Say why: it stands in the record.').max(400)
});

/**
 * Takes a statement for the bank's that does not go on from the one before: the missing one will never come, or the bank put something
 * right. Not for who brought it in.
 */
export const acceptStatement = defineAct({
	kind: 'accept-statement',
	role: 'supervisor',
	input: acceptStatementInput,
	run: async (ctx, { statementId, reason }): Promise<{ actId: number | null }> => {
		const { tx, who } = ctx;
		const statement = await tx
			.select({ reference: bankStatement.reference, userId: act.userId, by: act.userName })
			.from(bankStatement)
			.innerJoin(bankFile, eq(bankFile.id, bankStatement.fileId))
			.innerJoin(act, eq(act.id, bankFile.actId))
			.where(eq(bankStatement.id, statementId))
			.get();
		if (!statement) throw new DomainError({ code: 'not-found', what: 'statement' });
		const faults = await statementFaults(tx);
		if (!faults.some((fault) => fault.statementId === statementId)) return ctx.unchanged({ actId: null });
		if (statement.userId === who.id) throw new DomainError({ code: 'second-person', who: statement.by });
		const actId = await ctx.record({
			summary: { statement: statement.reference, reason },
			facts: { statementId }
		});
		await tx.insert(statementAcceptance).values({ statementId, actId });
		return { actId };
	}
});
