import { eq } from 'drizzle-orm';
import { z } from 'zod';
import type { OverLimit } from '../../../core/4-allocation/over-limits';
import type { ActKind } from '../../../core/model/act-facts';
import { defineAct, type Act, type ActContext } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { idField, noteField } from '../../act/fields';
import { requireRole } from '../../act/person';
import { postAllocation } from '../../allocation/commands/allocate-receipt';
import { writeOffSmallBalances } from '../../allocation/commands/write-off-small-balances';
import type { AllocationOrder } from '../../allocation/allocation-input';
import { decideClaims } from '../../claims/commands/decide-claims';
import { bringInDocuments } from '../../documents/commands/bring-in-documents';
import { issueByHand } from '../../documents/commands/issue-by-hand';
import { addBankAccount } from '../../firm/commands/add-bank-account';
import { setAuditor } from '../../firm/commands/set-auditor';
import { setLetters } from '../../firm/commands/set-letters';
import { setMailServer } from '../../firm/commands/set-mail-server';
import { setBankFiles } from '../../firm/commands/set-bank-files';
import { setLimits } from '../../firm/commands/set-limits';
import { baseCurrencyOr } from '../../firm/store/settings';
import { addPerson, changeRole } from '../../people/commands/people';
import { makeSignInCode } from '../../people/commands/make-sign-in-code';
import { demandSecondFactor } from '../../people/commands/demand-second-factor';
import { takeOffSecondFactors } from '../../people/commands/take-off-second-factors';
import { unlockPeriod } from '../../periods/commands/lock-period';
import { act, approval, receiptState } from '../../platform/db/schema';
import { setAside } from '../../receipts/commands/set-aside';
import { moveReceipt } from '../../receipts/store/receipt-states';
import { makeRefundFile } from '../../refunds/commands/make-refund-file';
import { approvalAbout } from '../store/approval-about';
import { overLimitProblems } from '../store/ask-approval';

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

type Again = (ctx: ActContext, given: never) => Promise<unknown>;

/** Does an act as it was asked for: its input was checked when it was, and is again. */
function again<K extends ActKind, Given, Input, Output>(act: Act<K, Given, Input, Output>): Again {
	return (ctx, given) => ctx.run(act, given as Given);
}

const ACTS: Readonly<
	Record<Exclude<(typeof approval.$inferSelect)['kind'], 'allocate-receipt' | 'set-aside'>, Again>
> = {
	'decide-claims': again(decideClaims),
	'decide-claim': again(decideClaims),
	'write-off-small-balances': again(writeOffSmallBalances),
	'write-off-remainders': again(writeOffSmallBalances),
	'issue-by-hand': again(issueByHand),
	'bring-in-documents': again(bringInDocuments),
	'make-refund-file': again(makeRefundFile),
	'add-bank-account': again(addBankAccount),
	'set-limits': again(setLimits),
	'add-person': again(addPerson),
	'change-role': again(changeRole),
	'make-sign-in-code': again(makeSignInCode),
	'take-off-second-factors': again(takeOffSecondFactors),
	'demand-second-factor': again(demandSecondFactor),
	'unlock-period': again(unlockPeriod),
	'set-bank-files': again(setBankFiles),
	'set-auditor': again(setAuditor),
	'set-letters': again(setLetters),
	'set-mail-server': again(setMailServer)
};

/** What becomes of the receipt that waits for it. */
const MOVES = { agree: 'agree', refuse: 'refuse', withdraw: 'withdraw_request' } as const;
const STATES = { agree: 'agreed', refuse: 'refused', withdraw: 'withdrawn' } as const;

/**
 * Answers somebody who asked a supervisor. Agreed, it is done as it was asked for, in the supervisor's name and within the
 * supervisor's own limits, on the day of agreeing; refused where the books are no longer as they were then. Nobody agrees to what
 * they asked for themselves.
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
		if (input.answer === 'agree' && found.askedBy === ctx.who.id)
			throw new DomainError({ code: 'own-request' });
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
			const why = `${ctx.who.name} rejected it: ${input.why}`;
			const change = input.answer === 'refuse' ? { heldBecause: why } : {};
			await moveReceipt(tx, { id: receiptId, state: 'in_approval' }, MOVES[input.answer], actId, change);
		}
		if (input.answer === 'agree') {
			ctx.agreed({ id: found.askedBy, name: found.askedByName });
			await post(ctx, found.approval);
		}
		return { actId };
	}
});

async function post(ctx: ActContext, wanted: typeof approval.$inferSelect): Promise<void> {
	const output = await runWanted(ctx, wanted);
	const waits = (output as { readonly waits?: readonly OverLimit[] } | undefined)?.waits ?? [];
	if (waits.length > 0)
		throw new DomainError(...overLimitProblems(waits, await baseCurrencyOr(ctx.tx, 'GBP')));
}

/** Does what was asked for; the kinds of earlier versions were called otherwise. */
async function runWanted(ctx: ActContext, wanted: typeof approval.$inferSelect): Promise<unknown> {
	const given = JSON.parse(wanted.input) as never;
	const { kind, receiptId } = wanted;
	if (kind === 'allocate-receipt')
		return postAllocation(ctx.part(kind), await asItIs(ctx, given as AllocationOrder, receiptId));
	if (kind === 'set-aside') return ctx.run(setAside, await asItIs(ctx, given, receiptId));
	return ACTS[kind](ctx, given);
}

/** What of an order to post may have changed by asking alone: the receipt's version. */
async function asItIs<T extends object>(ctx: ActContext, order: T, receiptId: number | null): Promise<T> {
	if (receiptId === null) return order;
	const now = await ctx.tx
		.select({ version: receiptState.version })
		.from(receiptState)
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	return { ...order, receiptVersion: now!.version };
}
