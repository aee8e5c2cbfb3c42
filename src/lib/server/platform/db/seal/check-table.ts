import { sql } from 'drizzle-orm';
import type { Reader } from '../types';
import type { RowForm } from './row-form';
import { RowsHash, type SealedRun } from './rows-hash';
import { formsOf } from './whole-table';

/** Rows of a table that are not as they were sealed. */
export interface UnsoundRows {
	readonly tableName: string;
	readonly firstKey: number | string;
	readonly lastKey: number | string;
	readonly what: 'changed' | 'missing' | 'added';
	/** The seal that covers them; null where none does. */
	readonly sealId: number | null;
}

type Sealed = SealedRun & { readonly sealId: number };

/**
 * Compares every row of a table with what was sealed of it.
 * @param since the seal from which on its seals have its present form
 */
export async function* checkTable(db: Reader, form: RowForm, since: number): AsyncGenerator<UnsoundRows> {
	let run: RunCheck | null = null;
	let reached: number | null = null;
	// Keys that are no numbers are few, or in few runs: what was sealed of them is read at once.
	const all = form.numbered ? null : await sealedOf(db, form, since, null, null);
	for await (const rows of formsOf(db, form)) {
		const last = rows.at(-1)!.key;
		const sealedHere: Map<number | string, Sealed> =
			all ?? (await sealedOf(db, form, since, reached, last as number));
		for (const row of rows) {
			if (run && !run.takes(row.key)) {
				yield* run.close();
				run = null;
			}
			if (!run) {
				const found = sealedHere.get(row.key);
				sealedHere.delete(row.key);
				if (!found || found.rows === 0) {
					yield unsound(form, row.key, row.key, 'added', found?.sealId ?? null);
					continue;
				}
				run = new RunCheck(form, found);
			}
			run.add(row.key, row.form);
		}
		if (!all) {
			reached = last as number;
			yield* missing(form, sealedHere);
		}
	}
	if (run) yield* run.close();
	yield* missing(form, all ?? (await sealedOf(db, form, since, reached, null)));
}

function unsound(
	{ name }: RowForm,
	firstKey: number | string,
	lastKey: number | string,
	what: UnsoundRows['what'],
	sealId: number | null
): UnsoundRows {
	return { tableName: name, firstKey, lastKey, what, sealId };
}

function* missing(form: RowForm, left: ReadonlyMap<number | string, Sealed>): Generator<UnsoundRows> {
	for (const { firstKey, lastKey, rows, sealId } of left.values())
		if (rows > 0) yield unsound(form, firstKey, lastKey, 'missing', sealId);
}

/** Rows that should be one sealed run. */
class RunCheck {
	readonly #hash: RowsHash;
	#rows = 0;
	#done = false;

	constructor(
		readonly form: RowForm,
		readonly sealed: Sealed
	) {
		this.#hash = new RowsHash(form.name);
	}

	takes(key: number | string): boolean {
		const { lastKey, rows } = this.sealed;
		if (this.#done) return false;
		return typeof key === 'number' && typeof lastKey === 'number' ? key <= lastKey : this.#rows < rows;
	}

	add(key: number | string, form: string): void {
		this.#hash.add(form);
		this.#rows++;
		this.#done = key === this.sealed.lastKey;
	}

	*close(): Generator<UnsoundRows> {
		const { firstKey, lastKey, rows, hash, sealId } = this.sealed;
		if (this.#rows === rows && this.#hash.digest() === hash) return;
		yield unsound(this.form, firstKey, lastKey, this.#rows < rows ? 'missing' : 'changed', sealId);
	}
}

/** What was sealed of a table with first keys after one and up to another: of rows that change the last version. */
async function sealedOf(
	db: Reader,
	form: RowForm,
	since: number,
	after: number | null,
	upTo: number | null
): Promise<Map<number | string, Sealed>> {
	const range = sql`table_name = ${form.name} and seal_id >= ${since}
		${after === null ? sql`` : sql`and first_key > ${after}`}
		${upTo === null ? sql`` : sql`and first_key <= ${upTo}`}`;
	const columns = sql`table_name as "tableName", first_key as "firstKey", last_key as "lastKey", rows, hash, seal_id as "sealId"`;
	const rows = form.posted
		? await db.all<Sealed>(sql`select ${columns} from sealed_rows where ${range} order by first_key, id`)
		: await db.all<Sealed>(
				sql`select ${columns}, max(id) from sealed_rows where ${range} group by first_key order by first_key`
			);
	const map = new Map<number | string, Sealed>();
	// Where two runs of rows that never change begin at one key, the first counts, and what it covers shows the other.
	for (const row of rows) if (!map.has(row.firstKey)) map.set(row.firstKey, row);
	return map;
}
