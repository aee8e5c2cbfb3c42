import {
	NO_LIMITS,
	overLimits,
	type LimitedKind,
	type OverLimit
} from '../../../core/4-allocation/over-limits';
import type { ApprovalAbout } from '../../../core/model/act-facts';
import type { ActContext } from '../../act/define-act';
import { approval } from '../../platform/db/schema';
import { readSetting } from '../../firm/store/settings';

/** What may be put before a supervisor. */
export type ApprovalKind = 'allocate-receipt' | 'decide-claims' | 'write-off-small-balances';

export interface WantsApproval {
	readonly kind: Exclude<ApprovalKind, 'allocate-receipt'>;
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
	const over = overLimits((await readSetting(ctx.tx, 'limits')) ?? NO_LIMITS, ctx.who, wants.booked);
	if (over.length === 0) return over;
	await putBeforeSupervisor(ctx, { ...wants, over });
	return over;
}

/** Puts something before a supervisor: the act stands in the record as one of asking; returns its number there. */
export async function putBeforeSupervisor(
	ctx: ActContext,
	wants: Omit<WantsApproval, 'booked' | 'kind'> & {
		readonly kind: ApprovalKind;
		readonly over: readonly OverLimit[];
		readonly receiptId?: number;
	}
): Promise<number> {
	const { kind, input, about, customerId, over, receiptId = null } = wants;
	const actId = await ctx.as('ask-approval').record({
		...{ summary: { about }, facts: { kind, input, over }, customerId, receiptId }
	});
	await ctx.tx.insert(approval).values({
		...{ actId, kind, input: JSON.stringify(input), over, receiptId },
		...{ about: JSON.stringify(about), customerId, state: 'waiting' }
	});
	return actId;
}
