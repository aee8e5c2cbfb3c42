import { and, asc, eq, gt, isNull, sql } from 'drizzle-orm';
import { act, credential, signInCode, user } from '../../platform/db/schema';
import { readSetting } from '../../firm/store/settings';
import { defineLook } from '../../act/define-look';

/** Who may sign in, by which means, and the codes that wait for somebody. */
export const lookAtPeople = defineLook('supervisor', async (db, now: Date, { who }) => ({
	people: await db
		.select({
			id: user.id,
			name: user.name,
			email: user.email,
			role: user.role,
			active: user.active,
			hasPassword: sql<boolean>`${credential.id} is not null`.mapWith(Boolean),
			secondFactors: sql<number>`(select count(*) from second_factor f where f.user_id = ${user.id} and f.ended_at is null)`
		})
		.from(user)
		.leftJoin(credential, eq(credential.userId, user.id))
		.orderBy(asc(user.name)),
	/** The roles that have to show a second factor. */
	demanded: (await readSetting(db, 'secondFactor'))?.roles ?? [],
	/** Codes that are good still; the text only of those that whoever looks made. */
	codes: await db
		.select({
			id: signInCode.id,
			userId: signInCode.userId,
			expiresAt: signInCode.expiresAt,
			madeBy: act.userName,
			mine: sql<boolean>`${act.userId} = ${who.id}`.mapWith(Boolean)
		})
		.from(signInCode)
		.innerJoin(act, eq(act.id, signInCode.actId))
		.where(and(isNull(signInCode.endedAt), gt(signInCode.expiresAt, now)))
}));
