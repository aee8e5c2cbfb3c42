import { eq } from 'drizzle-orm';
import { act, customer, receipt, receiptState } from '../../platform/db/schema';
import { defineLook } from '../../act/define-look';
import { saidOf } from '../../act/said';

/** Where a receipt is that is not in the pile, and what was done with it last; null where there is no such receipt. */
export const whereReceiptIs = defineLook('reader', async (db, receiptId: number) => {
	const row = await db
		.select({
			...{ state: receiptState.state, actId: receiptState.actId, lastActId: receiptState.lastActId },
			...{ payer: receipt.payerName, amount: receipt.amount, currency: receipt.currency },
			code: customer.code
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.leftJoin(customer, eq(customer.id, receiptState.customerId))
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	if (!row) return null;
	const last = await db
		.select()
		.from(act)
		.where(eq(act.id, row.actId ?? row.lastActId))
		.get();
	return {
		...{ state: row.state, payer: row.payer, amount: row.amount, currency: row.currency, code: row.code },
		done: last && { actId: last.id, said: saidOf(last), by: last.userName, at: last.at }
	};
});
