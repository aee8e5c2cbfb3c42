import { and, asc, desc, eq, gte, inArray } from 'drizzle-orm';
import type { OpenItem } from '../../../core/model/records';
import { minor } from '../../../core/money/minor';
import type { AllocationInput } from '../allocation-input';
import type { Db } from '../../platform/db/open';
import {
	act,
	allocation,
	claim,
	receiptAdjustment,
	customer,
	difference,
	letter,
	receipt,
	receiptState
} from '../../platform/db/schema';
import { itemsById, openItemsOf } from '../../documents/store/open-items';
import type { Waiting } from '../../receipts/store/waiting-receipts';
import { reasonsOfRecord } from '../../../words';
import { defineLook } from '../../act/define-look';
import { creditsById, type DeskCredit } from './desk-credits';
import { frameOf, type Desk } from './desk';

/** An allocation on the desk again, as if it were taken off: what it settled is open, what it drew on is there. */
export interface Again {
	readonly desk: Desk;
	readonly actId: number;
	readonly by: string;
	readonly at: string;
	readonly date: string;
	/** Why it was allocated so, in the words of that time. */
	readonly reasons: readonly string[];
	/** Letters since then that told its customers how they stood. */
	readonly letters: readonly {
		readonly id: number;
		readonly kind: string;
		readonly date: string;
		readonly customerId: number;
		readonly customer: string;
		readonly currency: string;
	}[];
}

/** Money that was allocated, to be put right: null where that allocation does not stand any more. */
export const lookAtReallocation = defineLook(
	'clerk',
	async (
		db,
		input: { actId: number; customerId: number | null; also: readonly number[] },
		viewer
	): Promise<Again | null> => {
		const first = await db.select().from(act).where(eq(act.id, input.actId)).get();
		const found = await db
			.select({ row: receipt, state: receiptState })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(eq(receiptState.actId, input.actId))
			.get();
		if (!first || !found || found.state.state !== 'allocated') return null;
		const order = await orderOf(db, first, found.row, found.state);
		const row: Waiting = {
			...found.row,
			booked: found.row.booked,
			amount: found.row.amount,
			charges: found.row.charges,
			fee: minor(0),
			version: found.state.version,
			...{ heldBecause: null, heldFor: null, bankAccountId: null, code: null },
			unidentifiedActId: found.state.unidentifiedActId,
			heldOrder: order
		};
		const frame = await frameOf(db, row, null, input, viewer);
		if (!frame) return null;
		const parts = await db.select().from(allocation).where(eq(allocation.actId, first.id));
		const gaps = await db.select().from(difference).where(eq(difference.actId, first.id));
		const items = await itemsAsBefore(db, frame.itemsOf.accounts, parts, gaps);
		const touched = [
			...new Set([...items.filter((it) => it.touched).map((it) => it.customerId), first.customerId!])
		];
		return {
			desk: {
				...frame,
				items: items.map(({ touched: _touched, ...item }) => item),
				credits: await creditsAsBefore(db, frame.credits, found.row.id, parts),
				bankMatches: [],
				suspects: []
			},
			...{ actId: first.id, by: first.userName, at: first.at, date: first.date },
			reasons: reasonsOfRecord(first.facts),
			letters: await db
				.select({
					...{ id: letter.id, kind: letter.kind, date: letter.date, currency: letter.currency },
					...{ customerId: letter.customerId, customer: customer.name }
				})
				.from(letter)
				.innerJoin(customer, eq(customer.id, letter.customerId))
				.where(and(inArray(letter.customerId, touched), gte(letter.actId, first.id)))
				.orderBy(desc(letter.id))
				.limit(10)
		};
	}
);

/** What was laid, from the records that stand. */
async function orderOf(
	db: Db,
	first: typeof act.$inferSelect,
	{ id: receiptId, currency }: { readonly id: number; readonly currency: string },
	state: typeof receiptState.$inferSelect
): Promise<AllocationInput> {
	const parts = await db
		.select()
		.from(allocation)
		.where(eq(allocation.actId, first.id))
		.orderBy(asc(allocation.id));
	const gaps = await db
		.select()
		.from(difference)
		.where(eq(difference.actId, first.id))
		.orderBy(asc(difference.id));
	const changes = await db.select().from(receiptAdjustment).where(eq(receiptAdjustment.actId, first.id));
	const claims = await db.select().from(claim).where(eq(claim.actId, first.id));
	const cash = new Map<number, number>();
	/** In the item's own currency, where that is not the money's. */
	const settles = new Map<number, number>();
	const add = (id: number, amount: number) => cash.set(id, (cash.get(id) ?? 0) + amount);
	for (const part of parts) {
		add(part.itemId, part.creditAmount);
		settles.set(part.itemId, (settles.get(part.itemId) ?? 0) + part.amount);
		if (part.creditItemId !== null) add(part.creditItemId, -part.creditAmount);
	}
	for (const gap of gaps) if (!cash.has(gap.itemId)) cash.set(gap.itemId, 0);
	const used = new Map<number, number>();
	for (const part of parts)
		if (part.receiptId !== null && part.receiptId !== receiptId)
			used.set(part.receiptId, (used.get(part.receiptId) ?? 0) + part.creditAmount);
	const items = await itemsById(db, [...cash.keys()]);
	const foreign = new Set(items.filter((item) => item.currency !== currency).map((item) => item.id));
	const claimOf = new Map(claims.map((one) => [one.fromItemId, one]));
	return {
		...{ receiptId, receiptVersion: state.version, customerId: first.customerId },
		credits: [...used].map(([id, use]) => ({ receiptId: id, version: 0, use })),
		lines: [...cash].map(([itemId, amount]) => {
			const own = claimOf.get(itemId);
			return {
				...{ itemId, version: 0, cash: amount },
				...(foreign.has(itemId) ? { settles: settles.get(itemId)! } : {}),
				differences: gaps
					.filter((gap) => gap.itemId === itemId && gap.kind !== 'settled_before')
					.map((gap) => ({ kind: gap.kind as 'claim', amount: gap.amount })),
				...(own
					? { claim: { reason: own.reason, owner: own.owner, deadline: own.deadline, note: own.note } }
					: {})
			};
		}),
		fees: changes.flatMap(({ kind, amount }) =>
			kind === 'processor_fee' || kind === 'bank_charge' ? [{ kind, amount }] : []
		),
		surplus: changes.flatMap(({ kind, amount }) =>
			kind === 'small_difference' || kind === 'refund' ? [{ kind, amount: -amount }] : []
		),
		depositFor: state.depositFor
	};
}

/** The accounts' items with what the act took from them given back; their versions as they will be once it is taken off. */
async function itemsAsBefore(
	db: Db,
	accounts: readonly number[],
	parts: readonly (typeof allocation.$inferSelect)[],
	gaps: readonly (typeof difference.$inferSelect)[]
): Promise<(OpenItem & { touched: boolean })[]> {
	const back = new Map<number, { open: number; base: number }>();
	const give = (id: number, open: number, base: number) => {
		const sum = back.get(id) ?? { open: 0, base: 0 };
		back.set(id, { open: sum.open + open, base: sum.base + base });
	};
	for (const part of parts) {
		give(part.itemId, part.amount, part.itemBase);
		if (part.creditItemId !== null) give(part.creditItemId, part.creditAmount, part.creditBase);
	}
	for (const gap of gaps) give(gap.itemId, gap.amount, gap.base);
	const items = new Map((await openItemsOf(db, accounts)).map((item) => [item.id, item]));
	for (const item of await itemsById(db, [...back.keys()])) items.set(item.id, item);
	const sorted = [...items.values()].sort((a, b) => a.id - b.id);
	return sorted.map((item) => {
		const given = back.get(item.id);
		if (!given) return { ...item, touched: false };
		return {
			...item,
			open: minor(item.open + given.open),
			openBase: minor(item.openBase + given.base),
			version: item.version + 1,
			touched: true
		};
	});
}

/** Earlier money with what the act drew of it given back; its own rest on account is none of it. */
async function creditsAsBefore(
	db: Db,
	credits: readonly DeskCredit[],
	receiptId: number,
	parts: readonly (typeof allocation.$inferSelect)[]
): Promise<DeskCredit[]> {
	const drawn = new Map<number, number>();
	for (const part of parts)
		if (part.receiptId !== null && part.receiptId !== receiptId)
			drawn.set(part.receiptId, (drawn.get(part.receiptId) ?? 0) + part.creditAmount);
	const all = new Map(credits.map((one) => [one.receiptId, one]));
	// What was used up is on no account now.
	for (const one of await creditsById(db, [...drawn.keys()])) all.set(one.receiptId, one);
	all.delete(receiptId);
	return [...all.values()].map((one) => {
		const sum = drawn.get(one.receiptId);
		return sum === undefined
			? one
			: { ...one, onAccount: minor(one.onAccount + sum), version: one.version + 1 };
	});
}
