import { eq } from 'drizzle-orm';
import { z } from 'zod';
import { LESSONS, lessonsOf } from '../../core/3-matching/habits';
import { LESSON_NAMES } from '../../words/habit-sentence';
import { customer, forgottenLesson } from '../db/schema';
import { DomainError } from '../domain-error';
import { habitsOf } from '../repo/lessons';
import { actByKey, recordAct } from '../repo/record-act';
import { defineAct } from './perform';

export const forgetLessonInput = z.object({ customerId: z.number().int(), lesson: z.enum(LESSONS) });

/** Forgets a habit of a customer: what was learned of it until now counts no more; what comes after may teach it again. */
export const forgetLesson = defineAct({
	kind: 'forget-lesson',
	needs: 'clerk',
	run: async (tx, given: z.input<typeof forgetLessonInput>, at): Promise<{ actId: number }> => {
		const { customerId, lesson } = forgetLessonInput.parse(given);
		const done = at.key ? await actByKey(tx, at.key) : null;
		if (done) return { actId: done.id };
		const owner = await tx.select().from(customer).where(eq(customer.id, customerId)).get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const habits = (await habitsOf(tx, [customerId])).get(customerId);
		if (!habits || !lessonsOf(habits).includes(lesson))
			throw new DomainError({ code: 'not-found', what: 'habit' });
		const actId = await recordAct(tx, {
			kind: 'forget-lesson',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Forgot how ${owner.name} pays: ${LESSON_NAMES[lesson]}`,
			facts: { lesson, habits: habits[lesson] },
			customerId,
			key: at.key
		});
		await tx.insert(forgottenLesson).values({ actId, customerId, lesson });
		return { actId };
	}
});
