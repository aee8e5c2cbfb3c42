import { inArray } from 'drizzle-orm';
import { z } from 'zod';
import { paymentsOfTicked, type TickedItem } from '../../../core/4-allocation/payments-of-ticked';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { dayField, idField, sumField, versionField } from '../../act/fields';
import { itemsById } from '../../documents/store/open-items';
import { methodsOf } from '../../firm/store/methods';
import { customer } from '../../platform/db/schema';
import { chunks } from '../../platform/db/chunks';
import { placesOf, paidIntoField } from '../store/paid-into';
import { postByHand } from './post-by-hand';
import { makeSlip } from './make-paying-in-slip';

export const recordAsPaidInput = z.object({
	items: z
		.array(z.object({ itemId: idField, version: versionField, amount: sumField }))
		.min(1, 'Tick the items that were paid.')
		.max(500, 'More than 500 items at once: tick fewer.'),
	date: dayField,
	method: z.string().trim().min(1, 'Say how it was paid.').max(40),
	reference: z.string().trim().max(140).default(''),
	/** Whether the bank shows one sum for all of it; else each item was paid by itself. */
	asOneSum: z.boolean(),
	paidInto: paidIntoField
});

/**
 * Records open items, of any accounts, as paid: as one sum, which is a payment of each customer on one paying-in slip, or each item
 * by itself. The money is on its way until the bank shows it.
 */
export const recordAsPaid = defineAct({
	kind: 'record-as-paid',
	role: 'clerk',
	input: recordAsPaidInput,
	run: async (ctx, input): Promise<{ actId: number; payments: number; slipId: number | null }> => {
		const { tx } = ctx;
		const { date, method, reference, asOneSum, paidInto } = input;
		if (date > ctx.today) refuseField('date', 'That day is still to come: it is not money before it.');
		if (!(await methodsOf(tx)).includes(method))
			refuseField('method', 'Choose how it was paid from the list.');
		const ids = input.items.map((one) => one.itemId);
		if (new Set(ids).size < ids.length) throw new DomainError({ code: 'draft-gone' });
		const items = new Map((await itemsById(tx, ids)).map((one) => [one.id, one]));
		const ticked = input.items.map(({ itemId, version, amount }): TickedItem => {
			const item = items.get(itemId);
			if (!item) throw new DomainError({ code: 'draft-gone' });
			return { item: { ...item, version }, amount };
		});
		const payments = paymentsOfTicked(ticked, asOneSum);
		if (!payments.ok) throw new DomainError(...payments.problems);
		const slip = asOneSum && paidInto !== 'petty cash' && payments.value.length > 1;
		if (slip && paidInto === null) refuseField('paidInto', 'Choose the bank account it is paid into.');
		const names = new Map<number, string>();
		for (const part of chunks([...new Set(payments.value.map((one) => one.customerId))]))
			for (const row of await tx
				.select({ id: customer.id, name: customer.name })
				.from(customer)
				.where(inArray(customer.id, part)))
				names.set(row.id, row.name);
		const actId = await ctx.record({
			summary: { items: ticked.length, payments: payments.value.length },
			facts: input
		});
		const placeOf = await placesOf(tx);
		const receiptIds: number[] = [];
		for (const payment of payments.value)
			receiptIds.push(
				await postByHand(ctx, {
					...payment,
					...{ name: names.get(payment.customerId)!, method, reference, date, by: ctx.who.name },
					paidInto: placeOf(paidInto, payment.currency)
				})
			);
		const made =
			slip && typeof paidInto === 'number'
				? await ctx.run(makeSlip, { bankAccountId: paidInto, receiptIds })
				: null;
		return { actId, payments: receiptIds.length, slipId: made?.slipId ?? null };
	}
});

function refuseField(field: string, message: string): never {
	throw new DomainError({ code: 'field', field, message });
}
