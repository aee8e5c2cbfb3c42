import { and, asc, eq, gt, inArray } from 'drizzle-orm';
import { type Minor, ZERO } from '../../../core/money/minor';
import type { Db } from '../../platform/db/open';
import { receipt, receiptState } from '../../platform/db/schema';

/** Earlier money that lies on account and can be allocated with, or without, new money. */
export interface DeskCredit {
	readonly receiptId: number;
	readonly version: number;
	readonly booked: string;
	readonly payerName: string | null;
	readonly onAccount: Minor;
	readonly onAccountBase: Minor;
	/** The order that it was paid for, where it is a deposit. */
	readonly depositFor: string | null;
}

const CREDIT = {
	receiptId: receipt.id,
	version: receiptState.version,
	booked: receipt.booked,
	payerName: receipt.payerName,
	onAccount: receiptState.onAccount,
	onAccountBase: receiptState.onAccountBase,
	depositFor: receiptState.depositFor
};

/** Earlier money by its receipts, whatever of it is left. */
export async function creditsById(db: Db, receiptIds: readonly number[]): Promise<DeskCredit[]> {
	return db
		.select(CREDIT)
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(inArray(receipt.id, [...receiptIds]));
}

/** All earlier money of an account in a currency, the oldest first. */
export async function creditsOf(db: Db, customerId: number, currency: string): Promise<DeskCredit[]> {
	return db
		.select(CREDIT)
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(
			and(
				eq(receiptState.customerId, customerId),
				gt(receiptState.onAccount, ZERO),
				eq(receipt.currency, currency)
			)
		)
		.orderBy(asc(receipt.booked), asc(receipt.id));
}
