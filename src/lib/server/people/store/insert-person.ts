import { randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import { DomainError } from '../../act/domain-error';
import type { ActContext } from '../../act/define-act';
import type { Role } from '../../act/person';
import { user } from '../../platform/db/schema';
import { setPassword } from './set-password';

export interface NewPerson {
	readonly name: string;
	readonly email: string;
	readonly role: Role;
}

/** Adds a person, who can sign in once there is a password. Refused where the address signs in here already. */
export async function insertPerson(
	{ tx, now }: ActContext,
	{ name, email, role }: NewPerson,
	passwordHash: string | null
): Promise<string> {
	const taken = await tx.select({ id: user.id }).from(user).where(eq(user.email, email)).get();
	if (taken)
		throw new DomainError({ code: 'field', field: 'email', message: `${email} signs in here already.` });
	const id = randomUUID();
	const at = new Date(now());
	await tx
		.insert(user)
		.values({ id, name, email, role, active: true, emailVerified: true, createdAt: at, updatedAt: at });
	if (passwordHash !== null) await setPassword(tx, id, passwordHash, at);
	return id;
}
