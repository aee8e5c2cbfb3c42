import { and, eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import { minor } from '../../../core/money/minor';
import { postAllocation } from '../../allocation/commands/allocate-receipt';
import { defineAct, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import { document, interestCharge, interestCorrection, item, itemState } from '../../platform/db/schema';
import { itemsById } from '../../documents/store/open-items';
import { issueInterest } from './charge-interest';

/**
 * Takes charges of interest back, one or many: each is credited in full, less what was given back of it before, and its days may be
 * charged again. What was paid of it meanwhile lies on account.
 */
export const undoInterest = defineAct({
	kind: 'undo-interest',
	role: 'clerk',
	input: z.object({
		/** The charges, by their documents. */
		documents: z.array(idField).min(1, 'Choose a charge first.').max(5_000)
	}),
	run: async (ctx, { documents }): Promise<{ actId: number; undone: number }> => {
		const ids = [...new Set(documents)];
		const actId = await ctx.record({ summary: { count: ids.length } });
		for (const id of ids) await undoOne(ctx, id);
		return { actId, undone: ids.length };
	}
});

async function undoOne(ctx: ActContext, documentId: number): Promise<void> {
	const { tx, today } = ctx;
	const rows = await tx.select().from(interestCharge).where(eq(interestCharge.documentId, documentId)).all();
	const [head] = await tx.select().from(document).where(eq(document.id, documentId)).all();
	const [first] = rows;
	if (!first || !head) throw new DomainError({ code: 'not-found', what: 'charge of interest' });
	await refuseUndone(tx, first.actId);
	const back = await tx
		.select({ amount: interestCorrection.amount })
		.from(interestCorrection)
		.where(
			inArray(
				interestCorrection.chargeId,
				rows.map((row) => row.id)
			)
		)
		.all();
	const left = minor(head.total - back.reduce((sum, one) => sum + one.amount, 0));
	const { customerId, currency, number } = head;
	const part = ctx.part('undo-interest-charge');
	await part.record({
		summary: { number, sum: { amount: left, currency } },
		...{ customerId, documentId, undoesId: first.actId }
	});
	if (left <= 0) return;
	const lines = [{ text: `interest charged on ${number} is taken back`, net: left }];
	const noteId = await issueInterest(part, 'credit_note', { customerId, currency, lines }, today);
	const [charge, note] = [await itemOf(ctx, documentId), await itemOf(ctx, noteId)];
	const settles = minor(Math.min(charge.open, note.open));
	if (settles <= 0) return;
	await postAllocation(part.part('allocate-receipt'), {
		...{ receiptId: null, receiptVersion: null, customerId },
		lines: [
			{ itemId: charge.id, version: charge.version, cash: settles, differences: [] },
			{ itemId: note.id, version: note.version, cash: minor(-settles), differences: [] }
		]
	});
}

async function itemOf({ tx }: ActContext, documentId: number) {
	const [row] = await tx
		.select({ id: item.id })
		.from(item)
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(and(eq(item.documentId, documentId)))
		.all();
	const [found] = await itemsById(tx, [row!.id]);
	return found!;
}
