import { z } from 'zod';
import type { NamedTerms } from '../../../core/model/customer-details';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { readSetting, writeSetting } from '../store/settings';
import { NAMED_TERMS } from '../store/terms-shape';

const MOST = 100;

/**
 * Puts terms on the firm's list, or changes those of that name. Customers keep what they agreed to: the list fills in what is typed, and no
 * customer's terms change with it.
 */
export const keepTerms = defineAct({
	kind: 'keep-terms',
	role: 'supervisor',
	input: z.object({
		/** Those of the list that are changed, by their name; nothing where they are new. */
		instead: z.string().max(60).nullable(),
		terms: NAMED_TERMS
	}),
	run: async (ctx, { instead, terms }): Promise<{ actId: number; name: string }> => {
		const { tx } = ctx;
		const list = (await readSetting(tx, 'terms')) ?? [];
		const before = list.find((one) => one.name === instead) ?? null;
		if (instead !== null && !before) throw new DomainError({ code: 'not-found', what: 'terms' });
		if (list.some((one) => one !== before && isSame(one, terms.name)))
			throw new DomainError({
				...{ code: 'field', field: 'terms.name' },
				message: `There are terms called “${terms.name}” already.`
			});
		if (!before && list.length >= MOST)
			throw new DomainError({
				...{ code: 'field', field: 'terms.name' },
				message: `The list has ${MOST} terms already: remove those that nobody uses.`
			});
		await writeSetting(
			tx,
			'terms',
			before ? list.map((one) => (one === before ? terms : one)) : [...list, terms]
		);
		const actId = await ctx.record({ summary: { name: terms.name }, facts: { before, after: terms } });
		return { actId, name: terms.name };
	}
});

/** Takes terms off the firm's list; customers who have them keep them. */
export const dropTerms = defineAct({
	kind: 'drop-terms',
	role: 'supervisor',
	input: z.object({ name: z.string().max(60) }),
	run: async (ctx, { name }): Promise<NamedTerms> => {
		const list = (await readSetting(ctx.tx, 'terms')) ?? [];
		const dropped = list.find((one) => one.name === name);
		if (!dropped) throw new DomainError({ code: 'not-found', what: 'terms' });
		await writeSetting(
			ctx.tx,
			'terms',
			list.filter((one) => one !== dropped)
		);
		await ctx.record({ summary: { name }, facts: { before: dropped } });
		return dropped;
	}
});

const isSame = ({ name }: NamedTerms, other: string) => name.toLowerCase() === other.toLowerCase();
