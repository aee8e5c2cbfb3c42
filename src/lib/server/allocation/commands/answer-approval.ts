import { eq } from 'drizzle-orm';
import { z } from 'zod';
import type { OverLimit } from '../../../core/4-allocation/over-limits';
import { defineAct, type ActContext } from '../../act/define-act';
import { idField, noteField } from '../../act/fields';
import { requireRole } from '../../act/person';
import type { AllocationOrder } from '../allocation-input';
import { act, approval, receiptState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { approvalAbout } from '../store/approval-about';
import { readSetting } from '../../firm/store/settings';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { postAllocation } from './allocate-receipt';
import { decideClaims, decideInput } from '../../claims/commands/decide-claims';
import { smallBalancesInput, writeOffSmallBalances } from './write-off-small-balances';

export const answerApprovalInput = z
	.object({
		/** The act of asking. */
		asked: idField,
		answer: z.enum(['agree', 'refuse', 'withdraw']),
		why: noteField
	})
	.refine((one) => one.answer !== 'refuse' || one.why !== '', {
		message: 'Say why not: whoever asked will read it.',
		path: ['why']
	});

/** What becomes of the receipt that waits for it. */
const MOVES = { agree: 'agree', refuse: 'refuse', withdraw: 'withdraw_request' } as const;
const STATES = { agree: 'agreed', refuse: 'refused', withdraw: 'withdrawn' } as const;

/**
 * Answers somebody who asked a supervisor. Agreed, it is posted as it was asked for, in the supervisor's name and within the
 * supervisor's own limits, on the day of agreeing; refused where the books are no longer as they were then.
 */
export const answerApproval = defineAct({
	kind: 'answer-approval',
	role: 'clerk',
	input: answerApprovalInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const found = await tx
			.select({ approval, askedBy: act.userId, askedByName: act.userName })
			.from(approval)
			.innerJoin(act, eq(act.id, approval.actId))
			.where(eq(approval.actId, input.asked))
			.get();
		if (!found) throw new DomainError({ code: 'not-found', what: 'question to a supervisor' });
		if (found.approval.state !== 'waiting') {
			const last = await tx.select().from(act).where(eq(act.id, found.approval.endedActId!)).get();
			throw new DomainError({ code: 'already-answered', who: last!.userName, at: last!.at });
		}
		if (input.answer !== 'withdraw' || found.askedBy !== ctx.who.id) requireRole(ctx.who, 'supervisor');
		const actId = await ctx.record({
			summary: { answer: input.answer, about: approvalAbout(found.approval.about), why: input.why },
			facts: { asked: input.asked, askedBy: found.askedByName, reason: input.why },
			customerId: found.approval.customerId
		});
		await tx
			.update(approval)
			.set({ state: STATES[input.answer], endedActId: actId })
			.where(eq(approval.actId, input.asked));
		const { receiptId } = found.approval;
		if (receiptId !== null) {
			const why = `${ctx.who.name} did not agree: ${input.why}`;
			const change = input.answer === 'refuse' ? { heldBecause: why } : {};
			await moveReceipt(tx, { id: receiptId, state: 'in_approval' }, MOVES[input.answer], actId, change);
		}
		if (input.answer === 'agree') await post(ctx, found.approval);
		return { actId };
	}
});

async function post(ctx: ActContext, wanted: typeof approval.$inferSelect): Promise<void> {
	const waits = await runWanted(ctx, wanted);
	if (waits.length === 0) return;
	const currency = (await readSetting(ctx.tx, 'firm'))?.baseCurrency ?? 'GBP';
	throw new DomainError(...waits.map((one) => ({ ...one, code: 'over-limit' as const, currency })));
}

/** Does what was asked for; the kinds of earlier versions were called otherwise. */
async function runWanted(
	ctx: ActContext,
	{ kind, input }: typeof approval.$inferSelect
): Promise<readonly OverLimit[]> {
	const given: unknown = JSON.parse(input);
	switch (kind) {
		case 'allocate-receipt': {
			const order = given as AllocationOrder;
			const now = await ctx.tx
				.select({ version: receiptState.version })
				.from(receiptState)
				.where(eq(receiptState.receiptId, order.receiptId!))
				.get();
			return (await postAllocation(ctx.part('allocate-receipt'), { ...order, receiptVersion: now!.version }))
				.waits;
		}
		case 'decide-claim':
		case 'decide-claims':
			return (await ctx.run(decideClaims, given as z.input<typeof decideInput>)).waits;
		case 'write-off-remainders':
		case 'write-off-small-balances':
			return (await ctx.run(writeOffSmallBalances, given as z.input<typeof smallBalancesInput>)).waits;
	}
}
