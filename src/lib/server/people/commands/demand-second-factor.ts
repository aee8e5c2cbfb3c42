import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { ROLES } from '../../act/person';
import { takesTwo } from '../../approvals/store/takes-two';
import { writeSetting } from '../../firm/store/settings';

export const demandInput = z.object({ roles: z.array(z.enum(ROLES)).max(ROLES.length) });

/**
 * Sets which roles have to show a second factor when they sign in. Who has none sets one up before anything else, the next time that
 * they ask for something. Takes two people.
 */
export const demandSecondFactor = takesTwo(
	defineAct({
		kind: 'demand-second-factor',
		role: 'supervisor',
		input: demandInput,
		run: async (ctx, input): Promise<{ actId: number }> => {
			const roles = ROLES.filter((role) => input.roles.includes(role));
			await writeSetting(ctx.tx, 'secondFactor', { roles });
			return { actId: await ctx.record({ summary: { roles } }) };
		}
	}),
	(_, { roles }) => ({ code: 'demand-second-factor', roles })
);
