import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { methodsOf } from '../store/methods';
import { writeSetting } from '../store/settings';
import { defineAct } from '../../act/define-act';

export const methodInput = z.object({
	name: z.string().trim().toLowerCase().min(2, 'Say how the money comes, as in “direct debit”.').max(40)
});

/** Adds a way in which money comes by hand to the firm's own list. */
export const addMethod = defineAct({
	kind: 'add-method',
	role: 'clerk',
	input: methodInput,
	run: async (ctx, { name }): Promise<{ name: string }> => {
		const { tx } = ctx;
		if (name === 'petty cash')
			throw new DomainError({
				code: 'field',
				field: 'name',
				message: 'Petty cash is where money is kept: choose it under “Paid into”.'
			});
		const known = await methodsOf(tx);
		if (known.includes(name) || name === 'bank')
			throw new DomainError({ code: 'field', field: 'name', message: `“${name}” is in the list already.` });
		await writeSetting(tx, 'methods', [...known, name]);
		await ctx.record({
			summary: { name }
		});
		return { name };
	}
});
