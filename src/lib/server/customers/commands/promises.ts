import { and, eq } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { actIdInput, dayField, idField, sumField } from '../../act/fields';
import { refuseUndone } from '../../act/refuse-undone';
import { customer, promise } from '../../platform/db/schema';
import { customerById } from '../store/customer-by-id';

export const promiseInput = z.object({
	customerId: idField,
	/** In the account's currency. */
	amount: sumField.refine((amount) => amount > 0, 'Type the amount that was promised.'),
	promisedFor: dayField,
	saidBy: z.string().trim().max(200).default('')
});

/** Records what a customer said that they would pay, and by when. It posts nothing; whether it is kept follows from what comes. */
export const recordPromise = defineAct({
	kind: 'record-promise',
	role: 'clerk',
	input: promiseInput,
	run: async (ctx, { customerId, amount, promisedFor, saidBy }): Promise<{ actId: number }> => {
		const owner = await customerById(ctx.tx, customerId);
		if (promisedFor < ctx.today)
			throw new DomainError({
				...{ code: 'field', field: 'promisedFor' },
				message: 'That day is over: give the day by which they will pay.'
			});
		const { name, currency } = owner;
		const actId = await ctx.record({
			summary: { customer: name, sum: { amount, currency }, promisedFor, saidBy },
			customerId
		});
		await ctx.tx
			.insert(promise)
			.values({ actId, customerId, currency, amount, madeOn: ctx.today, promisedFor, saidBy });
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
