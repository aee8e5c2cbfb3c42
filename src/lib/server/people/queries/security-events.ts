import { and, desc, eq, lt } from 'drizzle-orm';
import { defineLook } from '../../act/define-look';
import { securityEvent, user } from '../../platform/db/schema';

export const EVENTS_PAGE = 200;

/** What happened at the door, newest first, of one person where one is named. */
export const lookAtSecurityEvents = defineLook(
	'supervisor',
	async (db, query: { readonly person: string | null; readonly before: number | null }) => {
		const people = await db.select({ id: user.id, name: user.name }).from(user).orderBy(user.name);
		const names = new Map(people.map(({ id, name }) => [id, name]));
		const rows = await db
			.select()
			.from(securityEvent)
			.where(
				and(
					query.person ? eq(securityEvent.personId, query.person) : undefined,
					query.before ? lt(securityEvent.id, query.before) : undefined
				)
			)
			.orderBy(desc(securityEvent.id))
			.limit(EVENTS_PAGE);
		return {
			people,
			rows: rows.map((row) => ({
				...row,
				person: row.personId === null ? null : (names.get(row.personId) ?? row.personId)
			})),
			next: rows.length === EVENTS_PAGE ? rows.at(-1)!.id : null
		};
	}
);
