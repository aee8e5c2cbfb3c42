import { randomUUID } from 'node:crypto';
import { and, eq } from 'drizzle-orm';
import type { Tx } from '../../platform/db/open';
import { credential } from '../../platform/db/schema';

const PROVIDER = 'credential';

/** Gives a person a password, in place of one there may be. */
export async function setPassword(tx: Tx, userId: string, hash: string, at: Date): Promise<void> {
	const own = and(eq(credential.userId, userId), eq(credential.providerId, PROVIDER));
	const there = await tx.select({ id: credential.id }).from(credential).where(own).get();
	if (there) await tx.update(credential).set({ password: hash, updatedAt: at }).where(own);
	else
		await tx.insert(credential).values({
			...{ id: randomUUID(), accountId: userId, providerId: PROVIDER, userId, password: hash },
			...{ createdAt: at, updatedAt: at }
		});
}
