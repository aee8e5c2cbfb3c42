import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, dayField, idField, sumField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import { itemsById } from '../../documents/store/open-items';
import { insertRows } from '../../platform/db/insert-rows';
import { customer, promise, promiseItem } from '../../platform/db/schema';
import { customerById } from '../store/customer-by-id';

export const promiseInput = z.object({
	customerId: idField,
	/** In the account's currency. */
	amount: sumField.refine((amount) => amount > 0, 'Type the amount that was promised.'),
	promisedFor: dayField,
	saidBy: z.string().trim().max(200).default(''),
	/** The items that it is for; none where it is for the account. */
	items: z.array(idField).max(200, 'A promise may name 200 items.').default([])
});

/** Records what a customer said that they would pay, and by when. It posts nothing; whether it is kept follows from what comes. */
export const recordPromise = defineAct({
	kind: 'record-promise',
	role: 'clerk',
	input: promiseInput,
	run: async (ctx, { customerId, amount, promisedFor, saidBy, items }): Promise<{ actId: number }> => {
		const owner = await customerById(ctx.tx, customerId);
		if (promisedFor < ctx.today)
			throw new DomainError({
				...{ code: 'field', field: 'promisedFor' },
				message: 'That day is over: give the day by which they will pay.'
			});
		const { name } = owner;
		const named = await itemsById(ctx.tx, [...new Set(items)]);
		const [first] = named;
		const currency = first?.currency ?? owner.currency;
		if (named.length < new Set(items).size || named.some((item) => item.customerId !== customerId))
			throw new DomainError({ code: 'not-found', what: 'item' });
		if (named.some((item) => item.currency !== currency))
			throw new DomainError({
				...{ code: 'field', field: 'items' },
				message: 'These items are in several currencies: record a promise for each.'
			});
		const actId = await ctx.record({
			summary: { customer: name, sum: { amount, currency }, promisedFor, saidBy },
			customerId
		});
		const { id: promiseId } = await ctx.tx
			.insert(promise)
			.values({ actId, customerId, currency, amount, madeOn: ctx.today, promisedFor, saidBy })
			.returning({ id: promise.id })
			.get();
		await insertRows(
			ctx.tx,
			promiseItem,
			named.map((item) => ({ promiseId, itemId: item.id }))
		);
		return { actId };
	}
});

/** Takes a promise off that was recorded by mistake; both stand in the record. */
export const takeOffPromise = defineAct({
	kind: 'take-off-promise',
	role: 'clerk',
	input: actIdInput,
	run: async (ctx, { actId: promiseActId }): Promise<{ actId: number }> => {
		const rows = await ctx.tx
			.select({
				customerId: promise.customerId,
				name: customer.name,
				sum: promise.amount,
				of: promise.currency
			})
			.from(promise)
			.innerJoin(customer, eq(customer.id, promise.customerId))
			.where(and(eq(promise.actId, promiseActId)))
			.all();
		const made = rows[0];
		if (!made) throw new DomainError({ code: 'not-found', what: 'promise' });
		await refuseUndone(ctx.tx, promiseActId);
		const { customerId, name, sum: amount, of: currency } = made;
		const actId = await ctx.record({
			...{ summary: { customer: name, sum: { amount, currency } }, customerId },
			undoesId: promiseActId
		});
		return { actId };
	}
});
