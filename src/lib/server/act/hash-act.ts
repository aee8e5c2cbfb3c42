import { createHash } from 'node:crypto';
import type { act } from '../platform/db/schema';

/** The hash of the record before the first. */
export const FIRST_HASH = '0'.repeat(64);

/** The way in which records are written today: 1 had a sentence for its summary and no parent. */
export const RECORD_FORMAT = 2;

/** Everything of an act's record that its hash covers. */
export type HashedAct = Omit<typeof act.$inferSelect, 'hash'>;

/** The hash of a record over all its fields in a fixed order (SHA-256 of their JSON), as its format has them. */
export function hashAct(row: HashedAct): string {
	const fields: unknown[] = [
		row.id,
		row.kind,
		row.date,
		row.at,
		row.userId,
		row.userName,
		row.summary,
		row.facts,
		row.customerId,
		row.receiptId,
		row.documentId,
		row.undoesId,
		row.key,
		row.previousHash
	];
	if (row.format >= 2) fields.push(row.format, row.parentId);
	return createHash('sha256').update(JSON.stringify(fields)).digest('hex');
}
