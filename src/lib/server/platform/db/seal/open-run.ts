import { RowsHash, rowHash, type SealedRun } from './rows-hash';

type Key = number | string;

/** Rows that are never changed, one after the other as long as their keys follow each other. */
export class OpenRun {
	readonly #hash: RowsHash;
	#rows = 0;
	#last: Key;

	constructor(
		readonly tableName: string,
		readonly firstKey: Key
	) {
		this.#hash = new RowsHash(tableName);
		this.#last = firstKey;
	}

	/** Whether a row of this key is the next of the run. */
	goesOn(key: Key): boolean {
		return this.#rows === 0 || follows(this.#last, key);
	}

	add(key: Key, form: string): void {
		this.#hash.add(form);
		this.#last = key;
		this.#rows++;
	}

	close(): SealedRun {
		const { tableName, firstKey } = this;
		return { tableName, firstKey, lastKey: this.#last, rows: this.#rows, hash: this.#hash.digest() };
	}
}

/** Whether a key is the next after another: a number by one, a key of several parts by one in its last. */
function follows(last: Key, key: Key): boolean {
	if (typeof last === 'number') return key === last + 1;
	if (typeof key !== 'string') return false;
	const [, head, place] = /^(\[.*,)(\d+)\]$/.exec(last) ?? [];
	return place !== undefined && key === `${head}${Number(place) + 1}]`;
}

/** One version of a row, or that it is gone. */
export function oneRow(tableName: string, key: Key, form: string | null): SealedRun {
	const gone = form === null;
	return {
		...{ tableName, firstKey: key, lastKey: key },
		...{ rows: gone ? 0 : 1, hash: gone ? '' : rowHash(tableName, form) }
	};
}
