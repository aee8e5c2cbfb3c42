import { hashPassword } from 'better-auth/crypto';
import { and, eq, ne } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Tx } from '../../platform/db/open';
import { credential, session, user } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { emailField } from '../../act/fields';
import { defineAct } from '../../act/define-act';
import { ROLES } from '../../act/person';

export const personInput = z.object({
	name: z.string().trim().min(1, 'Type a name.').max(80),
	email: emailField.transform((text) => text.toLowerCase()),
	password: z.string().min(10, 'A password needs ten characters at least.').max(128),
	role: z.enum(ROLES)
});
export type PersonInput = z.infer<typeof personInput>;

/** Lets a person in, with a role and a first password. */
export const addPerson = defineAct({
	kind: 'add-person',
	role: 'supervisor',
	input: personInput,
	run: async (ctx, input): Promise<{ id: string }> => {
		const { tx } = ctx;
		const taken = await tx.select({ id: user.id }).from(user).where(eq(user.email, input.email)).get();
		if (taken)
			throw new DomainError({
				code: 'field',
				field: 'email',
				message: `${input.email} signs in here already.`
			});
		const id = randomUUID();
		const now = new Date(ctx.now());
		const { name, email, role } = input;
		await tx
			.insert(user)
			.values({ id, name, email, role, active: true, emailVerified: true, createdAt: now, updatedAt: now });
		const password = await hashPassword(input.password);
		await tx.insert(credential).values({
			id: randomUUID(),
			accountId: id,
			providerId: 'credential',
			userId: id,
			password,
			createdAt: now,
			updatedAt: now
		});
		await ctx.record({ summary: { name, role }, facts: { email } });
		return { id };
	}
});

export const roleInput = z.object({ id: z.string().max(100), role: z.enum([...ROLES, 'none']) });

/** Changes a person's role, or shuts them out (`none`), which ends their sessions. The last supervisor stays. */
export const changeRole = defineAct({
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
		if (out) await tx.delete(session).where(eq(session.userId, person.id));
		const actId = await ctx.record({
			summary: { name: person.name, role: input.role },
			facts: { email: person.email, before: person.active ? person.role : 'none' }
		});
		return { actId };
	}
});

/** True while nobody can sign in: then, and only then, the first supervisor may be made by whoever starts the books. */
export async function nobodyYet(tx: Pick<Tx, 'select'>): Promise<boolean> {
	return (await tx.select({ id: user.id }).from(user).limit(1).get()) === undefined;
}
