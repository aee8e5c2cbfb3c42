import { and, desc, eq, inArray, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { promiseStates, type CameIn, type PromiseStanding } from '../../../core/6-reports/promise-states';
import type { Day } from '../../../core/day/day';
import { groupBy } from '../../../core/group-by';
import type { Reader } from '../../platform/db/open';
import { inList } from '../../platform/db/in-list';
import { act, document, item, promise, promiseItem } from '../../platform/db/schema';

const MOST = 50;

/** What a customer promised, as it stands today. */
export interface PromiseShown extends PromiseStanding {
	readonly actId: number;
	readonly amount: number;
	readonly currency: string;
	readonly madeOn: Day;
	readonly promisedFor: Day;
	readonly saidBy: string;
	readonly by: string;
	/** The items that it is for; none where it is for the account. */
	readonly items: readonly { readonly id: number; readonly number: string }[];
}

/**
 * The newest promises of a customer that stand, with how far each is kept by what came: receipts allocated to them, less what was returned.
 * @param ids under which its records stand
 */
export async function promisesOf(
	db: Reader,
	customerId: number,
	ids: readonly number[],
	today: Day
): Promise<PromiseShown[]> {
	const undoing = alias(act, 'undoing');
	const rows = await db
		.select({ promise, by: act.userName })
		.from(promise)
		.innerJoin(act, eq(act.id, promise.actId))
		.where(
			and(
				inArray(promise.customerId, [...ids]),
				notExists(db.select({ id: undoing.id }).from(undoing).where(eq(undoing.undoesId, promise.actId)))
			)
		)
		.orderBy(desc(promise.id))
		.limit(MOST)
		.all();
	if (rows.length === 0) return [];
	const since = rows.map(({ promise: { madeOn } }) => madeOn).sort()[0]!;
	const came = groupBy(await cameIn(db, customerId, since), ({ currency }) => currency);
	const itemsOf = groupBy(
		await itemsPromised(
			db,
			rows.map((row) => row.promise.id)
		),
		(row) => row.promiseId
	);
	const stands = new Map<number, PromiseStanding>();
	for (const [currency, list] of groupBy(
		rows.map((row) => row.promise),
		(one) => one.currency
	))
		for (const [id, one] of promiseStates(list, came.get(currency) ?? [], today)) stands.set(id, one);
	return rows.map(({ promise: { id, customerId: _customer, ...one }, by }) => ({
		...{ ...one, by, ...stands.get(id)! },
		items: (itemsOf.get(id) ?? []).map((row) => ({ id: row.id, number: row.number }))
	}));
}

function itemsPromised(db: Reader, ids: readonly number[]) {
	return db
		.select({ promiseId: promiseItem.promiseId, id: item.id, number: document.number })
		.from(promiseItem)
		.innerJoin(item, eq(item.id, promiseItem.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(inList(promiseItem.promiseId, ids))
		.orderBy(promiseItem.id)
		.all();
}

/** What came from a customer since a day and stands, payment by payment. */
function cameIn(
	db: Reader,
	customerId: number,
	since: Day
): Promise<(CameIn & { readonly currency: string })[]> {
	return db.all(sql`
		select r.currency, r.booked as day, r.amount - coalesce((
			select sum(p.amount) from standing_returned_payment p where p.receipt_id = r.id), 0) as amount
		from receipt_state s join receipt r on r.id = s.receipt_id
		where s.customer_id = ${customerId} and s.state = 'allocated' and s.booked >= ${since} and r.amount > 0`);
}
