import { eq } from 'drizzle-orm';
import { isWaiting } from '../../../core/2-receipts/receipt-life';
import type { Tx } from '../../platform/db/open';
import { act, bankAccount, bankEntry, customer, receipt, receiptState } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';

/** Only what acts need: each column of a row read costs as much as a row written. */
const ROW = {
	id: receipt.id,
	bankEntryId: receipt.bankEntryId,
	method: receipt.method,
	isPettyCash: receipt.isPettyCash,
	detail: receipt.detail,
	booked: receipt.booked,
	amount: receipt.amount,
	currency: receipt.currency,
	payerName: receipt.payerName,
	payerAccount: receipt.payerAccount,
	text: receipt.text,
	/** The ledger account of its bank account; null for money that the bank has not shown. */
	bankLedger: bankAccount.ledger
};
const STATE = {
	state: receiptState.state,
	customerId: receiptState.customerId,
	version: receiptState.version,
	lastActId: receiptState.lastActId,
	unidentifiedActId: receiptState.unidentifiedActId,
	unidentifiedBase: receiptState.unidentifiedBase
};

export type TakenReceipt = Pick<typeof receipt.$inferSelect, Exclude<keyof typeof ROW, 'bankLedger'>> & {
	readonly bankLedger: string | null;
};

/** The receipt, if it still waits as it was seen; else refuses, naming who did what with it. */
export async function takeReceipt(tx: Tx, receiptId: number, version: number) {
	const found = await tx
		.select({ row: ROW, state: STATE })
		.from(receipt)
		.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
		.leftJoin(bankEntry, eq(bankEntry.id, receipt.bankEntryId))
		.leftJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
		.where(eq(receipt.id, receiptId))
		.get();
	if (!found) throw new DomainError({ code: 'not-found', what: 'receipt' });
	if (!isWaiting(found.state.state) || found.state.version !== version) {
		const last = await tx.select().from(act).where(eq(act.id, found.state.lastActId)).get();
		const owner = found.state.customerId
			? await tx
					.select({ name: customer.name })
					.from(customer)
					.where(eq(customer.id, found.state.customerId))
					.get()
			: null;
		throw new DomainError({
			code: 'receipt-taken',
			who: last?.userName ?? '',
			at: last?.at ?? '',
			to: owner?.name ?? null
		});
	}
	return found;
}

/** What can be done only with money that still lies at the bank refuses money booked to unidentified receipts. */
export function refuseUnidentified(state: { readonly unidentifiedActId: number | null }): void {
	if (state.unidentifiedActId !== null) throw new DomainError({ code: 'unidentified-first' });
}
