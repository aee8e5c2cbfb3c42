import { eq, sql } from 'drizzle-orm';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import { forgottenHistory, pastPayment } from '../../platform/db/schema';

/** Takes a history of payments back: nothing that it taught counts any more, and it may be brought in anew. */
export const takeBackHistory = defineAct({
	kind: 'take-back-history',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, { actId: historyActId }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const rows = await tx
			.select({ n: sql<number>`count(*)` })
			.from(pastPayment)
			.where(eq(pastPayment.actId, historyActId))
			.all();
		const count = rows[0]!.n;
		if (count === 0) throw new DomainError({ code: 'not-found', what: 'history of payments' });
		await refuseUndone(tx, historyActId);
		const actId = await ctx.record({ summary: { count }, undoesId: historyActId });
		await tx.insert(forgottenHistory).values({ actId, historyActId });
		return { actId };
	}
});
