import { z } from 'zod';
import { claimAfter } from '../../../core/4-allocation/claim-life';
import { CLAIM_REASONS } from '../../../core/model/claim';
import { defineAct } from '../../act/define-act';
import { dayField, idField } from '../../act/fields';
import { DomainError } from '../../act/domain-error';
import { moveClaim } from '../store/claim-states';
import { claimById } from '../store/claim-by-id';

export const claimChangeInput = z.object({
	claimId: idField,
	reason: z.enum(CLAIM_REASONS),
	owner: z.string().trim().min(1, 'Say who follows it up.').max(80),
	deadline: dayField
});

/** Changes why a claim is made, who follows it up and by when it is decided; only while it is open. */
export const changeClaim = defineAct({
	kind: 'change-claim',
	role: 'clerk',
	input: claimChangeInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const known = await claimById(ctx.tx, input.claimId);
		if (claimAfter(known.state, 'change') === null)
			throw new DomainError({ code: 'not-found', what: 'open claim' });
		const { claimId, ...change } = input;
		const { reason, owner, deadline } = known;
		const actId = await ctx.record({
			summary: { number: known.number, ...change },
			facts: { before: { reason, owner, deadline } },
			customerId: known.customerId,
			documentId: claimId
		});
		await moveClaim(ctx.tx, known, 'change', change);
		return { actId };
	}
});
