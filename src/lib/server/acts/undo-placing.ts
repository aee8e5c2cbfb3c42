import { eq, inArray } from 'drizzle-orm';
import { undoPlacing as takeBack } from '../../core/4-allocation/undo-placing';
import { reverseJournal } from '../../core/5-journal/reverse-journal';
import type { JournalLine } from '../../core/model/journal';
import type { Allocation, Difference } from '../../core/model/placing';
import { minor, type Minor } from '../../core/money/minor';
import type { Day } from '../../core/day/day';
import { act, allocation, difference, itemState, journalLine, receiptState } from '../db/schema';
import { changeItems } from '../repo/change-items';
import { postJournal } from '../repo/post-journal';
import { recordAct } from '../repo/record-act';
import { defineAct } from './perform';
import { accountingDate } from './place-receipt';
import { Refusal } from '../refusal';

/**
 * Takes back the placing of a receipt, or the setting aside of money: by second records that point at the first, on the same
 * accounting day (the first open one, if that is locked). The receipt waits again and every item is as it was.
 */
export const undoPlacing = defineAct({
	kind: 'undo-placing',
	needs: 'clerk',
	run: async (tx, input: { readonly actId: number }, at): Promise<{ actId: number }> => {
		const first = await tx.select().from(act).where(eq(act.id, input.actId)).get();
		if (!first?.receiptId || !['place-receipt', 'set-aside'].includes(first.kind))
			throw new Refusal({ code: 'not-found', what: 'placing' });
		const undone = await tx.select().from(act).where(eq(act.undoesId, first.id)).get();
		if (undone) throw new Refusal({ code: 'already-undone', who: undone.userName, at: undone.at });
		const state = await tx
			.select()
			.from(receiptState)
			.where(eq(receiptState.receiptId, first.receiptId))
			.get();
		const allocations = await tx.select().from(allocation).where(eq(allocation.actId, first.id));
		const differences = await tx.select().from(difference).where(eq(difference.actId, first.id));

		const touched = new Set<number>([...allocations, ...differences].map((row) => row.itemId));
		for (const row of allocations) if (row.creditItemId !== null) touched.add(row.creditItemId);
		const now = touched.size
			? await tx
					.select()
					.from(itemState)
					.where(inArray(itemState.itemId, [...touched]))
			: [];
		const changes = takeBack(
			{ allocations: allocations.map(asAllocation), differences: differences.map(asDifference) },
			now.map((row) => ({ itemId: row.itemId, open: row.open as Minor, openBase: row.openBase as Minor }))
		);
		const date = await accountingDate(tx, first.date as Day);
		const actId = await recordAct(tx, {
			kind: 'undo-placing',
			date,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Took back: ${first.summary}`,
			facts: { undoes: first.id },
			customerId: first.customerId,
			receiptId: first.receiptId,
			undoesId: first.id
		});
		if (allocations.length)
			await tx.insert(allocation).values(
				allocations.map(({ id, ...row }) => ({
					...row,
					actId,
					date,
					undoesId: id,
					amount: -row.amount,
					itemBase: -row.itemBase,
					creditBase: -row.creditBase
				}))
			);
		if (differences.length)
			await tx.insert(difference).values(
				differences.map(({ id, ...row }) => ({
					...row,
					actId,
					date,
					undoesId: id,
					amount: -row.amount,
					base: -row.base
				}))
			);
		await changeItems(tx, actId, changes);
		await tx
			.update(receiptState)
			.set({
				state: 'waiting',
				customerId: null,
				onAccount: 0,
				onAccountBase: 0,
				version: state!.version + 1,
				actId: null,
				lastActId: actId
			})
			.where(eq(receiptState.receiptId, first.receiptId));
		const lines = await tx.select().from(journalLine).where(eq(journalLine.actId, first.id));
		await postJournal(tx, actId, date, reverseJournal(lines.map(asLine)));
		return { actId };
	}
});

function asAllocation(row: typeof allocation.$inferSelect): Allocation {
	return {
		source: row.receiptId !== null ? { receiptId: row.receiptId } : { itemId: row.creditItemId! },
		itemId: row.itemId,
		amount: minor(row.amount),
		itemBase: minor(row.itemBase),
		creditBase: minor(row.creditBase)
	};
}

function asDifference({ itemId, kind, amount, base }: typeof difference.$inferSelect): Difference {
	return { itemId, kind, amount: minor(amount), base: minor(base) };
}

function asLine({
	account,
	customerId,
	currency,
	amount,
	base,
	bankEntryId
}: typeof journalLine.$inferSelect): JournalLine {
	return { account, customerId, currency, amount: minor(amount), base: minor(base), bankEntryId };
}
