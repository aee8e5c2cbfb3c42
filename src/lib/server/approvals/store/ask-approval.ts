import type { OverLimit } from '../../../core/4-allocation/over-limits';
import type { ApprovalAbout } from '../../../core/model/act-facts';
import type { ApprovalKind } from '../../../core/model/approval';
import type { ActContext } from '../../act/define-act';
import { approval } from '../../platform/db/schema';
import { rehearse } from './rehearse';

export interface WantsApproval {
	readonly kind: ApprovalKind;
	/** What the act was given: run again as it is once a supervisor agrees. */
	readonly input: unknown;
	readonly about: ApprovalAbout;
	/** The account, where it is about one alone. */
	readonly customerId: number | null;
	readonly receiptId?: number | null;
	/** What it is beyond; empty where it takes two people whatever the sum. */
	readonly over: readonly OverLimit[];
	/** Does the act, as agreeing would: what it posts is kept for whoever is asked, and then taken back. */
	readonly run: (ctx: ActContext) => Promise<unknown>;
}

/**
 * Puts something before a supervisor: the act stands in the record as one of asking, with all that agreeing would post, and nothing
 * else is posted. What would be refused anyway is refused at once. Returns its number in the record.
 */
export async function askApproval(ctx: ActContext, wants: WantsApproval): Promise<number> {
	const { kind, input, about, customerId, over, receiptId = null } = wants;
	const asking = ctx.as('ask-approval');
	const actId = await asking.record({
		...{ summary: { about }, facts: { kind, input, over }, customerId, receiptId }
	});
	const { lines: shows, items } = await rehearse(asking, actId, wants.run);
	await ctx.tx.insert(approval).values({
		...{ actId, kind, input: JSON.stringify(input), over, receiptId, shows },
		...{ about: JSON.stringify({ ...about, items }), customerId, state: 'waiting' }
	});
	return actId;
}

/** What is beyond somebody's limits, as problems: for what cannot wait for a supervisor. */
export function overLimitProblems(over: readonly OverLimit[], currency: string) {
	return over.map((one) => ({ ...one, code: 'over-limit' as const, currency }));
}
