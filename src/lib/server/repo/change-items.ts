import { eq, sql } from 'drizzle-orm';
import type { Placing } from '../../core/model/placing';
import type { Tx } from '../db/open';
import { itemState } from '../db/schema';

/** Writes how items stand after an act, and raises their versions. */
export async function changeItems(tx: Tx, actId: number, changes: Placing['changes']): Promise<void> {
	for (const { itemId, open, openBase } of changes)
		await tx
			.update(itemState)
			.set({ open, openBase, version: sql`${itemState.version} + 1`, lastActId: actId })
			.where(eq(itemState.itemId, itemId));
}
