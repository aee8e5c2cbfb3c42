import { and, asc, desc, eq, inArray, like, lt, or } from 'drizzle-orm';
import { amountLookedFor } from '../../../words/amount-looked-for';
import { minor } from '../../../core/money/minor';
import { defineLook } from '../../act/define-look';
import { saidOf } from '../../act/said';
import { act, bankAccount, bankEntry, receipt, receiptState } from '../../platform/db/schema';

export const ENTRIES_PAGE = 100;

/** The entries of a bank account as the bank sent them, newest first, each with what became of it; null where there is no such account. */
export const lookAtBankEntries = defineLook(
	'reader',
	async (db, query: { bankAccountId: number; text: string; before: number | null }) => {
		const account = await db.select().from(bankAccount).where(eq(bankAccount.id, query.bankAccountId)).get();
		if (!account) return null;
		const plain = query.text.trim().replace(/[%_]/g, '').slice(0, 100);
		const part = `%${plain}%`;
		const amount = amountLookedFor(plain);
		const named = db
			.select({ id: receipt.bankEntryId })
			.from(receipt)
			.where(or(like(receipt.payerName, part), like(receipt.text, part)));
		const found = plain
			? or(
					inArray(bankEntry.id, named),
					like(bankEntry.text, part),
					like(bankEntry.bankReference, part),
					amount === null ? undefined : inArray(bankEntry.amount, [minor(amount), minor(-amount)])
				)
			: undefined;
		// Numbers rise with the files; within an account that is the order of the days.
		const entries = await db
			.select()
			.from(bankEntry)
			.where(
				and(
					eq(bankEntry.bankAccountId, account.id),
					query.before === null ? undefined : lt(bankEntry.id, query.before),
					found
				)
			)
			.orderBy(desc(bankEntry.id))
			.limit(ENTRIES_PAGE);
		const parts = await db
			.select({
				...{ id: receipt.id, entryId: receipt.bankEntryId, amount: receipt.amount },
				...{ payer: receipt.payerName, text: receipt.text, parentId: receipt.parentId },
				...{ state: receiptState.state, actId: receiptState.actId },
				unidentifiedActId: receiptState.unidentifiedActId
			})
			.from(receipt)
			.innerJoin(receiptState, eq(receiptState.receiptId, receipt.id))
			.where(
				inArray(
					receipt.bankEntryId,
					entries.map((entry) => entry.id)
				)
			)
			.orderBy(asc(receipt.id));
		const actIds = parts.flatMap((one) => one.actId ?? one.unidentifiedActId ?? []);
		const acts = new Map(
			(await db.select().from(act).where(inArray(act.id, actIds))).map((row) => [row.id, row])
		);
		return {
			account,
			entries: entries.map((entry) => ({
				...{ id: entry.id, booked: entry.booked, amount: entry.amount, currency: entry.currency },
				...{ reference: entry.bankReference, text: entry.text },
				parts: parts
					.filter((one) => one.entryId === entry.id && one.state !== 'split' && one.state !== 'withdrawn')
					.map(({ actId, unidentifiedActId, ...one }) => {
						const done = acts.get(actId ?? unidentifiedActId ?? 0);
						return {
							...one,
							unidentified: unidentifiedActId !== null,
							done: done ? { actId: done.id, said: saidOf(done), by: done.userName } : null
						};
					})
			})),
			next: entries.length === ENTRIES_PAGE ? entries.at(-1)!.id : null
		};
	}
);
