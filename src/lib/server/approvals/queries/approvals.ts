import { and, desc, eq, inArray, ne, sql, type SQL } from 'drizzle-orm';
import { TWO_PERSON_ACTS } from '../../../core/model/approval';
import { act, approval, customer, receiptState } from '../../platform/db/schema';
import { approvalAbout, itemsAbout } from '../store/approval-about';
import { defineLook } from '../../act/define-look';

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
				kind: approval.kind,
				shows: approval.shows,
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
		items: itemsAbout(about),
		mine: byId === who.id,
		why: facts === null ? '' : ((JSON.parse(facts) as { reason?: string }).reason ?? '')
	});
	return { waiting: waiting.map(read), answered: answered.map(read) };
});

/** Whether an answer is to agree to something that takes two people. */
export const agreesToTwoPersonAct = defineLook('clerk', async (db, given: unknown): Promise<boolean> => {
	const { asked, answer } = (given ?? {}) as { readonly asked?: unknown; readonly answer?: unknown };
	if (answer !== 'agree' || typeof asked !== 'number') return false;
	const row = await db
		.select({ kind: approval.kind })
		.from(approval)
		.where(and(eq(approval.actId, asked), inArray(approval.kind, [...TWO_PERSON_ACTS])))
		.get();
	return row !== undefined;
});

/** How many receipts wait for a supervisor. */
export const countInApproval = defineLook('reader', (db, _: null) =>
	db.$count(receiptState, eq(receiptState.state, 'in_approval'))
);

/** How many wait for a supervisor. */
export const countApprovals = defineLook('reader', async (db, _: null) => {
	const row = await db
		.select({ n: sql<number>`count(*)` })
		.from(approval)
		.where(eq(approval.state, 'waiting'))
		.get();
	return row?.n ?? 0;
});
