import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { LESSONS, lessonsOf } from '../../../core/3-matching';
import { customer, forgottenLesson } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { habitsOf } from '../store/lessons';
import { defineAct } from '../../act/define-act';

export const forgetLessonInput = z.object({ customerId: z.number().int(), lesson: z.enum(LESSONS) });

/** Forgets a habit of a customer: what was learned of it until now counts no more; what comes after may teach it again. */
export const forgetHabit = defineAct({
	kind: 'forget-habit',
	role: 'clerk',
	input: forgetLessonInput,
	run: async (ctx, { customerId, lesson }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const owner = await tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const habits = (await habitsOf(tx, [customerId])).get(customerId);
		if (!habits || !lessonsOf(habits).includes(lesson))
			throw new DomainError({ code: 'not-found', what: 'habit' });
		const actId = await ctx.record({
			summary: { habit: lesson, customer: owner.name },
			facts: { lesson, habits: habits[lesson] },
			customerId
		});
		await tx.insert(forgottenLesson).values({ actId, customerId, lesson });
		return { actId };
	}
});
