import { eq } from 'drizzle-orm';
import { z } from 'zod';
import type { Tx } from '../db/open';
import { act, approval } from '../db/schema';
import { DomainError } from '../domain-error';
import { recordAct } from '../repo/record-act';
import { readSetting } from '../repo/settings';
import { decideClaims } from './decide-claims';
import { defineAct, requireRole, type Circumstance } from './perform';
import { writeOffRemainders } from './write-off-remainders';

export const answerApprovalInput = z
	.object({
		/** The act of asking. */
		asked: z.number().int(),
		answer: z.enum(['agree', 'refuse', 'withdraw']),
		why: z.string().trim().max(400).default('')
	})
	.refine((one) => one.answer !== 'refuse' || one.why !== '', {
		message: 'Say why not: whoever asked will read it.',
		path: ['why']
	});

const STATES = { agree: 'agreed', refuse: 'refused', withdraw: 'withdrawn' } as const;
const SAYS = { agree: 'Agreed', refuse: 'Did not agree', withdraw: 'Asked no longer' } as const;

/**
 * Answers somebody who asked a supervisor. Agreed, it is posted as it was asked for, in the supervisor's name and within the
 * supervisor's own limits, on the day of agreeing; refused where the books are no longer as they were then.
 */
export const answerApproval = defineAct({
	kind: 'answer-approval',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof answerApprovalInput>, at) => {
		const input = answerApprovalInput.parse(given);
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
		if (input.answer !== 'withdraw' || found.askedBy !== at.who.id) requireRole(at.who, 'supervisor');
		const actId = await recordAct(tx, {
			kind: 'answer-approval',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `${SAYS[input.answer]}: ${found.approval.about}${input.why ? ` (${input.why})` : ''}`,
			facts: { asked: input.asked, askedBy: found.askedByName, answer: input.answer, reason: input.why },
			customerId: found.approval.customerId
		});
		await tx
			.update(approval)
			.set({ state: STATES[input.answer], endedActId: actId })
			.where(eq(approval.actId, input.asked));
		if (input.answer === 'agree') await post(tx, found.approval, at);
		return { actId };
	}
});

async function post(tx: Tx, wanted: typeof approval.$inferSelect, at: Circumstance): Promise<void> {
	const input: unknown = JSON.parse(wanted.input);
	const inner = { ...at, key: undefined };
	const { waits } =
		wanted.kind === 'decide-claim'
			? await decideClaims.run(tx, input as Parameters<typeof decideClaims.run>[1], inner)
			: await writeOffRemainders.run(tx, input as Parameters<typeof writeOffRemainders.run>[1], inner);
	if (waits.length === 0) return;
	const currency = (await readSetting(tx, 'firm'))?.baseCurrency ?? 'GBP';
	throw new DomainError(...waits.map((one) => ({ ...one, code: 'over-limit' as const, currency })));
}
