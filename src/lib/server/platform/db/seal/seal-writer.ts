import { sql } from 'drizzle-orm';
import { chunks } from '../chunks';
import type { Tx } from '../types';
import { FIRST_SEAL, SealHash, type SealedRun } from './rows-hash';

/** The head of the chain, and how many changes were noted and not sealed. */
export interface LastSeal {
	/** Nought where there is none yet. */
	readonly id: number;
	readonly hash: string;
	readonly pending: number;
}

/** Reads the head of the chain. */
export async function lastSeal(tx: Pick<Tx, 'get'>): Promise<LastSeal> {
	const row = await tx.get<{ pending: number; id: number | null; hash: string | null }>(sql`
		select (select count(*) from unsealed_change) as pending, last.id, last.hash
		from (select 1) left join (select id, hash from seal order by id desc limit 1) last`);
	return { id: row.id ?? 0, hash: row.hash ?? FIRST_SEAL, pending: row.pending };
}

/** Adds one seal to the chain: run after run, then the seal over them all. */
export class SealWriter {
	readonly #hash: SealHash;
	readonly #row;
	readonly #tx: Tx;

	/** @param actId the last act that it covers */
	constructor(tx: Tx, before: LastSeal, at: string, actId: number | null) {
		this.#tx = tx;
		this.#row = { id: before.id + 1, at, actId, previousHash: before.hash };
		this.#hash = new SealHash(this.#row);
	}

	get id(): number {
		return this.#row.id;
	}

	async add(runs: readonly SealedRun[]): Promise<void> {
		for (const run of runs) this.#hash.add(run);
		for (const some of chunks(runs, 5_000)) {
			const rows = some.map(({ tableName, firstKey, lastKey, rows, hash }) => [
				tableName,
				firstKey,
				lastKey,
				rows,
				hash
			]);
			await this.#tx.run(sql`insert into sealed_rows (seal_id, table_name, first_key, last_key, rows, hash)
				select ${this.id}, value ->> 0, value ->> 1, value ->> 2, value ->> 3, value ->> 4
				from json_each(${JSON.stringify(rows)})`);
		}
	}

	async close(): Promise<LastSeal> {
		const hash = this.#hash.digest();
		const { id, at, actId, previousHash } = this.#row;
		await this.#tx.run(sql`insert into seal (id, at, act_id, previous_hash, hash)
			values (${id}, ${at}, ${actId}, ${previousHash}, ${hash})`);
		return { id: this.id, hash, pending: 0 };
	}
}
