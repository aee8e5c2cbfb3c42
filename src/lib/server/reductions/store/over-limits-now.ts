import { and, eq, gt, inArray, sql } from 'drizzle-orm';
import {
	CUSTOMER_DAYS,
	limitsOfPerson,
	NO_LIMITS,
	NOTHING_BEFORE,
	overLimits,
	sumsByKind,
	type BookedBefore,
	type LimitsOfOne,
	type OverLimit,
	type Reduction,
	type SumsByKind
} from '../../../core/4-allocation/over-limits';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import { groupBy } from '../../../core/group-by';
import type { ActContext } from '../../act/define-act';
import type { Person } from '../../act/person';
import { accountNow, idsOfAccounts } from '../../customers/store/merged-accounts';
import { readSetting } from '../../firm/store/settings';
import type { Reader } from '../../platform/db/open';
import { reduction } from '../../platform/db/schema';

/**
 * Where an act goes beyond what the person may book alone, by itself or with what was booked before; an empty list: it may go on.
 * @param pending what the same act books besides, that is not in the books yet
 */
export async function overLimitsNow(
	ctx: ActContext,
	booked: readonly Reduction[],
	pending: readonly Reduction[] = []
): Promise<OverLimit[]> {
	if (booked.length === 0 || ctx.rehearsing) return [];
	const limits = await limitsNow(ctx.tx, ctx.who);
	const customers = [...new Set(booked.flatMap(({ customerId }) => customerId ?? []))];
	const before = await bookedBefore(ctx.tx, limits, { ...ctx, customers });
	return overLimits(limits, booked, withPending(before, pending));
}

/** The limits that hold for a person. */
export async function limitsNow(db: Reader, who: Person): Promise<LimitsOfOne> {
	return limitsOfPerson((await readSetting(db, 'limits')) ?? NO_LIMITS, who);
}

/** What counts already in the wider scopes, as far as there are limits for them. */
export async function bookedBefore(
	db: Reader,
	limits: LimitsOfOne,
	{
		who,
		today,
		customers
	}: { readonly who: Person; readonly today: Day; readonly customers: readonly number[] }
): Promise<BookedBefore> {
	const sum = sql<number>`sum(${reduction.base})`;
	const ofDay = isEmpty(limits.day)
		? []
		: await db
				.select({ kind: reduction.kind, base: sum })
				.from(reduction)
				.where(and(eq(reduction.personId, who.id), eq(reduction.day, today)))
				.groupBy(reduction.kind);
	// What was taken off an account that is seen as another counts with it.
	const account = accountNow(sql`${reduction.customerId}`).mapWith(Number);
	const ofCustomers =
		isEmpty(limits.customer) || customers.length === 0
			? []
			: await db
					.select({ kind: reduction.kind, base: sum, customerId: account })
					.from(reduction)
					.where(
						and(
							inArray(reduction.customerId, [...(await idsOfAccounts(db, customers))]),
							gt(reduction.day, addDays(today, -CUSTOMER_DAYS)),
							eq(reduction.role, who.role)
						)
					)
					.groupBy(account, reduction.kind);
	return {
		day: sumsByKind(ofDay),
		customer: new Map(
			[...groupBy(ofCustomers, (row) => row.customerId)].map(([id, rows]) => [id, sumsByKind(rows)])
		)
	};
}

function withPending(before: BookedBefore, pending: readonly Reduction[]): BookedBefore {
	if (pending.length === 0) return before;
	const customer = new Map(before.customer);
	for (const [id, rows] of groupBy(pending, (one) => one.customerId))
		if (id !== null) customer.set(id, added(customer.get(id) ?? NOTHING_BEFORE.day, sumsByKind(rows)));
	return { day: added(before.day, sumsByKind(pending)), customer };
}

function added(one: SumsByKind, other: SumsByKind): SumsByKind {
	const sums: Record<string, number> = { ...one };
	for (const [kind, base] of Object.entries(other)) sums[kind] = (sums[kind] ?? 0) + base;
	return sums;
}

function isEmpty(limits: SumsByKind): boolean {
	return Object.keys(limits).length === 0;
}
