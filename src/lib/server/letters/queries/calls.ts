import { desc, eq, isNull, lte, and } from 'drizzle-orm';
import { groupBy } from '../../../core/group-by';
import { callWorth, type CallWorth } from '../../../core/7-letters/chasing/call-order';
import type { Day } from '../../../core/day/day';
import type { CallOutcome } from '../../../core/model/call-outcome';
import { idsOfAccount, idsOfAccounts, mergedAccounts } from '../../customers/store/merged-accounts';
import { promisesOf, type PromiseShown } from '../../customers/store/promises-of';
import { itemsById } from '../../documents/store/open-items';
import { defineLook } from '../../act/define-look';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { act, customer, phoneCall, promise, task } from '../../platform/db/schema';
import { chaseAccounts, type AccountChase } from '../store/chases';

/** Why somebody is called today. */
export type CallReason =
	| { readonly why: 'step'; readonly step: string }
	| { readonly why: 'broken'; readonly amount: number; readonly day: Day }
	| { readonly why: 'again'; readonly day: Day };

/** A call as it was recorded. */
export interface CallShown {
	readonly day: Day;
	readonly outcome: CallOutcome;
	readonly said: string;
	readonly by: string;
	readonly againOn: Day | null;
}

export interface CallRow extends CallWorth {
	readonly customerId: number;
	readonly code: string;
	readonly name: string;
	readonly currency: string;
	/** What is overdue, in the account's currency. */
	readonly late: number;
	readonly daysLate: number;
	readonly kept: number;
	readonly made: number;
	readonly reasons: readonly CallReason[];
	/** Who is asked for, and at which number. */
	readonly contacts: readonly { readonly name: string; readonly phone: string }[];
	/** The newest first. */
	readonly calls: readonly CallShown[];
	/** What is late, the oldest first. */
	readonly items: readonly {
		readonly id: number;
		readonly number: string;
		readonly due: Day;
		readonly open: number;
		readonly version: number;
	}[];
}

const SHOWN_ITEMS = 50;
const SHOWN_CALLS = 3;

/** An account that is to be called, and what it promised before. */
interface Called {
	readonly chase: AccountChase;
	readonly reasons: readonly CallReason[];
	readonly made: readonly PromiseShown[];
	/** The newest first. */
	readonly calls: readonly CallShown[];
}

/** Which accounts are to be called today, and why. @param chases where accounts stand on their ladders */
export async function whomToCall(
	db: Reader,
	chases: ReadonlyMap<string, AccountChase>,
	today: Day
): Promise<Called[]> {
	const late = [...chases].filter(([, chase]) => chase.daysLate > 0);
	const calls = await newestCalls(
		db,
		late.map(([, chase]) => chase.customerId)
	);
	const merged = await mergedAccounts(db);
	const who = await db.selectDistinct({ id: promise.customerId }).from(promise).all();
	const promisers = new Set(who.map(({ id }) => merged.get(id) ?? id));
	const found: Called[] = [];
	for (const [key, chase] of late) {
		const own = calls.get(key) ?? [];
		const [last = null] = own;
		const calledToday = last !== null && last.day === today && last.outcome !== 'no-answer';
		const reasons: CallReason[] = [];
		const [step] = chase.calls;
		if (step) reasons.push({ why: 'step', step: step.step.name });
		if (last?.againOn && last.againOn <= today && !calledToday)
			reasons.push({ why: 'again', day: last.againOn });
		const made = promisers.has(chase.customerId)
			? await promisesOf(db, chase.customerId, await idsOfAccount(db, chase.customerId), today)
			: [];
		const ofAccount = made.filter((one) => one.currency === chase.currency);
		const broken = ofAccount.find((one) => one.state === 'broken' || one.state === 'part_kept');
		// One that was talked about since is no reason any more.
		if (broken && (last === null || last.day <= broken.promisedFor))
			reasons.push({ why: 'broken', amount: broken.amount - broken.came, day: broken.promisedFor });
		if (reasons.length > 0) found.push({ chase, reasons, made: ofAccount, calls: own });
	}
	return found;
}

/** Whom to call today and why, first who may bring most. */
export const lookAtCalls = defineLook('reader', async (db, _: null, { today }): Promise<CallRow[]> => {
	const found = await whomToCall(db, await chaseAccounts(db, today), today);
	const owners = new Map(
		(
			await db
				.select()
				.from(customer)
				.where(
					inList(
						customer.id,
						found.map(({ chase }) => chase.customerId)
					)
				)
				.all()
		).map((row) => [row.id, row])
	);
	const rows: CallRow[] = [];
	for (const { chase, reasons, made, calls } of found) {
		const { customerId, currency, daysLate } = chase;
		const owner = owners.get(customerId)!;
		const late = chase.items.filter((item) => item.due < today);
		const over = made.filter((one) => one.state !== 'open');
		const kept = over.filter((one) => one.state === 'kept').length;
		const shown = await itemsById(
			db,
			late.slice(0, SHOWN_ITEMS).map((item) => item.id)
		);
		rows.push({
			...{ customerId, currency, daysLate, code: owner.code, name: owner.name, reasons },
			late: late.reduce((sum, item) => sum + item.open, 0),
			...callWorth({
				amount: late.reduce((sum, item) => sum + item.base, 0),
				daysLate,
				kept,
				made: over.length
			}),
			...{ kept, made: over.length },
			contacts: [
				...owner.contacts.flatMap(({ name, phone }) => (phone ? [{ name, phone }] : [])),
				...(owner.phone ? [{ name: '', phone: owner.phone }] : [])
			],
			calls: calls.slice(0, SHOWN_CALLS),
			items: shown
				.map(({ id, number, due, open, version }) => ({ id, number, due, open, version }))
				.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id))
		});
	}
	return rows.sort((a, b) => b.worth - a.worth || a.customerId - b.customerId);
});

/** Calls of each account, the newest first. */
async function newestCalls(
	db: Reader,
	customerIds: readonly number[]
): Promise<ReadonlyMap<string, (CallShown & { readonly key: string })[]>> {
	const merged = await mergedAccounts(db);
	const rows = await db
		.select({
			...{ customerId: phoneCall.customerId, currency: phoneCall.currency, day: phoneCall.day },
			...{ outcome: phoneCall.outcome, said: phoneCall.said, againOn: phoneCall.againOn, by: act.userName }
		})
		.from(phoneCall)
		.innerJoin(act, eq(act.id, phoneCall.actId))
		.where(inList(phoneCall.customerId, await idsOfAccounts(db, customerIds)))
		.orderBy(desc(phoneCall.id))
		.all();
	return groupBy(
		rows.map(({ customerId, currency, ...one }) => ({
			...one,
			key: `${merged.get(customerId) ?? customerId} ${currency}`
		})),
		(one) => one.key
	);
}

/** What is to be done for customers by today, the oldest first. */
export const lookAtTasks = defineLook('reader', async (db, _: null, { today }) =>
	db
		.select({ id: task.id, day: task.day, what: task.what, code: customer.code, name: customer.name })
		.from(task)
		.innerJoin(customer, eq(customer.id, task.customerId))
		.where(and(isNull(task.doneActId), lte(task.day, today)))
		.orderBy(task.day, task.id)
		.limit(200)
		.all()
);
