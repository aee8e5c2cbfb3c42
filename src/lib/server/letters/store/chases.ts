import { and, eq, gt, gte, inArray, lte, notInArray, or, isNull, sql } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import {
	chaseAccount,
	type Chase,
	type ChasedItem,
	type OpenPromise
} from '../../../core/7-letters/chasing/chase-account';
import type { TakenStep } from '../../../core/7-letters/chasing/next-step';
import type { ChasingPolicy } from '../../../core/7-letters/chasing/policy';
import { addDays, daysBetween } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import { ZERO } from '../../../core/money/minor';
import { idsOfAccount, mergedAccounts } from '../../customers/store/merged-accounts';
import { promisesOf } from '../../customers/store/promises-of';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { chasingStep, customer, delivery, itemState, manualReceipt, promise } from '../../platform/db/schema';
import { policyOf, readPolicies } from './policies';

/** How an account stands on its ladder, with what is owed on it. Amounts in minor units. */
export interface AccountChase extends Chase {
	readonly customerId: number;
	readonly currency: string;
	readonly policy: ChasingPolicy;
	/** What is owed and not in dispute, due or not. */
	readonly items: readonly ChasedItem[];
	/** Days since the oldest fell due; nought where nothing is late. */
	readonly daysLate: number;
}

/** How early a step may be: items that are not due yet are looked at so many days before. */
const EARLIEST = 60;

/** Every account with something on its ladder, by customer and currency. @param only these customers; all where it is left out */
export async function chaseAccounts(
	db: Reader,
	today: Day,
	only?: readonly number[]
): Promise<ReadonlyMap<string, AccountChase>> {
	const policies = await readPolicies(db);
	const accounts = await chasedItems(db, addDays(today, EARLIEST), only);
	const taken = await takenSteps(
		db,
		only ? accounts.flatMap(({ items }) => items.map((one) => one.id)) : null
	);
	const policyIds = new Map(
		(
			await db
				.select({ id: customer.id, policy: customer.chasingPolicy })
				.from(customer)
				.where(only ? inList(customer.id, only) : undefined)
				.all()
		).map((row) => [row.id, row.policy])
	);
	const promises = await openPromises(db, today, only);
	const dated = await datedSums(db, today, only);
	const chases = new Map<string, AccountChase>();
	for (const { customerId, currency, items: rows } of accounts) {
		const key = `${customerId} ${currency}`;
		const policy = policyOf(policies, policyIds.get(customerId) ?? null);
		const own = rows.map(({ id, due, open, base }) => ({ id, due, open, base, taken: taken.get(id) ?? [] }));
		const late = rows.filter((row) => row.due < today);
		const oldest = late.map((row) => row.due).sort()[0];
		chases.set(key, {
			...chaseAccount({
				...{ steps: policy.steps, today, items: own },
				...{ promises: promises.get(key) ?? [], dated: dated.get(key) ?? 0 }
			}),
			...{ customerId, currency, policy, items: own },
			daysLate: oldest ? daysBetween(oldest, today) : 0
		});
	}
	return chases;
}

interface AccountItems {
	readonly customerId: number;
	readonly currency: string;
	readonly items: readonly Omit<ChasedItem, 'taken'>[];
}

/** What is owed on each account, as one row of an account: books have many items, and a row of each is dear. */
async function chasedItems(db: Reader, until: Day, only?: readonly number[]): Promise<AccountItems[]> {
	const { itemId, due, open, openBase, customerId, currency, kind } = itemState;
	const rows = await db
		.select({
			...{ customerId, currency },
			items: sql<string>`json_group_array(json_array(${itemId}, ${due}, ${open}, ${openBase}))`
		})
		.from(itemState)
		.where(
			and(
				gt(open, ZERO),
				inArray(kind, ['invoice', 'charge']),
				lte(due, until),
				only ? inList(customerId, only) : undefined
			)
		)
		.groupBy(customerId, currency)
		.all();
	return rows.map((row) => ({
		...{ customerId: row.customerId, currency: row.currency },
		items: (JSON.parse(row.items) as [number, Day, number, number][]).map(([id, due, open, base]) => ({
			...{ id, due, open, base }
		}))
	}));
}

/** Letters that came to nothing: their steps were not taken. */
export const CAME_TO_NOTHING = ['withdrawn', 'refused', 'failed', 'undelivered'] as const;

/** Whether a step stands: it was a call, or its letter came to something. `delivery` is joined by the step's letter. */
export const stepStands = or(isNull(delivery.letterId), notInArray(delivery.state, [...CAME_TO_NOTHING]));

/** The steps that were taken on items, and stand. @param ids of items; of all where it is null */
export async function takenSteps(
	db: Reader,
	ids: readonly number[] | null
): Promise<ReadonlyMap<number, TakenStep[]>> {
	const rows = await db
		.select({ itemId: chasingStep.itemId, step: chasingStep.step, day: chasingStep.day })
		.from(chasingStep)
		.leftJoin(delivery, eq(delivery.letterId, chasingStep.letterId))
		.where(and(ids ? inList(chasingStep.itemId, ids) : undefined, stepStands))
		.all();
	return groupBy(rows, (one) => one.itemId);
}

/** Promises that are not over, with what of them has not come, by account. */
async function openPromises(
	db: Reader,
	today: Day,
	only?: readonly number[]
): Promise<ReadonlyMap<string, OpenPromise[]>> {
	const rows = await db
		.select({ customerId: promise.customerId })
		.from(promise)
		.where(gte(promise.promisedFor, today))
		.groupBy(promise.customerId)
		.all();
	const merged = await mergedAccounts(db);
	const ids = new Set(rows.map((row) => merged.get(row.customerId) ?? row.customerId));
	const found = new Map<string, OpenPromise[]>();
	for (const id of ids) {
		if (only && !only.includes(id)) continue;
		const made = await promisesOf(db, id, await idsOfAccount(db, id), today);
		const open = made.filter((one) => one.state === 'open');
		for (const one of open) {
			const key = `${id} ${one.currency}`;
			const own = { left: one.amount - one.came, items: one.items.map((item) => item.id) };
			found.set(key, [...(found.get(key) ?? []), own]);
		}
	}
	return found;
}

/** What cheques dated later come to, by account. */
async function datedSums(
	db: Reader,
	today: Day,
	only?: readonly number[]
): Promise<ReadonlyMap<string, number>> {
	const rows = await db
		.select({
			...{ customerId: manualReceipt.customerId, currency: manualReceipt.currency },
			sum: sql<number>`sum(${manualReceipt.amount})`
		})
		.from(manualReceipt)
		.where(and(gt(manualReceipt.date, today), only ? inList(manualReceipt.customerId, only) : undefined))
		.groupBy(manualReceipt.customerId, manualReceipt.currency)
		.all();
	return new Map(rows.map((row) => [`${row.customerId} ${row.currency}`, row.sum]));
}
