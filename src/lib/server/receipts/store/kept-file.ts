import { createHash } from 'node:crypto';
import { gzipSync } from 'node:zlib';

const PART = 1 << 20;

/** A file as it is kept: its hash, and its bytes compressed, a megabyte or so in each part. */
export interface KeptFile {
	readonly sha256: string;
	readonly bytes: number;
	readonly parts: readonly Buffer[];
}

/** Makes a kept file of chunks as they come. */
export class FileKeeper {
	readonly #hash = createHash('sha256');
	readonly #parts: Buffer[] = [];
	#pending: Buffer[] = [];
	#waiting = 0;
	#bytes = 0;

	get bytes(): number {
		return this.#bytes;
	}

	add(chunk: Uint8Array): void {
		this.#bytes += chunk.length;
		this.#hash.update(chunk);
		this.#pending.push(Buffer.from(chunk));
		this.#waiting += chunk.length;
		if (this.#waiting >= PART) this.#pack();
	}

	end(): KeptFile {
		this.#pack();
		return { sha256: this.#hash.digest('hex'), bytes: this.#bytes, parts: this.#parts };
	}

	#pack(): void {
		if (this.#waiting === 0) return;
		this.#parts.push(gzipSync(Buffer.concat(this.#pending), { level: 3 }));
		this.#pending = [];
		this.#waiting = 0;
	}
}
