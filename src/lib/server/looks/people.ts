import { asc, desc } from 'drizzle-orm';
import { act, user } from '../db/schema';
import { defineLook } from './define-look';

/** Who may sign in, and the newest records of who did what. */
export const lookAtPeople = defineLook('supervisor', async (db, _: null) => ({
	people: await db
		.select({ id: user.id, name: user.name, email: user.email, role: user.role, active: user.active })
		.from(user)
		.orderBy(asc(user.name)),
	records: await db
		.select({ id: act.id, at: act.at, date: act.date, who: act.userName, summary: act.summary })
		.from(act)
		.orderBy(desc(act.id))
		.limit(100)
}));
