import { createReadStream } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { Readable } from 'node:stream';

/**
 * A file of a form that lies on disk: nothing of it is in memory but what is being read. It is gone when the request that brought it is
 * answered.
 */
export class FileOnDisk extends File {
	readonly #size: number;

	constructor(
		readonly path: string,
		name: string,
		type: string,
		/** In bytes. */
		size: number
	) {
		super([], name, { type });
		this.#size = size;
	}

	override get size(): number {
		return this.#size;
	}

	override async arrayBuffer(): Promise<ArrayBuffer> {
		return new Uint8Array(await readFile(this.path)).buffer;
	}

	override async text(): Promise<string> {
		return readFile(this.path, 'utf8');
	}

	override stream(): ReturnType<File['stream']> {
		return Readable.toWeb(createReadStream(this.path)) as unknown as ReturnType<File['stream']>;
	}

	override slice(): never {
		throw new Error('a file on disk is read as a whole, or as a stream');
	}
}
