import { eq, sql } from 'drizzle-orm';
import { z } from 'zod';
import { parseDay } from '../../core/day/day';
import { currencyDigits } from '../../core/money/currency';
import { customer, draftReceipt } from '../db/schema';
import { methodsOf } from '../repo/methods';
import type { DraftRow } from '../repo/draft-row';
import { DomainError } from '../domain-error';
import { defineAct } from './perform';

export const draftInput = z.object({
	/** Null for a new row. */
	id: z.number().int().nullable(),
	customerId: z.number({ message: 'Choose the customer.' }).int(),
	date: z.string().refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.'),
	method: z.string().trim().min(1, 'Say how it came.').max(40),
	reference: z.string().trim().max(140),
	amount: z
		.number({ message: 'Type the amount.' })
		.int()
		.positive('Type an amount above zero.')
		.refine(Number.isSafeInteger),
	currency: z.string().refine((code) => currencyDigits(code) !== undefined, 'That is no currency.'),
	pays: z.string().trim().max(2000).default('oldest')
});

/** Keeps rows of money recorded by hand, not posted yet: new ones are added, known ones changed. */
export const keepDrafts = defineAct({
	kind: 'keep-drafts',
	needs: 'clerk',
	run: async (tx, rows: readonly DraftRow[], at): Promise<{ ids: number[] }> => {
		const ids: number[] = [];
		const methods = await methodsOf(tx);
		for (const { id, ...row } of rows) {
			const owner = await tx
				.select({ id: customer.id })
				.from(customer)
				.where(eq(customer.id, row.customerId))
				.get();
			if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
			if (!methods.includes(row.method))
				throw new DomainError({ code: 'not-found', what: `method “${row.method}”` });
			if (id === null)
				ids.push(
					(
						await tx
							.insert(draftReceipt)
							.values({ ...row, typedBy: at.who.name })
							.returning({ id: draftReceipt.id })
							.get()
					).id
				);
			else {
				await tx.update(draftReceipt).set(row).where(eq(draftReceipt.id, id));
				ids.push(id);
			}
		}
		return { ids };
	}
});

/** Removes rows that were not posted. */
export const dropDrafts = defineAct({
	kind: 'drop-drafts',
	needs: 'clerk',
	run: async (tx, ids: readonly number[]) => {
		await tx
			.delete(draftReceipt)
			.where(sql`${draftReceipt.id} in (select value from json_each(${JSON.stringify(ids)}))`);
	}
});
