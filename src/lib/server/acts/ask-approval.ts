import { NO_LIMITS, overLimits, type LimitedKind, type OverLimit } from '../../core/4-allocation/over-limits';
import type { ApprovalAbout } from '../../core/model/act-facts';
import type { ActContext } from '../act/define-act';
import { approval } from '../db/schema';
import { readSetting } from '../repo/settings';

export interface WantsApproval {
	readonly kind: 'decide-claims' | 'write-off-small-balances';
	/** What the act was given: run again as it is once a supervisor agrees. */
	readonly input: unknown;
	readonly about: ApprovalAbout;
	readonly customerId: number | null;
	/** What would be booked, in base currency. */
	readonly booked: readonly { readonly kind: LimitedKind; readonly base: number }[];
}

/**
 * Where a posting without money is beyond the person's limits, puts it before a supervisor and returns what it is beyond: the
 * act then stands in the record as one of asking, and nothing else is posted. An empty list: the person may go on.
 */
export async function askApproval(ctx: ActContext, wants: WantsApproval): Promise<OverLimit[]> {
	const { tx } = ctx;
	const over = overLimits((await readSetting(tx, 'limits')) ?? NO_LIMITS, ctx.who, wants.booked);
	if (over.length === 0) return over;
	const { kind, input, about, customerId } = wants;
	const actId = await ctx.as('ask-approval').record({
		summary: { about },
		facts: { kind, input, over },
		customerId
	});
	await tx.insert(approval).values({
		...{ actId, kind, input: JSON.stringify(input), over },
		...{ about: JSON.stringify(about), customerId, state: 'waiting' }
	});
	return over;
}
