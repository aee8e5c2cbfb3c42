import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { PaymentBack } from '../../core/4-allocation/take-back-payment';
import type { Day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import type { Reader } from '../db/open';
import { allocation, difference, document, item, itemState, receipt, receiptState } from '../db/schema';

/** What a payment settles now, for working out what its return does. */
export type Standing = Omit<PaymentBack, 'amount' | 'differencesBack' | 'first'>;

const NOT_UNDONE = sql`not exists (select 1 from allocation u where u.undoes_id = ${allocation.id})`;

/** A placed payment with the allocations drawn from it that stand, and the differences booked with them; null where it is not placed. */
export async function paymentBack(db: Reader, receiptId: number): Promise<Standing | null> {
	const row = await db
		.select({ state: receiptState, currency: receipt.currency, amount: receipt.amount })
		.from(receiptState)
		.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
		.where(eq(receiptState.receiptId, receiptId))
		.get();
	if (!row || row.state.state !== 'placed' || row.amount <= 0) return null;
	const parts = await db
		.select({ part: allocation, due: item.due, owner: document.customerId, currency: document.currency })
		.from(allocation)
		.innerJoin(item, eq(item.id, allocation.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(and(eq(allocation.receiptId, receiptId), isNull(allocation.undoesId), NOT_UNDONE))
		.orderBy(allocation.id);
	const actIds = [...new Set(parts.map(({ part }) => part.actId))];
	const itemIds = [...new Set(parts.map(({ part }) => part.itemId))];
	const gaps = await db
		.select({ gap: difference, owner: document.customerId, currency: document.currency })
		.from(difference)
		.innerJoin(item, eq(item.id, difference.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.where(
			and(
				inArray(difference.actId, actIds),
				inArray(difference.itemId, itemIds),
				isNull(difference.undoesId),
				sql`not exists (select 1 from difference u where u.undoes_id = ${difference.id})`
			)
		)
		.orderBy(difference.id);
	const states = await db.select().from(itemState).where(inArray(itemState.itemId, itemIds));
	return {
		receiptId,
		customerId: row.state.customerId!,
		currency: row.currency,
		onAccount: minor(row.state.onAccount),
		onAccountBase: minor(row.state.onAccountBase),
		allocations: parts.map(({ part, due, owner, currency }) => ({
			id: part.id,
			due: due as Day,
			source: { receiptId },
			creditCustomerId: part.creditCustomerId,
			creditCurrency: row.currency,
			itemId: part.itemId,
			itemCustomerId: owner,
			itemCurrency: currency,
			amount: minor(part.amount),
			creditAmount: minor(part.creditAmount),
			itemBase: minor(part.itemBase),
			creditBase: minor(part.creditBase)
		})),
		differences: gaps.map(({ gap, owner, currency }) => ({
			id: gap.id,
			itemId: gap.itemId,
			customerId: owner,
			currency,
			kind: gap.kind as PaymentBack['differences'][number]['kind'],
			amount: minor(gap.amount),
			base: minor(gap.base)
		})),
		items: states.map(({ itemId, open, openBase }) => ({
			itemId,
			open: minor(open),
			openBase: minor(openBase)
		}))
	};
}
