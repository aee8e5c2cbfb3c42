import { asc, eq } from 'drizzle-orm';
import { z } from 'zod';
import { minor } from '../../core/money/minor';
import { act, journalLine, receiptState } from '../db/schema';
import { placeInput } from '../place-input';
import { DomainError } from '../domain-error';
import { actByKey } from '../repo/record-act';
import { defineAct } from './perform';
import { chosenDate } from './accounting-day';
import { placeAs } from './place-money';
import { undoPlacing } from './undo-placing';

export const againInput = z.object({
	/** The act that placed it, which stands. */
	actId: z.number().int(),
	/** What is laid now; its day is the accounting day of the change, today where none is given. */
	order: placeInput
});

/**
 * Puts a wrong allocation right in one step: the placing is taken off and the same money placed again, on other items or for
 * another customer, in part or with other differences. Both are recorded, on a day of an open period; the bank's line stays
 * on its own day, for what is taken off and placed again on the day of the change nets to nothing.
 */
export const placeAgain = defineAct({
	kind: 'place-again',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof againInput>, at): Promise<{ actId: number }> => {
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actId: done.id };
		const { actId, order } = againInput.parse(given);
		const first = await tx.select().from(act).where(eq(act.id, actId)).get();
		if (!first || first.kind !== 'place-receipt' || first.receiptId === null)
			throw new DomainError({ code: 'not-found', what: 'placing' });
		const now = await tx.select().from(receiptState).where(eq(receiptState.receiptId, first.receiptId)).get();
		if (now!.actId !== actId || now!.version !== order.receiptVersion) {
			const last = await tx.select().from(act).where(eq(act.id, now!.lastActId)).get();
			throw new DomainError({ code: 'receipt-taken', who: last!.userName, at: last!.at, to: null });
		}
		const date = await chosenDate(tx, order.date, at.today);
		// The money's own line comes first in the journal of a placing.
		const money = await tx
			.select({ base: journalLine.base })
			.from(journalLine)
			.where(eq(journalLine.actId, actId))
			.orderBy(asc(journalLine.id))
			.limit(1)
			.get();
		await undoPlacing.run(tx, { actId, date, again: true }, { ...at, key: undefined });
		const placed = await placeAs(
			tx,
			{ ...order, receiptId: first.receiptId, receiptVersion: now!.version + 1 },
			at,
			{ date, base: minor(money!.base) }
		);
		return { actId: placed.actId! };
	}
});
