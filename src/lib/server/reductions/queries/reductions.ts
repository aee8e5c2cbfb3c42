import { and, between, desc, eq, sql } from 'drizzle-orm';
import type { Day } from '../../../core/day/day';
import { defineLook } from '../../act/define-look';
import { kindOf } from '../../act/kinds';
import { APPLICATION } from '../../act/person';
import { saidOf } from '../../act/said';
import { act, customer, reduction, user } from '../../platform/db/schema';

export interface ReductionsAsked {
	readonly from: Day;
	readonly through: Day;
	/** By their id; null for nobody in particular. */
	readonly person: string | null;
	/** Of the person's single ones, at most. */
	readonly most: number;
}

/** What each person took off accounts without money, had paid out, or took away, between two days: sums by kind, and single ones. */
export const lookAtReductions = defineLook('reader', async (db, asked: ReductionsAsked) => {
	const within = between(reduction.day, asked.from, asked.through);
	const names = new Map(
		(await db.select({ id: user.id, name: user.name }).from(user)).map(({ id, name }) => [id, name])
	);
	names.set(APPLICATION.id, APPLICATION.name);
	const nameOf = (id: string | null) => (id === null ? null : (names.get(id) ?? id));
	const isAgreed = sql<boolean>`${reduction.askedById} is not null`.mapWith(Boolean);
	const sums = await db
		.select({
			personId: reduction.personId,
			kind: reduction.kind,
			agreed: isAgreed,
			base: sql<number>`sum(${reduction.base})`,
			/** Without those that were taken back. */
			count: sql<number>`sum(case when ${reduction.base} > 0 then 1 else -1 end)`
		})
		.from(reduction)
		.where(within)
		.groupBy(reduction.personId, reduction.kind, sql`${reduction.askedById} is not null`)
		.orderBy(reduction.personId, reduction.kind);
	const single = asked.person
		? await db
				.select({
					...{ id: reduction.id, day: reduction.day, kind: reduction.kind, base: reduction.base },
					...{ askedById: reduction.askedById, code: customer.code, customer: customer.name, act }
				})
				.from(reduction)
				.innerJoin(act, eq(act.id, reduction.actId))
				.leftJoin(customer, eq(customer.id, reduction.customerId))
				.where(and(within, eq(reduction.personId, asked.person)))
				.orderBy(desc(reduction.id))
				.limit(asked.most + 1)
		: [];
	return {
		sums: sums.map((row) => ({ ...row, person: nameOf(row.personId)! })),
		person: nameOf(asked.person),
		single: single.slice(0, asked.most).map(({ act: row, askedById, ...one }) => ({
			...one,
			actId: row.id,
			actKind: kindOf(row),
			said: saidOf(row),
			askedBy: nameOf(askedById)
		})),
		more: single.length > asked.most
	};
});
