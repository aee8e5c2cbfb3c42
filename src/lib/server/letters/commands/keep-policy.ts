import { count, eq } from 'drizzle-orm';
import { z } from 'zod';
import type { ChasingPolicy, ChasingStep } from '../../../core/7-letters/chasing/policy';
import type { Problem } from '../../../core/problems';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { CHASING_POLICY } from '../../firm/store/chasing-shape';
import { writeSetting } from '../../firm/store/settings';
import { customer } from '../../platform/db/schema';
import { readPolicies } from '../store/policies';
import { readWordings } from '../store/wordings';

const MOST = 20;

const field = (name: string, message: string): Problem => ({ code: 'field', field: name, message });

/**
 * Sets a way of chasing customers. The first is the usual one. Steps that were taken count for those of the same id, so that renaming or
 * moving a step sends nothing twice; a new step gets an id that no way of chasing has.
 */
export const keepPolicy = defineAct({
	kind: 'keep-policy',
	role: 'supervisor',
	input: z.object({
		/** With the version that the person saw; an id of `new` for a new one, and for new steps one that begins with `new`. */
		policy: CHASING_POLICY
	}),
	run: async (ctx, { policy }): Promise<{ actId: number; id: string }> => {
		const { tx } = ctx;
		const all = await readPolicies(tx);
		const isNew = policy.id === 'new';
		const before = all.find((one) => one.id === policy.id) ?? null;
		if (!isNew && !before) throw new DomainError({ code: 'not-found', what: 'way of chasing' });
		if (before && before.version !== policy.version)
			throw new DomainError({ code: 'wording-changed', name: policy.name });
		if (isNew && all.length >= MOST)
			throw new DomainError(field('policy.name', `There are ${MOST} ways of chasing already.`));
		if (all.some((one) => one !== before && one.name.toLowerCase() === policy.name.toLowerCase()))
			throw new DomainError(
				field('policy.name', `There is a way of chasing called “${policy.name}” already.`)
			);
		const wordings = await readWordings(tx);
		const wrong = policy.steps.flatMap((step, n) => {
			const found = wordings.find(step.wording, 'en') ?? wordings.find(step.wording, 'de');
			return step.way === 'phone' || found?.kind === 'reminder'
				? []
				: [field(`policy.steps.${n}.wording`, 'Choose a wording for reminders.')];
		});
		const { thanks } = policy;
		if (
			thanks &&
			(wordings.find(thanks.wording, 'en') ?? wordings.find(thanks.wording, 'de'))?.kind !== 'thanks'
		)
			wrong.push(field('policy.thanks.wording', 'Choose a wording of thanks.'));
		if (wrong.length > 0) throw new DomainError(...wrong);
		const actId = await ctx.record({
			summary: { name: policy.name, steps: policy.steps.length },
			facts: { before, after: policy }
		});
		const kept: ChasingPolicy = {
			...policy,
			id: isNew ? `way-${actId}` : policy.id,
			version: policy.version + 1,
			steps: withIds(policy.steps, actId)
		};
		await writeSetting(
			tx,
			'chasing',
			(isNew ? [...all, kept] : all.map((one) => (one.id === policy.id ? kept : one))).map(plain)
		);
		return { actId, id: kept.id };
	}
});

const withIds = (steps: readonly ChasingStep[], actId: number): ChasingStep[] =>
	steps.map((step, n) => (step.id.startsWith('new') ? { ...step, id: `step-${actId}-${n}` } : step));

/** As settings have it: lists that may be written to. */
const plain = ({ steps, thanks, ...policy }: ChasingPolicy) => ({
	...policy,
	thanks: thanks ?? null,
	steps: steps.map(({ copies, ...step }) => ({ ...step, copies: [...copies] }))
});

/** Removes a way of chasing that no customer has; the usual one stays. */
export const dropPolicy = defineAct({
	kind: 'drop-policy',
	role: 'supervisor',
	input: z.object({ id: z.string().max(40) }),
	run: async (ctx, { id }): Promise<{ actId: number }> => {
		const all = await readPolicies(ctx.tx);
		const dropped = all.find((one, n) => n > 0 && one.id === id);
		if (!dropped) throw new DomainError({ code: 'not-found', what: 'way of chasing' });
		const [used] = await ctx.tx
			.select({ n: count() })
			.from(customer)
			.where(eq(customer.chasingPolicy, id))
			.all();
		if (used!.n > 0) throw new DomainError({ code: 'policy-used', name: dropped.name, customers: used!.n });
		const actId = await ctx.record({ summary: { name: dropped.name }, facts: { before: dropped } });
		await writeSetting(ctx.tx, 'chasing', all.filter((one) => one !== dropped).map(plain));
		return { actId };
	}
});
