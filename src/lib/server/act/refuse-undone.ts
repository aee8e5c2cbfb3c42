import { eq } from 'drizzle-orm';
import type { Tx } from '../platform/db/open';
import { act } from '../platform/db/schema';
import { DomainError } from './domain-error';

/** Refuses where an act was undone already, with who did it and when. */
export async function refuseUndone(tx: Tx, actId: number): Promise<void> {
	const [undone] = await tx.select().from(act).where(eq(act.undoesId, actId)).all();
	if (undone) throw new DomainError({ code: 'already-undone', who: undone.userName, at: undone.at });
}
