import { hashPassword } from 'better-auth/crypto';
import { and, eq, ne } from 'drizzle-orm';
import { randomUUID } from 'node:crypto';
import { z } from 'zod';
import type { Tx } from '../db/open';
import { account, session, user } from '../db/schema';
import { recordAct } from '../repo/record-act';
import { DomainError } from '../domain-error';
import { defineAct, type Circumstance } from './perform';

export const ROLES = ['clerk', 'supervisor', 'reader'] as const;

export const personInput = z.object({
	name: z.string().trim().min(1, 'Type a name.').max(80),
	email: z.email('That is not an e-mail address.').transform((text) => text.toLowerCase()),
	password: z.string().min(10, 'A password needs ten characters at least.').max(128),
	role: z.enum(ROLES)
});
export type PersonInput = z.infer<typeof personInput>;

/** Lets a person in, with a role and a first password. */
export const addPerson = defineAct({
	kind: 'add-person',
	needs: 'supervisor',
	run: async (tx, input: PersonInput, at) => {
		const taken = await tx.select({ id: user.id }).from(user).where(eq(user.email, input.email)).get();
		if (taken)
			throw new DomainError({
				code: 'field',
				field: 'email',
				message: `${input.email} signs in here already.`
			});
		const id = randomUUID();
		const now = new Date(at.now());
		const { name, email, role } = input;
		await tx
			.insert(user)
			.values({ id, name, email, role, active: true, emailVerified: true, createdAt: now, updatedAt: now });
		const password = await hashPassword(input.password);
		await tx.insert(account).values({
			id: randomUUID(),
			accountId: id,
			providerId: 'credential',
			userId: id,
			password,
			createdAt: now,
			updatedAt: now
		});
		await record(tx, at, 'add-person', `Let in ${name} as ${role}`, { email, role });
		return { id };
	}
});

export const roleInput = z.object({ id: z.string(), role: z.enum([...ROLES, 'none']) });

/** Changes a person's role, or shuts them out (`none`), which ends their sessions. The last supervisor stays. */
export const changeRole = defineAct({
	kind: 'change-role',
	needs: 'supervisor',
	run: async (tx, input: z.infer<typeof roleInput>, at) => {
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
			.set({ role, active: !out, updatedAt: new Date(at.now()) })
			.where(eq(user.id, person.id));
		if (out) await tx.delete(session).where(eq(session.userId, person.id));
		await record(tx, at, 'change-role', out ? `Shut out ${person.name}` : `Made ${person.name} ${role}`, {
			email: person.email,
			role: input.role
		});
	}
});

/** True while nobody can sign in: then, and only then, the first supervisor may be made by whoever starts the books. */
export async function nobodyYet(tx: Pick<Tx, 'select'>): Promise<boolean> {
	return (await tx.select({ id: user.id }).from(user).limit(1).get()) === undefined;
}

/** Makes the first supervisor of new books; refuses once there is anybody. */
export const addFirstSupervisor = defineAct({
	kind: 'add-person',
	needs: 'supervisor',
	run: async (tx, input: PersonInput, at) => {
		if (!(await nobodyYet(tx)))
			throw new DomainError({ code: 'not-allowed', role: 'nobody', needs: 'supervisor' });
		return addPerson.run(tx, { ...input, role: 'supervisor' }, at);
	}
});

async function record(tx: Tx, at: Circumstance, kind: string, summary: string, facts: unknown) {
	await recordAct(tx, {
		kind,
		date: at.today,
		at: at.now(),
		userId: at.who.id,
		userName: at.who.name,
		summary,
		facts
	});
}
