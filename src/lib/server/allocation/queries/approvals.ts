import { desc, eq, ne, sql, type SQL } from 'drizzle-orm';
import { act, approval, customer, receiptState } from '../../platform/db/schema';
import { itemLabel } from '../../../core/4-allocation/item-label';
import type { DifferenceKind } from '../../../core/model/records';
import type { AllocationOrder } from '../allocation-input';
import type { Db } from '../../platform/db/open';
import { itemsById } from '../../documents/store/open-items';
import { approvalAbout } from '../store/approval-about';
import { defineLook } from '../../act/define-look';

/** So many answered ones are shown below those that wait. */
const ANSWERED = 20;

/** What waits for a supervisor's agreement, the oldest first, and the last that were answered. */
export const lookAtApprovals = defineLook('reader', async (db, _: null, { who }) => {
	const ended = <T>(column: 'user_name' | 'at' | 'facts') =>
		sql<T>`(select ${sql.raw(column)} from act e where e.id = ${approval.endedActId})`;
	const rows = (which: SQL) =>
		db
			.select({
				asked: approval.actId,
				about: approval.about,
				over: approval.over,
				kind: approval.kind,
				input: approval.input,
				state: approval.state,
				by: act.userName,
				byId: act.userId,
				at: act.at,
				code: customer.code,
				customer: customer.name,
				answeredBy: ended<string | null>('user_name'),
				answeredAt: ended<string | null>('at'),
				facts: ended<string | null>('facts')
			})
			.from(approval)
			.innerJoin(act, eq(act.id, approval.actId))
			.leftJoin(customer, eq(customer.id, approval.customerId))
			.where(which);
	const waiting = await rows(eq(approval.state, 'waiting')).orderBy(approval.actId);
	const answered = await rows(ne(approval.state, 'waiting'))
		.orderBy(desc(approval.endedActId))
		.limit(ANSWERED);
	const lines = await linesOf(db, waiting);
	const read = ({ facts, byId, about, input: _input, ...row }: (typeof waiting)[number]) => ({
		...row,
		about: approvalAbout(about),
		/** What agreeing posts, where it is an allocation. */
		lines: lines.get(row.asked) ?? [],
		mine: byId === who.id,
		why: facts === null ? '' : ((JSON.parse(facts) as { reason?: string }).reason ?? '')
	});
	return { waiting: waiting.map(read), answered: answered.map(read) };
});

/** A line of an allocation that waits: so much on an item, and what closes its gap. */
export interface ApprovalLine {
	readonly number: string;
	readonly cash: number;
	readonly currency: string;
	readonly differences: readonly { readonly kind: DifferenceKind; readonly amount: number }[];
}

/** What allocations that wait would post, by the act of asking. */
async function linesOf(
	db: Db,
	waiting: readonly { readonly asked: number; readonly kind: string; readonly input: string }[]
): Promise<Map<number, ApprovalLine[]>> {
	const orders = waiting
		.filter((one) => one.kind === 'allocate-receipt')
		.map((one) => ({ asked: one.asked, order: JSON.parse(one.input) as AllocationOrder }));
	const items = await itemsById(
		db,
		orders.flatMap(({ order }) => order.lines.map((line) => line.itemId))
	);
	const byId = new Map(items.map((item) => [item.id, item]));
	return new Map(
		orders.map(({ asked, order }) => [
			asked,
			order.lines.flatMap(({ itemId, cash, differences }) => {
				const item = byId.get(itemId);
				return item ? [{ number: itemLabel(item), cash, currency: item.currency, differences }] : [];
			})
		])
	);
}

/** How many receipts wait for a supervisor. */
export const countInApproval = defineLook('reader', (db, _: null) =>
	db.$count(receiptState, eq(receiptState.state, 'in_approval'))
);

/** How many wait for a supervisor. */
export const countApprovals = defineLook('reader', async (db, _: null) => {
	const row = await db
		.select({ n: sql<number>`count(*)` })
		.from(approval)
		.where(eq(approval.state, 'waiting'))
		.get();
	return row?.n ?? 0;
});
