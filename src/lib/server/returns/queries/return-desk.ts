import { minor } from '../../../core/money/minor';
import { and, desc, eq, gte, inArray, lte } from 'drizzle-orm';
import { typicalSums } from '../../../core/money/typical-sums';
import {
	bankAccount,
	bankEntry,
	customer,
	document,
	item,
	receipt,
	receiptState,
	returnedPayment
} from '../../platform/db/schema';
import { firstOpenDay } from '../../periods/store/check-period';
import { paymentBack, type Standing } from '../../allocation/store/payment-back';
import { returnedPayments, type ReturnedPayment } from '../store/returned-payments';
import { defineLook } from '../../act/define-look';

import { PAYMENTS_FOUND } from './what-debit-means';
export interface ReturnDesk {
	readonly payment: {
		readonly receiptId: number;
		readonly version: number;
		readonly booked: string;
		readonly amount: number;
		readonly currency: string;
		readonly payerName: string | null;
		readonly text: string;
		readonly method: string;
		readonly bank: string | null;
	};
	readonly customer: { readonly id: number; readonly code: string; readonly name: string };
	readonly standing: Standing;
	/** Numbers of the items, by item. */
	readonly labels: Readonly<Record<number, string>>;
	/** Names of other accounts whose items it paid, by customer. */
	readonly owners: Readonly<Record<number, string>>;
	/** The debit entries that may show it: the one asked for first. */
	readonly debits: readonly {
		readonly receiptId: number;
		readonly version: number;
		readonly booked: string;
		readonly amount: number;
		readonly text: string;
		readonly reason: string | null;
	}[];
	/** What was charged for the last return. */
	readonly lastCharge: number;
	readonly lastFee: number;
	readonly firstOpen: string | null;
	readonly before: readonly ReturnedPayment[];
}

/** A payment on the desk to be marked as returned; null where it is not allocated, or came back whole. */
export const lookAtReturn = defineLook(
	'clerk',
	async (db, input: { receiptId: number; shownId: number | null }): Promise<ReturnDesk | null> => {
		const standing = await paymentBack(db, input.receiptId);
		if (!standing) return null;
		const row = (await db
			.select({ row: receipt, state: receiptState, bank: bankAccount.name })
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.leftJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
			.leftJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
			.where(eq(receiptState.receiptId, input.receiptId))
			.get())!;
		const ids = standing.items.map((one) => one.itemId);
		const labels = await db
			.select({ id: item.id, number: document.number, part: item.part, parts: item.parts })
			.from(item)
			.innerJoin(document, eq(document.id, item.documentId))
			.where(inArray(item.id, ids));
		const owners = await db
			.select({ id: customer.id, code: customer.code, name: customer.name })
			.from(customer)
			.where(
				inArray(customer.id, [standing.customerId, ...standing.allocations.map((one) => one.itemCustomerId)])
			);
		const debits = await db
			.select({
				receiptId: receipt.id,
				version: receiptState.version,
				booked: receipt.booked,
				amount: receipt.amount,
				text: receipt.text,
				reason: receipt.returnReason
			})
			.from(receiptState)
			.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
			.where(
				and(
					inArray(receiptState.state, ['waiting', 'held']),
					eq(receipt.currency, row.row.currency),
					lte(receipt.amount, minor(-1)),
					input.shownId === null
						? and(
								lte(receipt.amount, minor(-row.row.amount)),
								gte(receipt.amount, minor(-row.row.amount - typicalSums(row.row.currency).returnFeeMost))
							)
						: eq(receipt.id, input.shownId)
				)
			)
			.limit(PAYMENTS_FOUND);
		const last = await db.select().from(returnedPayment).orderBy(desc(returnedPayment.id)).limit(1).get();
		const lastCharge = last?.chargeId
			? await db.select({ total: document.total }).from(document).where(eq(document.id, last.chargeId)).get()
			: undefined;
		const { id, booked, amount, currency, payerName, text, method } = row.row;
		return {
			payment: {
				...{ receiptId: id, version: row.state.version, booked, amount, currency, payerName, text, method },
				bank: row.bank
			},
			customer: owners.find((one) => one.id === standing.customerId)!,
			standing,
			labels: Object.fromEntries(
				labels.map((one) => [
					one.id,
					one.parts > 1 ? `${one.number} (${one.part} of ${one.parts})` : one.number
				])
			),
			owners: Object.fromEntries(owners.map((one) => [one.id, one.name])),
			debits,
			lastCharge: lastCharge?.total ?? 0,
			lastFee: last?.fee ?? 0,
			firstOpen: await firstOpenDay(db),
			before: await returnedPayments(db, { receiptId: id })
		};
	}
);
