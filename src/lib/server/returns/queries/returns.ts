import { minor, ZERO } from '../../../core/money/minor';
import { and, desc, eq, gt, like, or } from 'drizzle-orm';
import { customer, receipt, receiptState } from '../../platform/db/schema';
import { returnedPayments, type ReturnedPayment } from '../store/returned-payments';
import { defineLook } from '../../act/define-look';

import { amountLookedFor } from '../../../words/amount-looked-for';
/** Returned payments, and those found to be marked so. */
export const lookAtReturns = defineLook('reader', async (db, query: string) => {
	const text = query.trim().replace(/[%_]/g, '');
	const amount = amountLookedFor(text, { whole: true });
	const wanted = `%${text}%`;
	const found = text
		? await db
				.select({
					receiptId: receipt.id,
					booked: receipt.booked,
					amount: receipt.amount,
					currency: receipt.currency,
					payerName: receipt.payerName,
					text: receipt.text,
					method: receipt.method,
					customer: customer.name,
					code: customer.code
				})
				.from(receiptState)
				.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
				.innerJoin(customer, eq(customer.id, receiptState.customerId))
				.where(
					and(
						eq(receiptState.state, 'allocated'),
						gt(receipt.amount, ZERO),
						or(
							like(customer.name, wanted),
							like(customer.code, wanted),
							like(receipt.payerName, wanted),
							like(receipt.text, wanted),
							amount === null ? undefined : eq(receipt.amount, minor(amount))
						)
					)
				)
				.orderBy(desc(receiptState.booked), desc(receipt.id))
				.limit(30)
		: [];
	return { returned: (await returnedPayments(db)).slice(0, 200), found };
});

/** One returned payment that stands. */
export const lookAtReturned = defineLook(
	'reader',
	async (db, id: number): Promise<ReturnedPayment | null> => (await returnedPayments(db, { id }))[0] ?? null
);
