import { asc, gt } from 'drizzle-orm';
import { inList } from '../../platform/db/in-list';
import type { Reader } from '../../platform/db/open';
import { seal, sealedForm, sealedRows } from '../../platform/db/schema';
import { ROW_FORMS } from '../../platform/db/seal/row-form';
import { formsOf } from '../../platform/db/seal/whole-table';

const SEALS_AT_ONCE = 500;

/**
 * The whole of the books as lines of JSON: how each table is sealed, the chain with what each seal covers, and every row as it is
 * sealed. `tools/verify/README.md` says what stands where. Contents of files are there by their hash.
 */
export async function* exportBooks(db: Reader): AsyncGenerator<string> {
	const since = new Map((await db.select().from(sealedForm)).map((row) => [row.tableName, row.sinceSeal]));
	const tables = [...ROW_FORMS.values()].map(({ name, posted, columns, numbered }) => ({
		...{ name, posted, columns, numbered },
		since: since.get(name) ?? 0
	}));
	yield JSON.stringify({ format: 'odd-penny-books-1', tables });
	for (let last = 0; ;) {
		const seals = await db
			.select()
			.from(seal)
			.where(gt(seal.id, last))
			.orderBy(asc(seal.id))
			.limit(SEALS_AT_ONCE);
		if (seals.length === 0) break;
		last = seals.at(-1)!.id;
		const ids = seals.map(({ id }) => id);
		const runs = new Map<number, (typeof sealedRows.$inferSelect)[]>(ids.map((id) => [id, []]));
		const covered = db.select().from(sealedRows).where(inList(sealedRows.sealId, ids));
		for (const run of await covered.orderBy(asc(sealedRows.id))) runs.get(run.sealId)!.push(run);
		for (const { id, at, actId, previousHash, hash } of seals) {
			yield JSON.stringify({ seal: [id, at, actId, previousHash, hash] });
			for (const run of runs.get(id)!)
				yield JSON.stringify({ run: [run.tableName, run.firstKey, run.lastKey, run.rows, run.hash] });
		}
	}
	for (const form of ROW_FORMS.values())
		for await (const rows of formsOf(db, form))
			for (const row of rows) yield JSON.stringify({ row: [form.name, row.key, row.form] });
}
