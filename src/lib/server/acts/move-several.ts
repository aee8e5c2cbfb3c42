import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { parseDay } from '../../core/day/day';
import { receiptState } from '../db/schema';
import { DomainError } from '../domain-error';
import { actByKey } from '../repo/record-act';
import { chosenDate } from './accounting-day';
import { defineAct } from './perform';
import { placeAgain } from './place-again';
import { undoPlacing } from './undo-placing';

export const severalInput = z.object({
	/** The acts that placed the payments, in the versions of their receipts that were seen. */
	placings: z
		.array(z.object({ actId: z.number().int(), receiptVersion: z.number().int() }))
		.min(1, 'Choose a payment first.')
		.max(500),
	/** The account that they go to, where they lie on account; null to have them wait on the desk again. */
	customerId: z.number().int().nullable(),
	date: z
		.string()
		.refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.')
		.nullable()
		.default(null)
});

/** Several payments are taken off at once: they wait again, or lie on another account. All of them or none. */
export const moveSeveral = defineAct({
	kind: 'move-several',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof severalInput>, at): Promise<{ actIds: number[] }> => {
		const input = severalInput.parse(given);
		const done = at.key ? await actByKey(tx, at.key) : undefined;
		if (done) return { actIds: [done.id] };
		const inner = { ...at, key: undefined };
		const actIds: number[] = [];
		for (const [i, { actId, receiptVersion }] of input.placings.entries()) {
			const now = await tx.select().from(receiptState).where(eq(receiptState.actId, actId)).get();
			if (!now || now.version !== receiptVersion)
				throw new DomainError({
					code: 'not-found',
					what: 'placing as you saw it: somebody has changed one of them'
				});
			if (input.customerId === null) {
				const date = input.date === null ? undefined : await chosenDate(tx, input.date, at.today);
				actIds.push((await undoPlacing.run(tx, { actId, date }, inner)).actId);
			} else {
				const order = {
					...{ receiptId: now.receiptId, receiptVersion, customerId: input.customerId, date: input.date },
					...{ lines: [], reasons: [] }
				};
				const placed = await placeAgain.run(tx, { actId, order }, i === 0 ? at : inner);
				actIds.push(placed.actId);
			}
		}
		return { actIds };
	}
});
