import { desc, eq, ne, sql, type SQL } from 'drizzle-orm';
import { act, approval, customer } from '../db/schema';
import { approvalAbout } from '../repo/approval-about';
import { defineLook } from './define-look';

/** So many answered ones are shown below those that wait. */
const ANSWERED = 20;

/** What waits for a supervisor's agreement, the oldest first, and the last that were answered. */
export const lookAtApprovals = defineLook('reader', async (db, _: null, { who }) => {
	const ended = <T>(column: 'user_name' | 'at' | 'facts') =>
		sql<T>`(select ${sql.raw(column)} from act e where e.id = ${approval.endedActId})`;
	const rows = (which: SQL) =>
		db
			.select({
				asked: approval.actId,
				about: approval.about,
				over: approval.over,
				state: approval.state,
				by: act.userName,
				byId: act.userId,
				at: act.at,
				code: customer.code,
				customer: customer.name,
				answeredBy: ended<string | null>('user_name'),
				answeredAt: ended<string | null>('at'),
				facts: ended<string | null>('facts')
			})
			.from(approval)
			.innerJoin(act, eq(act.id, approval.actId))
			.leftJoin(customer, eq(customer.id, approval.customerId))
			.where(which);
	const waiting = await rows(eq(approval.state, 'waiting')).orderBy(approval.actId);
	const answered = await rows(ne(approval.state, 'waiting'))
		.orderBy(desc(approval.endedActId))
		.limit(ANSWERED);
	const read = ({ facts, byId, about, ...row }: (typeof waiting)[number]) => ({
		...row,
		about: approvalAbout(about),
		mine: byId === who.id,
		why: facts === null ? '' : ((JSON.parse(facts) as { reason?: string }).reason ?? '')
	});
	return { waiting: waiting.map(read), answered: answered.map(read) };
});

/** How many wait for a supervisor. */
export const countApprovals = defineLook('reader', async (db, _: null) => {
	const row = await db
		.select({ n: sql<number>`count(*)` })
		.from(approval)
		.where(eq(approval.state, 'waiting'))
		.get();
	return row?.n ?? 0;
});
