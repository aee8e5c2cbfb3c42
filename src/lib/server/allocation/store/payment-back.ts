import { mergedAccounts } from '../../customers/store/merged-accounts';
import { and, eq, inArray } from 'drizzle-orm';
import type { PaymentBack } from '../../../core/4-allocation/post-return';
import { minor } from '../../../core/money/minor';
import type { Reader } from '../../platform/db/open';
import {
	document,
	item,
	itemState,
	receipt,
	receiptState,
	standingAllocation,
	standingDifference
} from '../../platform/db/schema';

/** What a payment settles now, for working out what its return does. */
export type Standing = Omit<PaymentBack, 'amount' | 'differencesBack' | 'first'>;

/** A allocated payment with the allocations drawn from it that stand, and the differences booked with them; null where it is not allocated. */
export async function paymentBack(db: Reader, receiptId: number): Promise<Standing | null> {
	const row = await db
		.select({ state: receiptState, currency: receipt.currency, amount: receipt.amount })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	if (!row || row.state.state !== 'allocated' || row.amount <= 0) return null;
	const merged = await mergedAccounts(db);
	const now = (id: number) => merged.get(id) ?? id;
	const parts = await db
		.select()
		.from(standingAllocation)
		.innerJoin(item, eq(item.id, standingAllocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(eq(standingAllocation.receiptId, receiptId))
		.orderBy(standingAllocation.id);
	const actIds = [...new Set(parts.map((row) => row.standing_allocation.actId))];
	const itemIds = [...new Set(parts.map((row) => row.standing_allocation.itemId))];
	const gaps = await db
		.select()
		.from(standingDifference)
		.innerJoin(item, eq(item.id, standingDifference.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(and(inArray(standingDifference.actId, actIds), inArray(standingDifference.itemId, itemIds)))
		.orderBy(standingDifference.id);
	const states = await db.select().from(itemState).where(inArray(itemState.itemId, itemIds));
	return {
		receiptId,
		customerId: row.state.customerId!,
		currency: row.currency,
		onAccount: row.state.onAccount,
		onAccountBase: row.state.onAccountBase,
		allocations: parts.map(
			({ standing_allocation: part, item: { due }, document: { customerId, currency } }) => ({
				id: part.id,
				due: due,
				source: { receiptId },
				creditCustomerId: now(part.creditCustomerId),
				creditCurrency: row.currency,
				itemId: part.itemId,
				itemCustomerId: now(customerId),
				itemCurrency: currency,
				amount: part.amount,
				creditAmount: part.creditAmount,
				itemBase: part.itemBase,
				creditBase: part.creditBase
			})
		),
		differences: gaps.map(({ standing_difference: gap, document: { customerId, currency } }) => ({
			id: gap.id,
			itemId: gap.itemId,
			customerId: now(customerId),
			currency,
			kind: gap.kind as PaymentBack['differences'][number]['kind'],
			amount: gap.amount,
			base: gap.base
		})),
		items: states.map(({ itemId, open, openBase }) => ({
			itemId,
			open: minor(open),
			openBase: minor(openBase)
		}))
	};
}
