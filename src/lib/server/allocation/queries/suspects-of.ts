import { and, desc, eq, gt } from 'drizzle-orm';
import { addDays } from '../../../core/day/arithmetic';
import type { Db } from '../../platform/db/open';
import { act, allocation, document, item, receipt, receiptState } from '../../platform/db/schema';
import type { Waiting } from '../../receipts/store/waiting-receipts';

/** An earlier payment that looks like the same again. */
export interface Suspect {
	readonly receiptId: number;
	readonly booked: string;
	readonly amount: number;
	readonly payerName: string | null;
	readonly text: string;
	readonly numbers: readonly string[];
	readonly by: string;
}

/** Two payments of the same sum within so many days may be the same one twice; a month apart they are a habit. */
const SUSPECT_DAYS = 24;

/** Earlier payments of an account that look like the same again. */
export async function suspectsOf(db: Db, row: Waiting, customerId: number): Promise<Suspect[]> {
	const rows = await db
		.select({
			receiptId: receipt.id,
			booked: receipt.booked,
			amount: receipt.amount,
			payerName: receipt.payerName,
			text: receipt.text,
			actId: receiptState.actId,
			by: act.userName
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.innerJoin(act, eq(act.id, receiptState.actId))
		.where(
			and(
				eq(receiptState.customerId, customerId),
				eq(receiptState.state, 'allocated'),
				eq(receipt.amount, row.amount),
				eq(receipt.currency, row.currency),
				gt(receipt.booked, addDays(row.booked, -SUSPECT_DAYS))
			)
		)
		.orderBy(desc(receipt.booked))
		.limit(3);
	const found: Suspect[] = [];
	for (const { actId, ...one } of rows) {
		const settled = await db
			.select({ number: document.number })
			.from(allocation)
			.innerJoin(item, eq(item.id, allocation.itemId))
			.innerJoin(document, eq(document.id, item.documentId))
			.where(eq(allocation.actId, actId!));
		found.push({ ...one, numbers: [...new Set(settled.map((each) => each.number))] });
	}
	return found;
}
