import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { INTEREST_SHAPE } from '../../firm/store/interest-shape';
import { readSetting, writeSetting } from '../../firm/store/settings';

/** Sets on which terms interest is charged. What was charged stays; days that were charged are not charged again. */
export const setInterest = defineAct({
	kind: 'set-interest',
	role: 'supervisor',
	input: INTEREST_SHAPE,
	run: async (ctx, given): Promise<{ actId: number }> => {
		const before = await readSetting(ctx.tx, 'interest');
		if ((before?.version ?? 0) !== given.version)
			throw new DomainError({ code: 'wording-changed', name: 'the terms of interest' });
		const actId = await ctx.record({
			summary: { margin: given.margin, since: given.since },
			facts: { before, after: given }
		});
		await writeSetting(ctx.tx, 'interest', { ...given, version: given.version + 1 });
		return { actId };
	}
});
