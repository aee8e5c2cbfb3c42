import { createHash } from 'node:crypto';
import { desc, eq } from 'drizzle-orm';
import type { Day } from '../../core/day/day';
import { insertRows } from '../db/insert-rows';
import type { Tx } from '../db/open';
import { PerTransaction } from '../db/per-transaction';
import { act } from '../db/schema';

export interface ActRecord {
	readonly kind: string;
	readonly date: Day;
	readonly at: string;
	readonly userId: string;
	readonly userName: string;
	readonly summary: string;
	readonly facts: unknown;
	readonly customerId?: number | null;
	readonly receiptId?: number | null;
	readonly documentId?: number | null;
	readonly undoesId?: number | null;
	readonly key?: string | null;
}

/** The hash of the record before the first. */
export const FIRST_HASH = '0'.repeat(64);

/** Everything of an act's record that its hash covers, in a fixed order. */
export type HashedAct = Omit<typeof act.$inferSelect, 'hash'>;

export function hashAct(row: HashedAct): string {
	const fields = [
		row.id,
		row.kind,
		row.date,
		row.at,
		row.userId,
		row.userName,
		row.summary,
		row.facts,
		row.customerId
	];
	fields.push(row.receiptId, row.documentId, row.undoesId, row.key, row.previousHash);
	return createHash('sha256').update(JSON.stringify(fields)).digest('hex');
}

const newest = new PerTransaction<{ id: number; hash: string } | undefined>();

/** Adds an act to the chain of records and returns its id. */
export async function recordAct(tx: Tx, record: ActRecord): Promise<number> {
	return (await recordActs(tx, [record]))[0]!;
}

/** Adds several acts to the chain, in order; returns their ids. */
export async function recordActs(tx: Tx, records: readonly ActRecord[]): Promise<number[]> {
	let last = await newest.get(tx, 'act', () =>
		tx.select({ id: act.id, hash: act.hash }).from(act).orderBy(desc(act.id)).limit(1).get()
	);
	const rows = records.map((record) => {
		const row: HashedAct = {
			id: (last?.id ?? 0) + 1,
			kind: record.kind,
			date: record.date,
			at: record.at,
			userId: record.userId,
			userName: record.userName,
			summary: record.summary,
			facts: JSON.stringify(record.facts),
			customerId: record.customerId ?? null,
			receiptId: record.receiptId ?? null,
			documentId: record.documentId ?? null,
			undoesId: record.undoesId ?? null,
			key: record.key ?? null,
			previousHash: last?.hash ?? FIRST_HASH
		};
		const hash = hashAct(row);
		last = { id: row.id, hash };
		return { ...row, hash };
	});
	await insertRows(tx, act, rows);
	newest.set(tx, 'act', last);
	return rows.map((row) => row.id);
}

/** The act that a form's key already stands for, if it was sent before. */
export function actByKey(tx: Tx, key: string) {
	return tx.select().from(act).where(eq(act.key, key)).get();
}
