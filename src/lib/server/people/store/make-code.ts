import { and, eq, isNull } from 'drizzle-orm';
import type { Tx } from '../../platform/db/open';
import { signInCode } from '../../platform/db/schema';

/** A code is good for so many days. */
export const CODE_DAYS = 7;

/** Makes a code by which a person sets a password; those made for the person before are good no longer. Returns its number. */
export async function makeCode(
	tx: Tx,
	{ actId, userId, at }: { readonly actId: number; readonly userId: string; readonly at: Date }
): Promise<number> {
	await endCodes(tx, userId, at);
	const expiresAt = new Date(at.getTime() + CODE_DAYS * 24 * 3600 * 1000);
	const row = await tx
		.insert(signInCode)
		.values({ actId, userId, expiresAt, endedAt: null })
		.returning({ id: signInCode.id })
		.get();
	return row.id;
}

/** Codes of a person are good no longer: used, replaced, or the person was shut out. */
export async function endCodes(tx: Tx, userId: string, at: Date): Promise<void> {
	await tx
		.update(signInCode)
		.set({ endedAt: at })
		.where(and(eq(signInCode.userId, userId), isNull(signInCode.endedAt)));
}
