import { limitChanges } from '../../../core/4-allocation/limit-changes';
import { NO_LIMITS } from '../../../core/4-allocation/over-limits';
import { defineAct } from '../../act/define-act';
import { takesTwo } from '../../approvals/store/takes-two';
import type { Reader } from '../../platform/db/open';
import { user } from '../../platform/db/schema';
import { baseCurrencyOr, LIMITS_SHAPE, readSetting, writeSetting } from '../store/settings';

export const limitsInput = LIMITS_SHAPE;

/** Sets how much each role, or one person, may book alone; what was posted before stays. Takes two people. */
export const setLimits = takesTwo(
	defineAct({
		kind: 'set-limits',
		role: 'supervisor',
		input: limitsInput,
		run: async (ctx, input): Promise<{ actId: number }> => {
			const { tx } = ctx;
			await writeSetting(tx, 'limits', input);
			const actId = await ctx.record({ summary: {}, facts: input });
			return { actId };
		}
	}),
	async ({ tx }, input) => ({
		code: 'set-limits',
		baseCurrency: await baseCurrencyOr(tx, 'GBP'),
		changes: limitChanges((await readSetting(tx, 'limits')) ?? NO_LIMITS, input, await namesOf(tx))
	})
);

async function namesOf(db: Reader): Promise<ReadonlyMap<string, string>> {
	const rows = await db.select({ id: user.id, name: user.name }).from(user);
	return new Map(rows.map(({ id, name }) => [id, name]));
}
