import { and, sql } from 'drizzle-orm';
import { CHART } from '../../../core/5-journal/chart';
import type { StatementAsked } from '../../../core/7-letters/letter';
import type { Day } from '../../../core/day/day';
import { minor, ZERO, type Minor } from '../../../core/money/minor';
import { mergedAccounts } from '../../customers/store/merged-accounts';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { customer, itemState, receiptState } from '../../platform/db/schema';
import { isOpen } from '../../documents/store/is-open';
import { accountsOn } from './accounts-on';

/** How an account stands in one currency on the day that its letter tells of. */
export interface AccountStanding {
	readonly customerId: number;
	readonly currency: string;
	/** What open items come to, credit notes taken off. */
	readonly owed: Minor;
	/** What of it is past due and not in dispute. */
	readonly late: Minor;
	/** What of it is in dispute. */
	readonly disputed: Minor;
	/** Money that lies on account. */
	readonly onAccount: Minor;
	/** That, and credit notes. */
	readonly credit: Minor;
	/** The first due day of what is open; null where nothing is. */
	readonly oldest: Day | null;
	readonly hasMovements: boolean;
}

type Sums = { -readonly [K in keyof AccountStanding]: AccountStanding[K] };

/** Every account and currency with something open, something on account, or something that happened in a statement's period. */
export async function letterStandings(
	db: Reader,
	today: Day,
	statement: StatementAsked | null,
	only?: readonly number[]
): Promise<AccountStanding[]> {
	const day = statement?.to ?? today;
	const found = new Map<string, Sums>();
	const at = (customerId: number, currency: string): Sums => {
		const key = `${customerId} ${currency}`;
		let sums = found.get(key);
		if (!sums)
			found.set(
				key,
				(sums = {
					...{ customerId, currency, owed: ZERO, late: ZERO, disputed: ZERO, onAccount: ZERO },
					...{ credit: ZERO, oldest: null, hasMovements: false }
				})
			);
		return sums;
	};
	if (day < today) await addPast(db, day, at, only);
	else await addNow(db, day, at, only);
	if (statement?.from) {
		const merged = await mergedAccounts(db);
		const moved = await db.all<{ customerId: number; currency: string }>(sql`
			select distinct customer_id as customerId, currency from journal_line
			where account = ${CHART.receivables.code} and date between ${statement.from} and ${statement.to} and amount <> 0`);
		for (const { customerId: posted, currency } of moved) {
			const customerId = merged.get(posted) ?? posted;
			if (!only || only.includes(customerId)) at(customerId, currency).hasMovements = true;
		}
	}
	return [...found.values()];
}

type At = (customerId: number, currency: string) => Sums;

async function addNow(db: Reader, day: Day, at: At, only?: readonly number[]): Promise<void> {
	const sum = (when: ReturnType<typeof sql>) =>
		sql<number>`sum(case when ${when} then ${itemState.open} else 0 end)`;
	const isDue = sql`${itemState.kind} in ('invoice', 'charge')`;
	const open = await db
		.select({
			customerId: itemState.customerId,
			currency: itemState.currency,
			debit: sum(sql`${itemState.kind} <> 'credit_note'`),
			notes: sum(sql`${itemState.kind} = 'credit_note'`),
			late: sum(sql`${isDue} and ${itemState.due} < ${day}`),
			disputed: sum(sql`${itemState.kind} = 'claim'`),
			oldest: sql<Day>`min(${itemState.due})`
		})
		.from(itemState)
		.where(only ? and(isOpen, inList(itemState.customerId, only)) : isOpen)
		.groupBy(itemState.customerId, itemState.currency)
		.all();
	for (const row of open) {
		const sums = at(row.customerId, row.currency);
		sums.owed = minor(row.debit - row.notes);
		sums.late = minor(row.late);
		sums.disputed = minor(row.disputed);
		sums.credit = minor(row.notes);
		sums.oldest = row.oldest;
	}
	const own = only ? sql`and ${inList(receiptState.customerId, only)}` : sql``;
	const credits = await db.all<{ customerId: number; currency: string; onAccount: number }>(sql`
		select receipt_state.customer_id as customerId, r.currency, sum(receipt_state.on_account) as onAccount
		from receipt_state join receipt r on r.id = receipt_state.receipt_id
		where receipt_state.customer_id is not null and receipt_state.on_account > 0 ${own} group by 1, 2`);
	for (const row of credits) {
		const sums = at(row.customerId, row.currency);
		sums.onAccount = minor(row.onAccount);
		sums.credit = minor(sums.credit + row.onAccount);
	}
}

async function addPast(db: Reader, day: Day, at: At, only?: readonly number[]): Promise<void> {
	const ids = only ?? (await db.select({ id: customer.id }).from(customer).all()).map((row) => row.id);
	const standing = await accountsOn(db, ids, day);
	for (const [customerId, items] of standing.items)
		for (const item of items) {
			const sums = at(customerId, item.currency);
			const isCredit = item.kind === 'credit_note';
			sums.owed = minor(sums.owed + (isCredit ? -item.open : item.open));
			if (isCredit) sums.credit = minor(sums.credit + item.open);
			if (item.kind === 'claim') sums.disputed = minor(sums.disputed + item.open);
			const isDue = item.kind === 'invoice' || item.kind === 'charge';
			if (isDue && item.due < day) sums.late = minor(sums.late + item.open);
			if (sums.oldest === null || item.due < sums.oldest) sums.oldest = item.due;
		}
	for (const [customerId, credits] of standing.credits)
		for (const one of credits) {
			const sums = at(customerId, one.currency);
			sums.onAccount = minor(sums.onAccount + one.open);
			sums.credit = minor(sums.credit + one.open);
		}
}

/** Customers by their ids, as letters need them. */
export const letterOwners = (db: Reader, ids: readonly number[]) => {
	const { id, code, name, parentId, tags, contacts } = customer;
	const { statementWay, statementEmail, statementAddress, reminderEmail, address } = customer;
	const { chasingPaused, pausedUntil } = customer;
	return db
		.select({
			...{ id, code, name, parentId, tags, contacts },
			...{ statementWay, statementEmail, statementAddress, reminderEmail, address },
			...{ chasingPaused, pausedUntil }
		})
		.from(customer)
		.where(inList(id, ids))
		.all();
};

/** A customer as letters need them. */
export type LetterOwner = Awaited<ReturnType<typeof letterOwners>>[number];
