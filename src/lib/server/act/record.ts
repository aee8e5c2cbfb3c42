import { desc } from 'drizzle-orm';
import type { ActKind } from '../../core/model/act-facts';
import { insertRows } from '../platform/db/insert-rows';
import type { Tx } from '../platform/db/open';
import { PerTransaction } from '../platform/db/per-transaction';
import { act } from '../platform/db/schema';
import type { ActEntry, CallContext } from './define-act';
import { FIRST_HASH, hashAct, RECORD_FORMAT, type HashedAct } from './hash-act';

/** What the runner knows of an act, beside what the act itself says. */
export interface Recorded<K extends ActKind = ActKind> {
	readonly kind: K;
	readonly entry: ActEntry<K>;
	readonly parentId: number | null;
	readonly key: string | null;
}

const newest = new PerTransaction<{ id: number; hash: string } | undefined>();

/** Adds acts to the chain of records, in order; returns their ids. Only the runner calls it. */
export async function recordActs(tx: Tx, call: CallContext, records: readonly Recorded[]): Promise<number[]> {
	let last = await newest.get(tx, 'act', () =>
		tx.select({ id: act.id, hash: act.hash }).from(act).orderBy(desc(act.id)).limit(1).get()
	);
	const at = call.now();
	const rows = records.map(({ kind, entry, parentId, key }) => {
		const row: HashedAct = {
			id: (last?.id ?? 0) + 1,
			kind,
			date: entry.date ?? call.today,
			at,
			userId: call.who.id,
			userName: call.who.name,
			summary: JSON.stringify(entry.summary),
			facts: JSON.stringify(entry.facts ?? {}),
			customerId: entry.customerId ?? null,
			receiptId: entry.receiptId ?? null,
			documentId: entry.documentId ?? null,
			undoesId: entry.undoesId ?? null,
			key,
			previousHash: last?.hash ?? FIRST_HASH,
			format: RECORD_FORMAT,
			parentId
		};
		const hash = hashAct(row);
		last = { id: row.id, hash };
		return { ...row, hash };
	});
	await insertRows(tx, act, rows);
	newest.set(tx, 'act', last);
	return rows.map((row) => row.id);
}
