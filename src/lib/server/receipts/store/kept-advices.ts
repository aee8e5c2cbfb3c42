import { and, asc, eq, isNull } from 'drizzle-orm';
import type { KeptAdvice } from '../../../core/3-matching';
import { readAdvice } from '../../../tables/read-advice';
import type { Reader, Tx } from '../../platform/db/open';
import { advice } from '../../platform/db/schema';

/** Remittance advices that wait for their payment, oldest first: of one customer, or all. */
export async function keptAdvices(db: Reader, customerId?: number): Promise<KeptAdvice[]> {
	const own = customerId === undefined ? undefined : eq(advice.customerId, customerId);
	const rows = await db
		.select()
		.from(advice)
		.where(and(isNull(advice.receiptId), own))
		.orderBy(asc(advice.date), asc(advice.id));
	return rows.map((row) => {
		// It could be read when it was kept.
		const lines = readAdvice(row.source, row.currency);
		return {
			...{ id: row.id, date: row.date, customerId: row.customerId, currency: row.currency },
			total: row.total,
			lines: lines.ok ? lines.value : []
		};
	});
}

/** Ties an advice to the receipt that was allocated by it; one that is tied already stays with its own. */
export async function useAdvice(tx: Tx, adviceId: number, receiptId: number): Promise<void> {
	await tx
		.update(advice)
		.set({ receiptId })
		.where(and(eq(advice.id, adviceId), isNull(advice.receiptId)));
}

/** Lets the advice of a receipt wait again, when its allocation is taken back. */
export async function releaseAdvice(tx: Tx, receiptId: number): Promise<void> {
	await tx.update(advice).set({ receiptId: null }).where(eq(advice.receiptId, receiptId));
}
