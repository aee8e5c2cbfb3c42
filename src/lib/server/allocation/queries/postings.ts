import { and, desc, eq } from 'drizzle-orm';
import { act, receipt, receiptState } from '../../platform/db/schema';
import { customerByCode } from '../../customers/store/customer-by-code';
import { defineLook } from '../../act/define-look';

const POSTINGS_SHOWN = 300;

/** Payments that stand allocated to an account, newest first, for putting several right at once. */
export const lookAtPostings = defineLook('clerk', async (db, code: string) => {
	const owner = await customerByCode(db, code);
	if (!owner) return null;
	const rows = await db
		.select({
			actId: act.id,
			receiptVersion: receiptState.version,
			booked: receipt.booked,
			amount: receipt.amount,
			currency: receipt.currency,
			payerName: receipt.payerName,
			text: receipt.text,
			onAccount: receiptState.onAccount,
			by: act.userName,
			at: act.at
		})
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.innerJoin(act, eq(act.id, receiptState.actId))
		.where(and(eq(receiptState.customerId, owner.id), eq(receiptState.state, 'allocated')))
		.orderBy(desc(receipt.booked), desc(receipt.id))
		.limit(POSTINGS_SHOWN);
	return { customer: { id: owner.id, code: owner.code, name: owner.name }, rows };
});
