import { and, eq, ne } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct, madeHere } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { emailField } from '../../act/fields';
import { ROLES } from '../../act/person';
import { takesTwo } from '../../approvals/store/takes-two';
import type { Tx } from '../../platform/db/open';
import { session, user } from '../../platform/db/schema';
import { insertPerson, type NewPerson } from '../store/insert-person';
import { endCodes, makeCode } from '../store/make-code';

export const personInput = z.object({
	name: z.string().trim().min(1, 'Type a name.').max(80),
	email: emailField.transform((text) => text.toLowerCase()),
	role: z.enum(ROLES)
});

export interface PersonAdded {
	readonly id: string;
	/** The code by which the person sets a password. */
	readonly codeId: number;
}

/** Lets a person in, with a role. They set a password of their own with a code. Takes two people. */
export const addPerson = takesTwo(
	defineAct({
		kind: 'add-person',
		role: 'supervisor',
		input: personInput,
		run: async (ctx, input): Promise<PersonAdded> => {
			const id = await insertPerson(ctx, input, null);
			const { name, email, role } = input;
			const actId = await ctx.record({ summary: { name, role }, facts: { email } });
			return { id, codeId: await makeCode(ctx.tx, { actId, userId: id, at: new Date(ctx.now()) }) };
		}
	}),
	(_, { name, email, role }) => ({ code: 'add-person', name, email, role })
);

/** Lets a person in with a password that they chose: the first supervisor, and those of the demo. */
export const addPersonWithPassword = defineAct({
	kind: 'add-person',
	role: 'supervisor',
	input: madeHere<NewPerson & { readonly passwordHash: string }>(),
	run: async (ctx, { passwordHash, ...person }): Promise<{ id: string }> => {
		const id = await insertPerson(ctx, person, passwordHash);
		const { name, email, role } = person;
		await ctx.record({ summary: { name, role }, facts: { email } });
		return { id };
	}
});

export const roleInput = z.object({ id: z.string().max(100), role: z.enum([...ROLES, 'none']) });

/** Changes a person's role, or shuts them out (`none`), which ends their sessions. The last supervisor stays. */
export const changeRole = takesTwo(
	defineAct({
		kind: 'change-role',
		role: 'supervisor',
		input: roleInput,
		run: async (ctx, input): Promise<{ actId: number }> => {
			const { tx } = ctx;
			const person = await tx.select().from(user).where(eq(user.id, input.id)).get();
			if (!person) throw new DomainError({ code: 'not-found', what: 'person' });
			if (person.role === 'supervisor' && input.role !== 'supervisor') {
				const others = await tx
					.select({ id: user.id })
					.from(user)
					.where(and(eq(user.role, 'supervisor'), eq(user.active, true), ne(user.id, person.id)));
				if (others.length === 0) throw new DomainError({ code: 'last-supervisor' });
			}
			const out = input.role === 'none';
			const role = input.role === 'none' ? person.role : input.role;
			await tx
				.update(user)
				.set({ role, active: !out, updatedAt: new Date(ctx.now()) })
				.where(eq(user.id, person.id));
			if (out) {
				await tx.delete(session).where(eq(session.userId, person.id));
				await endCodes(tx, person.id, new Date(ctx.now()));
			}
			const actId = await ctx.record({
				summary: { name: person.name, role: input.role },
				facts: { email: person.email, before: person.active ? person.role : 'none' }
			});
			return { actId };
		}
	}),
	async ({ tx }, { id, role }) => {
		const person = await tx.select().from(user).where(eq(user.id, id)).get();
		if (!person) throw new DomainError({ code: 'not-found', what: 'person' });
		return { code: 'change-role', name: person.name, before: person.active ? person.role : 'none', role };
	}
);

/** True while nobody can sign in: then, and only then, the first supervisor may be made by whoever starts the books. */
export async function nobodyYet(tx: Pick<Tx, 'select'>): Promise<boolean> {
	return (await tx.select({ id: user.id }).from(user).limit(1).get()) === undefined;
}
