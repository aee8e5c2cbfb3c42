import { NO_LIMITS, overLimits, type LimitedKind, type OverLimit } from '../../core/4-allocation/over-limits';
import type { Tx } from '../db/open';
import { approval } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { readSetting } from '../repo/settings';
import type { Circumstance } from './perform';

export interface WantsApproval {
	readonly kind: (typeof approval.$inferInsert)['kind'];
	/** What the act was given: run again as it is once a supervisor agrees. */
	readonly input: unknown;
	/** What it is about, in words. */
	readonly about: string;
	readonly customerId: number | null;
	/** What would be booked, in base currency. */
	readonly booked: readonly { readonly kind: LimitedKind; readonly base: number }[];
}

/**
 * Where a posting without money is beyond the person's limits, puts it before a supervisor and returns what it is beyond.
 * Nothing else is posted then. An empty list: the person may go on.
 */
export async function askApproval(tx: Tx, wants: WantsApproval, at: Circumstance): Promise<OverLimit[]> {
	const over = overLimits((await readSetting(tx, 'limits')) ?? NO_LIMITS, at.who, wants.booked);
	if (over.length === 0) return over;
	const { kind, input, about, customerId } = wants;
	const actId = await recordAct(tx, {
		kind: 'ask-approval',
		date: at.today,
		at: at.now(),
		userId: at.who.id,
		userName: at.who.name,
		summary: `Asked a supervisor: ${about}`,
		facts: { kind, input, over },
		customerId,
		key: at.key
	});
	await tx
		.insert(approval)
		.values({ actId, kind, input: JSON.stringify(input), over, about, customerId, state: 'waiting' });
	return over;
}

/** What an act sent a second time was beyond, where the first time put it before a supervisor: it waits, and nothing is posted. */
export function askedBefore(done: { readonly kind: string; readonly facts: string }): readonly OverLimit[] {
	return done.kind === 'ask-approval' ? (JSON.parse(done.facts) as { over: OverLimit[] }).over : [];
}
