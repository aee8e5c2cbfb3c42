import { and, eq, isNull } from 'drizzle-orm';
import type { Reader, Tx } from '../../platform/db/open';
import { secondFactor, session } from '../../platform/db/schema';

/** What a person shows beside the password, as it stands. */
export function secondFactorsOf(db: Reader, userId: string) {
	return db
		.select()
		.from(secondFactor)
		.where(and(eq(secondFactor.userId, userId), isNull(secondFactor.endedAt)))
		.orderBy(secondFactor.id);
}

/**
 * A second factor was shown in a session: it is in, and what was shown is not taken again.
 * @param counter the step of the code, or the passkey's count
 * @returns false where somebody showed the same meanwhile
 */
export async function keepShown(
	tx: Tx,
	{
		factor,
		counter,
		sessionId,
		at
	}: {
		readonly factor: Pick<typeof secondFactor.$inferSelect, 'id' | 'counter'>;
		readonly counter: number;
		readonly sessionId: string;
		readonly at: Date;
	}
): Promise<boolean> {
	const kept = await tx
		.update(secondFactor)
		.set({ counter })
		.where(and(eq(secondFactor.id, factor.id), eq(secondFactor.counter, factor.counter)))
		.returning({ id: secondFactor.id });
	if (kept.length === 0) return false;
	await letIn(tx, sessionId, at);
	return true;
}

/** A session is in all the way. */
export async function letIn(tx: Tx, sessionId: string, at: Date): Promise<void> {
	await tx.update(session).set({ secondFactorAt: at }).where(eq(session.id, sessionId));
}
