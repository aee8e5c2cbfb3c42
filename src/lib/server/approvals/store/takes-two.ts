import { and, eq, ne } from 'drizzle-orm';
import type { ApprovalAbout } from '../../../core/model/act-facts';
import type { TwoPersonAct } from '../../../core/model/approval';
import type { Act, ActContext } from '../../act/define-act';
import { APPLICATION } from '../../act/person';
import type { Reader } from '../../platform/db/open';
import { credential, user } from '../../platform/db/schema';
import { askApproval } from './ask-approval';

/** It waits: another supervisor was asked, by the act of this number. */
export interface Asked {
	readonly asked: number;
}

/**
 * Makes an act one that takes two people: whoever does it asks another supervisor, and it is done when that one agrees. A firm
 * with one supervisor has nobody to ask: there it is done at once, and the record says by whom alone.
 * @param about what the other one is told
 */
export function takesTwo<K extends TwoPersonAct, Given, Input, Output>(
	act: Act<K, Given, Input, Output>,
	about: (ctx: ActContext, input: Input) => ApprovalAbout | Promise<ApprovalAbout>
): Act<K, Given, Input, Output | Asked> {
	return {
		...act,
		run: async (ctx, input) => {
			if (ctx.agreedFor || ctx.rehearsing || !(await hasAnotherSupervisor(ctx.tx, ctx.who)))
				return act.run(ctx, input);
			const asked = await askApproval(ctx, {
				...{ kind: act.kind, input, about: await about(ctx, input), customerId: null, over: [] },
				run: (rehearsal) => act.run(rehearsal.as(act.kind), input)
			});
			return { asked };
		}
	};
}

/** Whether there is somebody else who could agree: a supervisor who can sign in. */
export async function hasAnotherSupervisor(db: Reader, who: { readonly id: string }): Promise<boolean> {
	if (who.id === APPLICATION.id) return false;
	const others = await db
		.select({ id: user.id })
		.from(user)
		.innerJoin(credential, eq(credential.userId, user.id))
		.where(and(eq(user.role, 'supervisor'), eq(user.active, true), ne(user.id, who.id)))
		.limit(1);
	return others.length > 0;
}
