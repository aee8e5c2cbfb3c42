import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { DomainError } from '../../act/domain-error';
import { idField, versionField } from '../../act/fields';
import type { Tx } from '../../platform/db/open';
import { user } from '../../platform/db/schema';
import { defineAct } from '../../act/define-act';
import { allocationInput } from '../../allocation/allocation-input';
import { moveReceipt } from '../store/receipt-states';
import { takeReceipt } from './take-receipt';

/** A person's name; empty for nobody in particular. */
const personField = z.string().trim().max(80).default('');

export const holdInput = z.object({
	receiptId: z.number().int(),
	receiptVersion: z.number().int(),
	/** Empty takes the hold off. */
	because: z.string().trim().max(400),
	/** Who looks into it, by name; empty for nobody in particular. */
	heldFor: personField,
	/** What was laid on the desk, to be found again. */
	order: allocationInput.nullable().default(null)
});

/** Puts a receipt by with a note, or takes the note off; nothing is posted. */
export const holdReceipt = defineAct({
	kind: 'hold-receipt',
	role: 'clerk',
	input: holdInput,
	run: async (ctx, input): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const { row, state } = await takeReceipt(tx, input.receiptId, input.receiptVersion);
		const heldFor = await personNamed(tx, input.heldFor);
		const actId = await ctx.record({
			summary: {
				because: input.because,
				heldFor,
				receipt: { amount: row.amount, currency: row.currency, payer: row.payerName }
			},
			receiptId: row.id
		});
		await moveReceipt(
			tx,
			{ id: row.id, state: state.state },
			input.because ? 'hold' : 'release',
			actId,
			input.because
				? {
						...{ heldBecause: input.because, heldFor },
						heldOrder: input.order && JSON.stringify(input.order)
					}
				: {}
		);
		return { actId };
	}
});

export const holdReceiptsInput = z.object({
	receipts: z
		.array(z.object({ id: idField, version: versionField }))
		.min(1, 'Mark a receipt first.')
		.max(500),
	because: z.string().trim().min(1, 'Say what they wait for.').max(400),
	heldFor: personField
});

/** Puts several receipts by with one note, or hands them to somebody, all of them or none; what was allocated on each is kept. */
export const holdReceipts = defineAct({
	kind: 'hold-receipts',
	role: 'clerk',
	input: holdReceiptsInput,
	run: async (ctx, { receipts, because, heldFor: name }): Promise<{ actId: number; count: number }> => {
		const heldFor = await personNamed(ctx.tx, name);
		const actId = await ctx.record({
			summary: { count: receipts.length, because, heldFor },
			facts: { receipts: receipts.map((one) => one.id) }
		});
		for (const { id, version } of receipts) {
			const { row, state } = await takeReceipt(ctx.tx, id, version);
			await moveReceipt(ctx.tx, { id: row.id, state: state.state }, 'hold', actId, {
				...{ heldBecause: because, heldFor }
			});
		}
		return { actId, count: receipts.length };
	}
});

/** Somebody who is signed in here, by name; null for nobody in particular. */
async function personNamed(tx: Tx, name: string): Promise<string | null> {
	if (!name) return null;
	const found = await tx
		.select({ name: user.name })
		.from(user)
		.where(and(eq(user.name, name), eq(user.active, true)))
		.get();
	if (!found)
		throw new DomainError({ code: 'field', field: 'heldFor', message: `Nobody here is called “${name}”.` });
	return found.name;
}
