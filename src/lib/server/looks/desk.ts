import { and, asc, desc, eq } from 'drizzle-orm';
import type { Answer } from '../../core/3-matching/answer';
import { daysBetween } from '../../core/day/arithmetic';
import type { Day } from '../../core/day/day';
import type { OpenItem } from '../../core/model/records';
import {
	allocation,
	bankAccount,
	bankEntry,
	customer,
	item,
	ledgerAccount,
	receipt,
	receiptState
} from '../db/schema';
import { openItemsOf } from '../repo/open-items';
import { answeredPile, type Waiting } from './answers';
import { defineLook } from './define-look';

export interface Desk {
	readonly receipt: Waiting;
	readonly answer: Answer;
	readonly bank: { readonly name: string; readonly reference: string | null };
	readonly customer: {
		readonly id: number;
		readonly code: string;
		readonly name: string;
		readonly notes: string;
		readonly owes: number;
	} | null;
	/** All that is open on the account in the receipt's currency, and the items of other answers. */
	readonly items: readonly OpenItem[];
	/** Days after the due day of the last payments, newest first. */
	readonly habit: readonly number[];
	readonly setAside: readonly { readonly code: string; readonly name: string }[];
}

const HABIT = 12;

/** One receipt on the desk, with its answer and the account it may be placed on (the answer's, or another one chosen). */
export const lookAtDesk = defineLook(
	'reader',
	async (db, input: { receiptId: number; customerId: number | null }): Promise<Desk | null> => {
		const pile = await answeredPile(db);
		const row = pile.receipts.find((one) => one.id === input.receiptId);
		if (!row) return null;
		const answer = pile.answers.get(row.id)!;
		const customerId = input.customerId ?? answer.customerId;
		const owner = customerId
			? await db.select().from(customer).where(eq(customer.id, customerId)).get()
			: undefined;
		const items = owner ? await openItemsOf(db, [owner.id]) : [];
		const bank = await db
			.select({ name: bankAccount.name, reference: bankEntry.bankReference })
			.from(bankEntry)
			.innerJoin(bankAccount, eq(bankAccount.id, bankEntry.bankAccountId))
			.where(eq(bankEntry.id, row.bankEntryId))
			.get();
		const owes = items
			.filter((it) => it.currency === row.currency)
			.reduce((sum, it) => sum + (it.kind === 'credit_note' ? -it.open : it.open), 0);
		return {
			receipt: row,
			answer,
			bank: bank!,
			customer: owner ? { id: owner.id, code: owner.code, name: owner.name, notes: owner.notes, owes } : null,
			items: items
				.filter((it) => it.currency === row.currency)
				.sort((a, b) => (a.due < b.due ? -1 : a.due > b.due ? 1 : a.id - b.id)),
			habit: owner ? await habitOf(owner.id) : [],
			setAside: await db
				.select({ code: ledgerAccount.code, name: ledgerAccount.name })
				.from(ledgerAccount)
				.where(eq(ledgerAccount.forSettingAside, true))
				.orderBy(asc(ledgerAccount.name))
		};

		async function habitOf(id: number): Promise<number[]> {
			const paid = await db
				.select({ booked: receipt.booked, due: item.due })
				.from(receiptState)
				.innerJoin(receipt, eq(receipt.id, receiptState.receiptId))
				.innerJoin(allocation, eq(allocation.actId, receiptState.actId))
				.innerJoin(item, eq(item.id, allocation.itemId))
				.where(and(eq(receiptState.customerId, id), eq(receiptState.state, 'placed')))
				.orderBy(desc(receipt.booked), desc(receipt.id))
				.limit(HABIT);
			return paid.map((one) => daysBetween(one.due as Day, one.booked as Day));
		}
	}
);
