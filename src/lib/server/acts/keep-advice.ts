import { and, eq, isNull } from 'drizzle-orm';
import { z } from 'zod';
import { matchAdvice } from '../../core/3-matching/match-advice';
import { parseDay, type Day } from '../../core/day/day';
import { toDecimal } from '../../core/money/to-decimal';
import { minor } from '../../core/money/minor';
import { readAdvice } from '../../tables/read-advice';
import { advice, customer } from '../db/schema';
import { DomainError } from '../domain-error';
import { openItemsOf } from '../repo/open-items';
import { actByKey, recordAct } from '../repo/record-act';
import { defineAct } from './perform';

export const adviceInput = z.object({
	customerId: z.number({ error: 'Choose the customer first.' }).int(),
	date: z.string().refine((text) => parseDay(text) !== null, 'Give the day as in 2026-10-30.'),
	source: z.string().trim().min(1, 'Paste the advice, or take its file.').max(500_000)
});

/**
 * Keeps a remittance advice until its payment comes. A line that names no amount counts with what is open on its document now.
 * Posts nothing.
 */
export const keepAdvice = defineAct({
	kind: 'keep-advice',
	needs: 'clerk',
	run: async (tx, given: z.infer<typeof adviceInput>, at): Promise<{ adviceId: number | null }> => {
		if (at.key && (await actByKey(tx, at.key))) return { adviceId: null };
		const input = adviceInput.parse(given);
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
		const total = matched.reduce((sum, { paid, item }) => sum + (paid ?? item?.open ?? 0), 0);
		if (matched.length === 0 || total <= 0)
			throw new DomainError({
				...{ code: 'field', field: 'source' },
				message: 'No line with a document number and an amount was found in it.'
			});
		const row = { customerId: owner.id, date: input.date, currency, total, source: input.source };
		const [kept] = await tx
			.insert(advice)
			.values({ ...row, keptBy: at.who.name })
			.returning({ id: advice.id });
		await recordAct(tx, {
			kind: 'keep-advice',
			date: input.date as Day,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Kept an advice of ${owner.name} over ${toDecimal(minor(total), currency)} ${currency}`,
			facts: { adviceId: kept!.id, lines: matched.length },
			customerId: owner.id,
			key: at.key
		});
		return { adviceId: kept!.id };
	}
});

/** Takes advices away that wait no longer; one that was used stays with its receipt. */
export const dropAdvice = defineAct({
	kind: 'drop-advice',
	needs: 'clerk',
	run: async (tx, input: { adviceId: number }, at): Promise<null> => {
		const [gone] = await tx
			.delete(advice)
			.where(and(eq(advice.id, input.adviceId), isNull(advice.receiptId)))
			.returning();
		if (!gone) throw new DomainError({ code: 'not-found', what: 'advice that waits' });
		await recordAct(tx, {
			kind: 'drop-advice',
			date: at.today,
			at: at.now(),
			userId: at.who.id,
			userName: at.who.name,
			summary: `Took away an advice over ${toDecimal(minor(gone.total), gone.currency)} ${gone.currency}`,
			facts: { source: gone.source.slice(0, 4000) },
			customerId: gone.customerId
		});
		return null;
	}
});
