import { and, eq, gt } from 'drizzle-orm';
import type { Person } from '../act/person';
import type { Db } from '../db/open';
import { session, user } from '../db/schema';

/** The person that a session cookie (`token.signature`) stands for, or null. The token is random, so knowing it is proof. */
export async function whoIsAsking(db: Db, cookie: string | undefined, now: Date): Promise<Person | null> {
	const token = cookie?.split('.')[0];
	if (!token) return null;
	const row = await db
		.select({ id: user.id, name: user.name, role: user.role })
		.from(session)
		.innerJoin(user, eq(user.id, session.userId))
		.where(and(eq(session.token, token), gt(session.expiresAt, now), eq(user.active, true)))
		.get();
	return row ?? null;
}
