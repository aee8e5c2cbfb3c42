import { and, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { defineAct } from '../../act/define-act';
import { DomainError } from '../../act/domain-error';
import { dayField, idField, idFromText } from '../../act/fields';
import { customer, task } from '../../platform/db/schema';
import { customerById } from '../store/customer-by-id';

/** Puts down something that is to be done for a customer by a day; it stands on Today from then on, until it is done. */
export const addTask = defineAct({
	kind: 'add-task',
	role: 'clerk',
	input: z.object({
		customerId: idField,
		what: z.string().trim().min(1, 'Type what is to be done.').max(400, 'That is longer than 400 letters.'),
		day: dayField
	}),
	run: async (ctx, { customerId, what, day }): Promise<{ actId: number }> => {
		const { name } = await customerById(ctx.tx, customerId);
		const actId = await ctx.record({ summary: { customer: name, what, day }, customerId });
		await ctx.tx.insert(task).values({ actId, customerId, day, what });
		return { actId };
	}
});

/** Says that something was done. */
export const finishTask = defineAct({
	kind: 'finish-task',
	role: 'clerk',
	input: z.object({ taskId: idFromText }),
	run: async (ctx, { taskId }): Promise<{ actId: number }> => {
		const [open] = await ctx.tx
			.select({ customerId: task.customerId, what: task.what, customer: customer.name })
			.from(task)
			.innerJoin(customer, eq(customer.id, task.customerId))
			.where(and(eq(task.id, taskId), isNull(task.doneActId)))
			.all();
		if (!open) throw new DomainError({ code: 'not-found', what: 'task that is to be done' });
		const { customerId, what, customer: name } = open;
		const actId = await ctx.record({ summary: { customer: name, what }, customerId });
		await ctx.tx.update(task).set({ doneActId: actId }).where(eq(task.id, taskId));
		return { actId };
	}
});
