import { and, desc, eq, gt, inArray, isNull, ne } from 'drizzle-orm';
import type { StepEffect } from '../../../core/7-letters/chasing/policy';
import type { Day } from '../../../core/day/day';
import type { CallOutcome } from '../../../core/model/call-outcome';
import { ZERO } from '../../../core/money/minor';
import { customerByCode } from '../../customers/store/customer-by-code';
import { idsOfAccount } from '../../customers/store/merged-accounts';
import { defineLook } from '../../act/define-look';
import { act, chasingStep, delivery, itemState, phoneCall, task } from '../../platform/db/schema';
import { chaseAccounts, stepStands } from '../store/chases';
import { policyOf, readPolicies } from '../store/policies';

/** How a customer is being chased. */
export interface ChaseOf {
	readonly policy: string;
	/** By currency: the step that is due, or the one that comes. */
	readonly stands: readonly {
		readonly currency: string;
		readonly due: string | null;
		readonly next: { readonly name: string; readonly day: Day } | null;
	}[];
	/** What follows from steps on items that are still open. */
	readonly effects: readonly { readonly effect: StepEffect; readonly step: string; readonly day: Day }[];
	readonly calls: readonly {
		readonly day: Day;
		readonly outcome: CallOutcome;
		readonly said: string;
		readonly by: string;
	}[];
	readonly tasks: readonly { readonly id: number; readonly day: Day; readonly what: string }[];
}

const CALLS = 3;

/** How a customer is being chased: the step, what followed from steps, calls, and what is to be done. */
export const lookAtChaseOf = defineLook(
	'reader',
	async (db, code: string, { today }): Promise<ChaseOf | null> => {
		const owner = await customerByCode(db, code);
		if (!owner) return null;
		const ids = await idsOfAccount(db, owner.id);
		const chases = [...(await chaseAccounts(db, today, [owner.id])).values()];
		const effects = await db
			.selectDistinct({ effect: chasingStep.effect, step: chasingStep.name, day: chasingStep.day })
			.from(chasingStep)
			.innerJoin(itemState, eq(itemState.itemId, chasingStep.itemId))
			.leftJoin(delivery, eq(delivery.letterId, chasingStep.letterId))
			.where(
				and(
					eq(itemState.customerId, owner.id),
					gt(itemState.open, ZERO),
					ne(chasingStep.effect, 'nothing'),
					stepStands
				)
			)
			.orderBy(desc(chasingStep.day))
			.limit(5)
			.all();
		const calls = await db
			.select({ day: phoneCall.day, outcome: phoneCall.outcome, said: phoneCall.said, by: act.userName })
			.from(phoneCall)
			.innerJoin(act, eq(act.id, phoneCall.actId))
			.where(inArray(phoneCall.customerId, [...ids]))
			.orderBy(desc(phoneCall.id))
			.limit(CALLS)
			.all();
		const tasks = await db
			.select({ id: task.id, day: task.day, what: task.what })
			.from(task)
			.where(and(inArray(task.customerId, [...ids]), isNull(task.doneActId)))
			.orderBy(task.day, task.id)
			.limit(50)
			.all();
		return {
			policy: policyOf(await readPolicies(db), owner.chasingPolicy).name,
			stands: chases.map(({ currency, step, calls: due, next }) => ({
				...{ currency, next, due: step?.step.name ?? due[0]?.step.name ?? null }
			})),
			...{ effects, calls, tasks }
		};
	}
);
