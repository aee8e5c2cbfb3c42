import { minor } from '../../../core/money/minor';
import { and, desc, eq, gte, lte } from 'drizzle-orm';
import { MOST_DAYS_TO_RETURN, saysReturned } from '../../../core/3-matching';
import { nameKey } from '../../../core/text/name-key';
import { addDays } from '../../../core/day/arithmetic';
import type { Db } from '../../platform/db/open';
import { receiptAdjustment, customer, receipt, refundFile, refundInFile } from '../../platform/db/schema';

import { PAYMENTS_FOUND } from './what-debit-means';
/** A refund that went to the bank in a file and may be what came in now. */
export interface RefundBack {
	readonly customerId: number;
	readonly customer: string;
	readonly amount: number;
	readonly date: string;
	readonly file: string;
}

/** Refunds of just this amount that went out within a year: of this payer, or any where the entry calls itself a return. */
export async function refundsBack(
	db: Db,
	row: Pick<
		typeof receipt.$inferSelect,
		'amount' | 'currency' | 'booked' | 'payerName' | 'text' | 'returnReason'
	>
): Promise<RefundBack[]> {
	const found = await db
		.select({
			customerId: customer.id,
			customer: customer.name,
			amount: receiptAdjustment.amount,
			date: refundFile.date,
			file: refundFile.name,
			payee: receipt.payerName
		})
		.from(refundInFile)
		.innerJoin(refundFile, eq(refundFile.id, refundInFile.fileId))
		.innerJoin(receiptAdjustment, eq(receiptAdjustment.id, refundInFile.receiptAdjustmentId))
		.innerJoin(receipt, eq(receipt.id, receiptAdjustment.receiptId))
		.innerJoin(customer, eq(customer.id, receiptAdjustment.customerId))
		.where(
			and(
				eq(receiptAdjustment.amount, minor(-row.amount)),
				eq(receipt.currency, row.currency),
				gte(refundFile.date, addDays(row.booked, -MOST_DAYS_TO_RETURN)),
				lte(refundFile.date, row.booked)
			)
		)
		.orderBy(desc(refundFile.id))
		.limit(50);
	const same = (name: string | null) =>
		name !== null && row.payerName !== null && nameKey(name) === nameKey(row.payerName);
	return found
		.filter((one) => saysReturned(row) || same(one.payee) || same(one.customer))
		.slice(0, PAYMENTS_FOUND)
		.map(({ payee: _payee, amount, ...one }) => ({ ...one, amount: -amount }));
}
