import { and, eq, isNull } from 'drizzle-orm';
import type { Reader, Tx } from '../../platform/db/open';
import { recoveryCode } from '../../platform/db/schema';

/** So many a person gets at once. */
const AT_ONCE = 10;

/** Makes a person's recovery codes; those from before are good no longer. */
export async function makeRecoveryCodes(
	tx: Tx,
	{ actId, userId, at }: { readonly actId: number; readonly userId: string; readonly at: Date }
): Promise<void> {
	await endRecoveryCodes(tx, userId, at);
	await tx
		.insert(recoveryCode)
		.values(Array.from({ length: AT_ONCE }, () => ({ actId, userId, endedAt: null })));
}

export async function endRecoveryCodes(tx: Tx, userId: string, at: Date): Promise<void> {
	await tx
		.update(recoveryCode)
		.set({ endedAt: at })
		.where(and(eq(recoveryCode.userId, userId), isNull(recoveryCode.endedAt)));
}

/** Those that are good still. */
export function goodRecoveryCodes(db: Reader, userId: string) {
	return db
		.select({ id: recoveryCode.id, userId: recoveryCode.userId })
		.from(recoveryCode)
		.where(and(eq(recoveryCode.userId, userId), isNull(recoveryCode.endedAt)))
		.orderBy(recoveryCode.id);
}
