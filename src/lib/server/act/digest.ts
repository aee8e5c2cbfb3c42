import { createHash, type Hash } from 'node:crypto';

/** A mark of what an act was given (SHA-256): the same for equal values, whatever the order in which their fields were set. */
export function digestOf(value: unknown): string {
	const hash = createHash('sha256');
	feed(hash, value);
	return hash.digest('hex');
}

function feed(hash: Hash, value: unknown): void {
	if (value instanceof Uint8Array) hash.update(`b${value.length}:`).update(value);
	else if (Array.isArray(value)) {
		hash.update(`a${value.length}:`);
		for (const one of value) feed(hash, one);
	} else if (typeof value === 'object' && value !== null) {
		hash.update('o');
		for (const key of Object.keys(value).sort()) {
			const own = (value as Record<string, unknown>)[key];
			if (own === undefined) continue;
			hash.update(`${key.length}:${key}`);
			feed(hash, own);
		}
		hash.update('.');
	} else {
		const text = String(value);
		hash.update(`${typeof value}${text.length}:${text}`);
	}
}
