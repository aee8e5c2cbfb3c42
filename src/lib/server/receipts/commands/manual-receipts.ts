import { seenAsAnother } from '../../customers/store/merged-accounts';
import { eq, inArray } from 'drizzle-orm';
import { z } from 'zod';
import type { Sum } from '../../../core/model/act-facts';
import { defineAct } from '../../act/define-act';
import { amountField, currencyField, dayField, idField } from '../../act/fields';
import { customer, manualReceipt } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { placesOf, paidIntoField, paidIntoOf } from '../store/paid-into';
import type { ManualReceiptRow } from '../store/manual-receipt-row';
import { openItemsOf } from '../../documents/store/open-items';
import { itemsNamed } from './post-manual-receipts';
import { methodsOf } from '../../firm/store/methods';

const manualReceiptRow = z.object({
	/** Null for a new row. */
	id: idField.nullable(),
	customerId: z.number({ message: 'Choose the customer.' }).int(),
	date: dayField,
	method: z.string().trim().min(1, 'Say how it came.').max(40),
	reference: z.string().trim().max(140),
	amount: z
		.number({ message: 'Type the amount.' })
		.pipe(amountField)
		.refine((amount) => amount > 0, 'Type an amount above zero.'),
	currency: currencyField,
	paidInto: paidIntoField,
	pays: z.string().trim().max(2000).default('oldest')
});

export const manualReceiptsInput = z.object({ rows: z.array(manualReceiptRow).min(1).max(2000) });

/** Keeps rows of money recorded by hand, not posted yet: new ones are added, known ones changed. The record keeps what they were. */
export const keepManualReceipts = defineAct({
	kind: 'keep-manual-receipts',
	role: 'clerk',
	input: manualReceiptsInput,
	run: async (ctx, { rows }): Promise<{ ids: number[] }> => {
		const { tx } = ctx;
		const methods = await methodsOf(tx);
		const placeOf = await placesOf(tx);
		const ids: number[] = [];
		const changes: { id: number; before: ManualReceiptRow | null; after: ManualReceiptRow }[] = [];
		for (const row of rows) {
			const owner = await tx
				.select({
					...{ id: customer.id, code: customer.code, name: customer.name },
					mergedIntoId: customer.mergedIntoId
				})
				.from(customer)
				.where(eq(customer.id, row.customerId))
				.get();
			if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
			if (owner.mergedIntoId !== null) throw await seenAsAnother(tx, owner);
			if (!methods.includes(row.method))
				throw new DomainError({ code: 'not-found', what: `method “${row.method}”` });
			// A wrong number is pointed at when it is typed, not when somebody else posts the row.
			if (row.pays !== 'oldest' && row.pays !== 'account')
				itemsNamed(row.pays, await openItemsOf(tx, [owner.id]), owner.name);
			const { id: known, paidInto, ...given } = row;
			const values = { ...given, ...placeOf(paidInto, row.currency) };
			if (known === null) {
				const added = await tx
					.insert(manualReceipt)
					.values({ ...values, typedBy: ctx.who.name })
					.returning({ id: manualReceipt.id })
					.get();
				ids.push(added.id);
				changes.push({ id: added.id, before: null, after: row });
				continue;
			}
			ids.push(known);
			const stored = await tx.select().from(manualReceipt).where(eq(manualReceipt.id, known)).get();
			if (!stored) throw new DomainError({ code: 'draft-gone' });
			const before = rowOf({ ...stored, paidInto: paidIntoOf(stored) });
			if (JSON.stringify(before) === JSON.stringify(rowOf(row))) continue;
			await tx.update(manualReceipt).set(values).where(eq(manualReceipt.id, known));
			changes.push({ id: known, before, after: row });
		}
		if (changes.length === 0) return ctx.unchanged({ ids });
		const added = changes.filter((change) => change.before === null).length;
		await ctx.record({
			summary: {
				added,
				changed: changes.length - added,
				sums: sumsOf(changes.map((change) => change.after))
			},
			facts: { changes },
			customerId: changes.length === 1 ? changes[0]!.after.customerId : null
		});
		return { ids };
	}
});

export const dropManualReceiptsInput = z.object({
	ids: z.array(idField).min(1, 'Choose something first.').max(2000)
});

/** Deletes rows that were not posted; the record keeps them. */
export const dropManualReceipts = defineAct({
	kind: 'drop-manual-receipts',
	role: 'clerk',
	input: dropManualReceiptsInput,
	run: async (ctx, { ids }): Promise<{ dropped: number }> => {
		const gone = await ctx.tx.delete(manualReceipt).where(inArray(manualReceipt.id, ids)).returning();
		if (gone.length === 0) return ctx.unchanged({ dropped: 0 });
		await ctx.record({
			summary: { count: gone.length, sums: sumsOf(gone) },
			facts: { rows: gone },
			customerId: gone.length === 1 ? gone[0]!.customerId : null
		});
		return { dropped: gone.length };
	}
});

function rowOf({
	id,
	customerId,
	date,
	method,
	reference,
	amount,
	currency,
	paidInto,
	pays
}: ManualReceiptRow): ManualReceiptRow {
	return { id, customerId, date, method, reference, amount, currency, paidInto, pays };
}

function sumsOf(rows: readonly Sum[]): Sum[] {
	const sums = new Map<string, number>();
	for (const { amount, currency } of rows) sums.set(currency, (sums.get(currency) ?? 0) + amount);
	return [...sums].map(([currency, amount]) => ({ amount, currency }));
}
