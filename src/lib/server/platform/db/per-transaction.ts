/**
 * Keeps what was read within one transaction: a write has the books for itself, so what it read stays true until it writes
 * it anew. For anything but a transaction nothing is kept.
 */
export class PerTransaction<T> {
	readonly #kept = new WeakMap<object, Map<string, T>>();

	async get(db: object, key: string, read: () => Promise<T>): Promise<T> {
		if (!isTransaction(db)) return read();
		const map = this.#mapOf(db);
		if (!map.has(key)) map.set(key, await read());
		return map.get(key)!;
	}

	set(db: object, key: string, value: T): void {
		if (isTransaction(db)) this.#mapOf(db).set(key, value);
	}

	#mapOf(db: object): Map<string, T> {
		let map = this.#kept.get(db);
		if (!map) this.#kept.set(db, (map = new Map()));
		return map;
	}
}

function isTransaction(db: object): boolean {
	return 'rollback' in db;
}
