import { and, asc, eq, gt, sql } from 'drizzle-orm';
import type { ActContext } from '../../act/define-act';
import { customer, journalLine, ledgerAccount } from '../../platform/db/schema';
import type { PostedLine } from '../../platform/db/schema/approvals';

/** So many lines are kept one by one; beyond, what they come to by account and customer. */
const LINES_KEPT = 200;

/**
 * Does something within a savepoint, reads what it posted, and takes it back: what agreeing would post, to the line. Throws what it
 * throws.
 */
export async function rehearse(
	ctx: ActContext,
	after: number,
	run: (ctx: ActContext) => Promise<unknown>
): Promise<PostedLine[]> {
	const { tx } = ctx;
	await tx.run(sql`savepoint rehearsal`);
	await run(ctx.rehearsal());
	const lines = await postedSince(ctx, after);
	await tx.run(sql`rollback to rehearsal`);
	await tx.run(sql`release rehearsal`);
	return lines;
}

async function postedSince({ tx }: ActContext, after: number): Promise<PostedLine[]> {
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
