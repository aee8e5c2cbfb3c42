import { asc, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct, type ActContext } from '../../act/define-act';
import { idField } from '../../act/fields';
import { kindOf } from '../../act/kinds';
import { saidOf } from '../../act/said';
import { MADE_OF_PARTS, UNDOABLE_POSTINGS } from '../../act/undoable';
import { act } from '../../platform/db/schema';
import { refuseUndone } from '../../act/refuse-undone';
import { DomainError } from '../../act/domain-error';
import { reinstate } from './reinstate';
import { undoPosting } from './undo-posting';
import { restoreReceipt } from '../../receipts/commands/void-receipt';
import { undoReturn } from '../../returns/commands/undo-return';

export const undoActsInput = z.object({ actIds: z.array(idField).min(1).max(5000) });

type Row = typeof act.$inferSelect;

/**
 * Undoes acts, the newest first, all of them or none: a decision with all its parts, or several acts together. Parts that were
 * undone by themselves before are passed over.
 */
export const undoActs = defineAct({
	kind: 'undo-acts',
	role: 'clerk',
	input: undoActsInput,
	run: async (ctx, input): Promise<{ actId: number; undone: number }> => {
		const ids = [...new Set(input.actIds)].sort((a, b) => b - a);
		const rows = await ctx.tx.select().from(act).where(inArray(act.id, ids));
		const byId = new Map(rows.map((row) => [row.id, row]));
		const wanted = ids.map((id) => {
			const row = byId.get(id);
			if (!row) throw new DomainError({ code: 'not-found', what: 'act' });
			return row;
		});
		for (const row of wanted) await refuseUndone(ctx.tx, row.id);
		const [one] = wanted;
		const actId = await ctx.record({
			summary: { count: wanted.length, of: wanted.length === 1 ? saidOf(one!) : null },
			facts: { of: ids },
			customerId: wanted.length === 1 ? one!.customerId : null,
			receiptId: wanted.length === 1 ? one!.receiptId : null,
			// A part's own undoing points at it.
			undoesId: wanted.length === 1 && MADE_OF_PARTS.includes(kindOf(one!)) ? one!.id : null
		});
		for (const row of wanted) await undo(ctx, row);
		return { actId, undone: wanted.length };
	}
});

async function undo(ctx: ActContext, row: Row): Promise<void> {
	const kind = kindOf(row);
	if (UNDOABLE_POSTINGS.includes(kind)) await ctx.run(undoPosting, { actId: row.id });
	else if (kind === 'undo-posting') await ctx.run(reinstate, { actId: row.id });
	else if (kind === 'return-payment') await ctx.run(undoReturn, { actId: row.id });
	else if (kind === 'void-receipt') await ctx.run(restoreReceipt, { actId: row.id });
	else if (MADE_OF_PARTS.includes(kind)) await undoParts(ctx, row);
	else throw new DomainError({ code: 'cannot-undo', act: saidOf(row) });
}

/** The parts of a decision, the last first, but those that were undone since. */
async function undoParts(ctx: ActContext, row: Row): Promise<void> {
	const parts = await ctx.tx.select().from(act).where(eq(act.parentId, row.id)).orderBy(asc(act.id));
	const undone = await ctx.tx
		.select({ id: act.undoesId })
		.from(act)
		.where(
			inArray(
				act.undoesId,
				parts.map((part) => part.id)
			)
		);
	const gone = new Set(undone.map(({ id }) => id));
	const left = parts.filter((part) => !gone.has(part.id));
	if (left.length === 0) throw new DomainError({ code: 'cannot-undo', act: saidOf(row) });
	for (const part of left.reverse()) await undo(ctx, part);
}
