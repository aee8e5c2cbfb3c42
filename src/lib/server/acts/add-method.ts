import { z } from 'zod';
import { DomainError } from '../domain-error';
import { methodsOf } from '../repo/methods';
import { recordAct } from '../repo/record-act';
import { writeSetting } from '../repo/settings';
import { defineAct } from './perform';

export const methodInput = z.object({
	name: z.string().trim().toLowerCase().min(2, 'Say how the money comes, as in “direct debit”.').max(40)
});

/** Adds a way in which money comes by hand to the firm's own list. */
export const addMethod = defineAct({
	kind: 'add-method',
	needs: 'clerk',
	run: async (tx, input: z.infer<typeof methodInput>, at): Promise<{ name: string }> => {
		const { name } = methodInput.parse(input);
		const known = await methodsOf(tx);
		if (known.includes(name) || name === 'bank')
			throw new DomainError({ code: 'field', field: 'name', message: `“${name}” is in the list already.` });
		await writeSetting(tx, 'methods', [...known, name]);
		await recordAct(tx, {
			kind: 'add-method',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Added “${name}” to the ways in which money comes`,
			facts: { name },
			key: at.key
		});
		return { name };
	}
});
