import { minor } from '../../../core/money/minor';
import { and, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { matchAdvice } from '../../../core/3-matching';
import { readAdvice } from '../../../tables/read-advice';
import { advice, customer } from '../../platform/db/schema';
import { DomainError } from '../../act/domain-error';
import { openItemsOf } from '../../documents/store/open-items';
import { dayField, idField } from '../../act/fields';
import { defineAct } from '../../act/define-act';

export const adviceInput = z.object({
	customerId: z.number({ error: 'Choose the customer first.' }).int(),
	date: dayField,
	source: z.string().trim().min(1, 'Paste the advice, or take its file.').max(500_000)
});

/**
 * Keeps a remittance advice until its payment comes. A line that names no amount counts with what is open on its document now.
 * Posts nothing.
 */
export const keepAdvice = defineAct({
	kind: 'keep-advice',
	role: 'clerk',
	input: adviceInput,
	run: async (ctx, input): Promise<{ adviceId: number }> => {
		const { tx } = ctx;
		const owner = await tx
			.select({ id: customer.id, name: customer.name, currency: customer.currency })
			.from(customer)
			.where(eq(customer.id, input.customerId))
			.get();
		if (!owner) throw new DomainError({ code: 'not-found', what: 'customer' });
		const { currency } = owner;
		const read = readAdvice(input.source, currency);
		if (!read.ok) throw new DomainError(...read.problems);
		const matched = matchAdvice(read.value, await openItemsOf(tx, [owner.id]));
		const total = minor(matched.reduce((sum, { paid, item }) => sum + (paid ?? item?.open ?? 0), 0));
		if (matched.length === 0 || total <= 0)
			throw new DomainError({
				...{ code: 'field', field: 'source' },
				message: 'No line with a document number and an amount was found in it.'
			});
		const row = { customerId: owner.id, date: input.date, currency, total, source: input.source };
		const [kept] = await tx
			.insert(advice)
			.values({ ...row, keptBy: ctx.who.name })
			.returning({ id: advice.id });
		await ctx.record({
			date: input.date,
			summary: { customer: owner.name, amount: total, currency },
			facts: { adviceId: kept!.id, lines: matched.length },
			customerId: owner.id
		});
		return { adviceId: kept!.id };
	}
});

export const dropAdviceInput = z.object({ adviceId: idField });

/** Takes advices away that wait no longer; one that was used stays with its receipt. */
export const dropAdvice = defineAct({
	kind: 'drop-advice',
	role: 'clerk',
	input: dropAdviceInput,
	run: async (ctx, { adviceId }): Promise<{ actId: number }> => {
		const { tx } = ctx;
		const [gone] = await tx
			.delete(advice)
			.where(and(eq(advice.id, adviceId), isNull(advice.receiptId)))
			.returning();
		if (!gone) throw new DomainError({ code: 'not-found', what: 'advice that waits' });
		const actId = await ctx.record({
			summary: { amount: gone.total, currency: gone.currency },
			facts: { source: gone.source.slice(0, 4000) },
			customerId: gone.customerId
		});
		return { actId };
	}
});
