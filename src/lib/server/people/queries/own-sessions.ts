import { and, desc, eq, gt } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { session, user } from '../../platform/db/schema';

/** Who somebody is here, and where they are signed in. */
export const lookAtOwnSessions = defineLook('reader', async (db, now: Date, { who }) => {
	const person = await db
		.select({ name: user.name, email: user.email, role: user.role })
		.from(user)
		.where(eq(user.id, who.id))
		.get();
	const sessions = await db
		.select({ id: session.id, since: session.createdAt, from: session.ipAddress, agent: session.userAgent })
		.from(session)
		.where(and(eq(session.userId, who.id), gt(session.expiresAt, now)))
		.orderBy(desc(session.createdAt))
		.limit(50);
	return { person: person!, sessions };
});
