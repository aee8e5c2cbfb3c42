import { inArray } from 'drizzle-orm';
import type { Reader } from '../../platform/db/open';
import { receiptState } from '../../platform/db/schema';

/** Uses of earlier money as they were, in the versions that the receipts have now. */
export async function creditsNow<T extends { readonly receiptId: number }>(
	db: Reader,
	uses: readonly T[]
): Promise<(T & { version: number })[]> {
	if (uses.length === 0) return [];
	const rows = await db
		.select({ id: receiptState.receiptId, version: receiptState.version })
		.from(receiptState)
		.where(
			inArray(
				receiptState.receiptId,
				uses.map((one) => one.receiptId)
			)
		);
	const versions = new Map(rows.map((row) => [row.id, row.version]));
	return uses.map((one) => ({ ...one, version: versions.get(one.receiptId) ?? 0 }));
}
