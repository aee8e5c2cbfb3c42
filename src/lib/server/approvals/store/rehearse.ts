import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { ActContext } from '../../act/define-act';
import type { Tx } from '../../platform/db/open';
import type { ItemLine } from '../../../core/model/act-facts';
import {
	allocation,
	customer,
	difference,
	document,
	item,
	journalLine,
	ledgerAccount
} from '../../platform/db/schema';
import type { PostedLine } from '../../platform/db/schema/approvals';

/** So many lines are kept one by one; beyond, what they come to by account and customer. */
const LINES_KEPT = 200;

/** What agreeing would do: the lines of the journal, and what of which item it settles. */
export interface Rehearsed {
	readonly lines: readonly PostedLine[];
	readonly items: readonly ItemLine[];
}

/**
 * Does something within a savepoint, reads what it posted, and takes it back: what agreeing would post, to the line. Throws what it
 * throws.
 */
export async function rehearse(
	ctx: ActContext,
	after: number,
	run: (ctx: ActContext) => Promise<unknown>
): Promise<Rehearsed> {
	const { tx } = ctx;
	await tx.run(sql`savepoint rehearsal`);
	await run(ctx.rehearsal());
	const done = { lines: await postedSince(tx, after), items: await itemsSince(tx, after) };
	await tx.run(sql`rollback to rehearsal`);
	await tx.run(sql`release rehearsal`);
	return done;
}

/** What was posted after an act, to the line; of very much what it comes to. */
export async function postedSince(tx: Tx, after: number): Promise<PostedLine[]> {
	const columns = {
		account: journalLine.account,
		name: ledgerAccount.name,
		code: customer.code,
		customer: customer.name,
		currency: journalLine.currency
	};
	const since = gt(journalLine.actId, after);
	const count = await tx.$count(journalLine, and(since));
	if (count <= LINES_KEPT)
		return tx
			.select({ ...columns, amount: journalLine.amount })
			.from(journalLine)
			.leftJoin(ledgerAccount, eq(ledgerAccount.code, journalLine.account))
			.leftJoin(customer, eq(customer.id, journalLine.customerId))
			.where(since)
			.orderBy(asc(journalLine.actId), asc(journalLine.id));
	return tx
		.select({ ...columns, amount: sql<number>`sum(${journalLine.amount})` })
		.from(journalLine)
		.leftJoin(ledgerAccount, eq(ledgerAccount.code, journalLine.account))
		.leftJoin(customer, eq(customer.id, journalLine.customerId))
		.where(since)
		.groupBy(journalLine.account, journalLine.customerId, journalLine.currency)
		.orderBy(asc(journalLine.account), asc(customer.name))
		.limit(2 * LINES_KEPT);
}

/** What was allocated to items, and what was taken off them, the first of each. */
export async function itemsSince(tx: Tx, after: number): Promise<ItemLine[]> {
	const columns = { number: document.number, customer: customer.name, currency: document.currency };
	const allocated = await tx
		.select({ ...columns, amount: allocation.amount })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, item.customerId))
		.where(gt(allocation.actId, after))
		.orderBy(asc(allocation.id))
		.limit(LINES_KEPT);
	const taken = await tx
		.select({ ...columns, amount: difference.amount, kind: difference.kind, of: document.kind })
		.from(difference)
		.innerJoin(item, eq(item.id, difference.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.innerJoin(customer, eq(customer.id, item.customerId))
		.where(gt(difference.actId, after))
		.orderBy(asc(difference.id))
		.limit(LINES_KEPT);
	return [
		...allocated.map((row) => ({ ...row, kind: 'allocated' as const })),
		...taken.map(({ of, kind, ...row }) => ({
			...row,
			// What is taken off a claim as a claim goes back to its invoice.
			kind: kind === 'claim' && of === 'claim' ? ('billed_back' as const) : kind
		}))
	];
}
