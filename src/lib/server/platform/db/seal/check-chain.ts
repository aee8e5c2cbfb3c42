import { sql } from 'drizzle-orm';
import type { Reader } from '../types';
import { FIRST_SEAL, SealHash, type SealedRun } from './rows-hash';

const RUNS_AT_ONCE = 20_000;

/** A link of the chain that does not hold. */
export interface BrokenSeal {
	readonly sealId: number;
	readonly what: 'changed' | 'missing' | 'stray';
}

export interface Chain {
	readonly seals: number;
	/** The hash of the last. */
	readonly head: string;
	readonly broken: readonly BrokenSeal[];
}

interface SealRow {
	readonly id: number;
	readonly at: string;
	readonly actId: number | null;
	readonly previousHash: string;
	readonly hash: string;
}

/**
 * Computes every seal again from what it covers.
 * @param each is given the hash of each seal in order: for those who compare one from elsewhere
 */
export async function checkChain(db: Reader, each: (hash: string) => void = () => undefined): Promise<Chain> {
	const broken: BrokenSeal[] = [];
	const runs = new RunReader(db);
	let previous = FIRST_SEAL;
	let seals = 0;
	for (let from = 0; ;) {
		const rows = await db.all<SealRow>(sql`
			select id, at, act_id as "actId", previous_hash as "previousHash", hash from seal where id > ${from} order by id limit 5000`);
		for (const row of rows) {
			for (let gone = seals + 1; gone < row.id && broken.length < 100; gone++)
				broken.push({ sealId: gone, what: 'missing' });
			const stray = await runs.before(row.id);
			if (stray) broken.push({ sealId: stray, what: 'stray' });
			const hash = new SealHash(row);
			for await (const run of runs.of(row.id)) hash.add(run);
			if (row.previousHash !== previous || hash.digest() !== row.hash || runs.isDisordered)
				broken.push({ sealId: row.id, what: 'changed' });
			runs.isDisordered = false;
			each(row.hash);
			previous = row.hash;
			seals = row.id;
		}
		if (rows.length === 0) break;
		from = seals;
	}
	const stray = await runs.before(Infinity);
	if (stray) broken.push({ sealId: stray, what: 'stray' });
	return { seals, head: previous, broken };
}

type Run = SealedRun & { readonly id: number; readonly sealId: number };

/** Reads what seals cover in the order in which it was written. */
class RunReader {
	/** Whether a number does not follow the one before. */
	isDisordered = false;
	readonly #db: Reader;
	#page: readonly Run[] = [];
	#at = 0;
	#from: { sealId: number; id: number } | null = { sealId: 0, id: 0 };
	#last = 0;

	constructor(db: Reader) {
		this.#db = db;
	}

	async *of(sealId: number): AsyncGenerator<Run> {
		for (let run = await this.#next(); run?.sealId === sealId; run = await this.#next()) {
			this.#at++;
			// They are numbered as they were written, from seal to seal.
			if (run.id <= this.#last) this.isDisordered = true;
			this.#last = Math.max(this.#last, run.id);
			yield run;
		}
	}

	/** Passes over what is said of seals before one, which are not there; the first of them, or null. */
	async before(sealId: number): Promise<number | null> {
		let first: number | null = null;
		for (let run = await this.#next(); run && run.sealId < sealId; run = await this.#next()) {
			this.#at++;
			first ??= run.sealId;
		}
		return first;
	}

	async #next(): Promise<Run | undefined> {
		if (this.#at === this.#page.length && this.#from) {
			const { sealId, id } = this.#from;
			this.#page = await this.#db.all<Run>(sql`
				select id, seal_id as "sealId", table_name as "tableName", first_key as "firstKey", last_key as "lastKey", rows, hash
				from sealed_rows where (seal_id, id) > (${sealId}, ${id}) order by seal_id, id limit ${RUNS_AT_ONCE}`);
			this.#at = 0;
			this.#from = this.#page.length < RUNS_AT_ONCE ? null : this.#page.at(-1)!;
		}
		return this.#page[this.#at];
	}
}
