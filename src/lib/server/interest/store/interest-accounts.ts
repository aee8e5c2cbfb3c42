import { and, eq, inArray, lte, notExists, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/sqlite-core';
import { groupBy } from '../../../core/group-by';
import type { Charged, InterestItem } from '../../../core/9-interest/interest-sheet';
import type { InterestTerms } from '../../../core/9-interest/interest-terms';
import type { OpenFrom } from '../../../core/9-interest/late-spans';
import type { DaySpan } from '../../../core/model/late-span';
import { addDays } from '../../../core/day/arithmetic';
import type { Day } from '../../../core/day/day';
import type { InterestPolicy } from '../../../core/model/customer-details';
import { minor } from '../../../core/money/minor';
import { baseCurrencyOr, readSetting, type Setting } from '../../firm/store/settings';
import { mergedAccounts } from '../../customers/store/merged-accounts';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import {
	act,
	customer,
	document,
	interestCharge,
	interestCorrection,
	item,
	itemState,
	promise,
	promiseItem
} from '../../platform/db/schema';

/** An account with what may bear interest on it, and the terms that hold for it. */
export interface InterestAccount {
	readonly customerId: number;
	readonly currency: string;
	readonly policy: InterestPolicy;
	readonly terms: InterestTerms;
	readonly items: readonly (InterestItem & { readonly number: string })[];
}

/** Every account on which something was late by a day and may bear interest. @param only these customers; all where it is left out */
export async function interestAccounts(
	db: Reader,
	through: Day,
	only?: readonly number[]
): Promise<InterestAccount[]> {
	const setting = await readSetting(db, 'interest');
	if (!setting) return [];
	const base = await baseCurrencyOr(db, 'GBP');
	const rows = await lateItems(db, setting.since, through, only);
	const ids = rows.map((row) => row.id);
	const moves = groupBy(await movesOf(db, ids), (row) => row.itemId);
	const charged = await chargedOn(db, ids);
	const promised = await promisedDays(db, rows);
	const owners = new Map(
		(
			await db
				.select({ id: customer.id, policy: customer.interest, basisPoints: customer.interestBasisPoints })
				.from(customer)
				.where(inList(customer.id, [...new Set(rows.map((row) => row.customerId))]))
				.all()
		).map((row) => [row.id, row])
	);
	const accounts: InterestAccount[] = [];
	for (const own of groupBy(rows, (row) => `${row.customerId} ${row.currency}`).values()) {
		const { customerId, currency } = own[0]!;
		const owner = owners.get(customerId);
		if (!owner || owner.policy === 'none') continue;
		const terms = termsFor(setting, owner, currency === base);
		accounts.push({
			...{ customerId, currency, policy: owner.policy, terms },
			items: own.map((row) => {
				const before = charged.get(row.id) ?? [];
				return {
					...{ id: row.id, number: row.number, isInterest: row.income === 'interest' },
					// Days before the firm began to charge are days of grace.
					due: row.due >= setting.since ? row.due : addDays(setting.since, -1 - terms.graceDays),
					opens: opensOf(row, moves.get(row.id) ?? []),
					leftOut: promised.get(row.id) ?? [],
					charged: before,
					isCompensated: before.some((one) => one.compensation > 0)
				};
			})
		});
	}
	return accounts;
}

/** The terms of a customer: the statutory rate, or the one that was agreed. Sums are those of the base currency. */
function termsFor(
	setting: Setting<'interest'>,
	{ policy, basisPoints }: { readonly policy: InterestPolicy; readonly basisPoints: number | null },
	isBase: boolean
): InterestTerms {
	const { dayCount, graceDays, onInterest } = setting;
	const isAgreed = policy === 'agreed';
	return {
		...{ dayCount, graceDays, onInterest },
		rates: isAgreed
			? [{ from: setting.since, basisPoints: basisPoints ?? 0 }]
			: setting.reference.map((one) => ({ from: one.from, basisPoints: one.basisPoints + setting.margin })),
		least: minor(isBase ? setting.least : 0),
		compensation:
			isAgreed || !isBase
				? []
				: setting.compensation.map((one) => ({ from: minor(one.from), amount: minor(one.amount) }))
	};
}

interface LateItem {
	readonly id: number;
	readonly number: string;
	readonly customerId: number;
	readonly currency: string;
	readonly issued: Day;
	readonly due: Day;
	readonly total: number;
	readonly income: string | null;
}

/** What was due by a day, and is open or was settled after its due day and since the firm charges interest. */
async function lateItems(
	db: Reader,
	since: Day,
	through: Day,
	only: readonly number[] | undefined
): Promise<LateItem[]> {
	const late = sql`max(${item.due}, ${since})`;
	return db
		.select({
			...{ id: item.id, number: document.number, customerId: itemState.customerId },
			...{ currency: document.currency, due: item.due, total: item.total, income: document.income },
			issued: sql<Day>`coalesce(${document.openingOn}, ${document.issued})`
		})
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(itemState, eq(itemState.itemId, item.id))
		.where(
			and(
				inArray(document.kind, ['invoice', 'charge']),
				lte(item.due, addDays(through, -1)),
				only ? inList(itemState.customerId, only) : undefined,
				sql`(${itemState.open} > 0
					or exists (select 1 from allocation a where a.item_id = ${item.id} and a.date > ${late})
					or exists (select 1 from difference d where d.item_id = ${item.id} and d.date > ${late})
					or exists (select 1 from interest_charge c where c.item_id = ${item.id}))`
			)
		)
		.all();
}

interface Move {
	readonly itemId: number;
	readonly date: Day;
	readonly amount: number;
}

/** What settled items, by its accounting day; what was taken back never did. */
function movesOf(db: Reader, ids: readonly number[]): Promise<Move[]> {
	const among = sql`(select value from json_each(${JSON.stringify(ids)}))`;
	return db.all<Move>(sql`
		select a.item_id as "itemId", a.date, a.amount from allocation a
		where a.item_id in ${among} and a.undoes_id is null and not exists (select 1 from allocation u where u.undoes_id = a.id)
		union all
		select d.item_id, d.date, d.amount from difference d
		where d.item_id in ${among} and d.undoes_id is null and not exists (select 1 from difference u where u.undoes_id = d.id)
		order by 2`);
}

/** What was open of an item at the end of each day on which it changed. */
function opensOf({ issued, total }: LateItem, moves: readonly Move[]): OpenFrom[] {
	const opens: OpenFrom[] = [{ from: issued, open: total }];
	for (const { date, amount } of moves) {
		const last = opens.at(-1)!;
		// What was paid before it was issued counts from its issue.
		const from = date > last.from ? date : last.from;
		const open = last.open - amount;
		if (from === last.from) opens[opens.length - 1] = { from, open };
		else opens.push({ from, open });
	}
	return opens;
}

/** Interest that was charged on items and stands, less what was given back of it. */
export async function chargedOn(
	db: Reader,
	ids: readonly number[]
): Promise<ReadonlyMap<number, (Charged & { readonly compensation: number })[]>> {
	const undoing = alias(act, 'undoing');
	const rows = await db
		.select({
			...{ id: interestCharge.id, itemId: interestCharge.itemId },
			...{ from: interestCharge.fromDay, to: interestCharge.toDay, amount: interestCharge.amount },
			compensation: interestCharge.compensation,
			back: sql<number>`coalesce((select sum(k.amount) from ${interestCorrection} k where k.charge_id = ${interestCharge.id}), 0)`
		})
		.from(interestCharge)
		.where(
			and(
				inList(interestCharge.itemId, ids),
				notExists(
					db.select({ id: undoing.id }).from(undoing).where(eq(undoing.undoesId, interestCharge.actId))
				)
			)
		)
		.orderBy(interestCharge.id)
		.all();
	return groupBy(
		rows.map(({ back, ...one }) => ({ ...one, amount: minor(one.amount - back) })),
		(one) => one.itemId
	);
}

/** Days on which items were promised: from when it was said to the day that was named. Without items it is for the oldest that it settles. */
async function promisedDays(db: Reader, items: readonly LateItem[]): Promise<ReadonlyMap<number, DaySpan[]>> {
	const merged = await mergedAccounts(db);
	const undoing = alias(act, 'undoing');
	const rows = await db
		.select({ promise, itemId: promiseItem.itemId })
		.from(promise)
		.leftJoin(promiseItem, eq(promiseItem.promiseId, promise.id))
		.where(notExists(db.select({ id: undoing.id }).from(undoing).where(eq(undoing.undoesId, promise.actId))))
		.all();
	const byAccount = groupBy(items, (one) => `${one.customerId} ${one.currency}`);
	const days = new Map<number, DaySpan[]>();
	const add = (id: number, span: DaySpan) => days.set(id, [...(days.get(id) ?? []), span]);
	for (const { promise: made, itemId } of rows) {
		const span = { from: made.madeOn, to: made.promisedFor };
		if (itemId !== null) {
			add(itemId, span);
			continue;
		}
		const customerId = merged.get(made.customerId) ?? made.customerId;
		let left: number = made.amount;
		const own = [...(byAccount.get(`${customerId} ${made.currency}`) ?? [])]
			.filter((one) => one.due < made.promisedFor && one.issued <= made.madeOn)
			.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id));
		for (const one of own) {
			if (left <= 0) break;
			add(one.id, span);
			left -= one.total;
		}
	}
	return days;
}
