import { asc, desc, isNull } from 'drizzle-orm';
import { act, user } from '../../platform/db/schema';
import { saidOf } from '../../act/said';
import { defineLook } from '../../act/define-look';

/** Who may sign in, and the newest records of who did what. */
export const lookAtPeople = defineLook('supervisor', async (db, _: null) => ({
	people: await db
		.select({ id: user.id, name: user.name, email: user.email, role: user.role, active: user.active })
		.from(user)
		.orderBy(asc(user.name)),
	records: (await db.select().from(act).where(isNull(act.parentId)).orderBy(desc(act.id)).limit(100)).map(
		(row) => ({ id: row.id, at: row.at, who: row.userName, said: saidOf(row) })
	)
}));
