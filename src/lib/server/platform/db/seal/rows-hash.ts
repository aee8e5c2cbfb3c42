import { createHash } from 'node:crypto';
import type { FormRow, RowForm } from './row-form';

/** The hash of a run of rows of one table (SHA-256, base64url): fed one by one in the order of their keys. */
export class RowsHash {
	readonly #hash = createHash('sha256');

	constructor(table: string) {
		this.#hash.update(`${table}\n`);
	}

	/** @param form the row as it is stored, see `formText`; its files follow it, by their hash */
	add(form: string): this {
		this.#hash.update(form).update('\n');
		return this;
	}

	digest(): string {
		return this.#hash.digest('base64url');
	}
}

/** The hash of a run of one. */
export function rowHash(table: string, form: string): string {
	return new RowsHash(table).add(form).digest();
}

/** A row's form with its files beside it, each by its hash. */
export function wholeForm({ files }: RowForm, row: FormRow): string {
	return [row.form, ...files.map((file) => fileHash(row[`file_${file}`]))].join(' ');
}

function fileHash(content: unknown): string {
	const bytes = content instanceof ArrayBuffer ? new Uint8Array(content) : (content as Uint8Array);
	return createHash('sha256').update(bytes).digest('base64url');
}

/** What is sealed of a run of rows. */
export interface SealedRun {
	readonly tableName: string;
	readonly firstKey: number | string;
	readonly lastKey: number | string;
	readonly rows: number;
	readonly hash: string;
}

/** The seal before the first. */
export const FIRST_SEAL = '0'.repeat(43);

/** The hash of a seal over its own fields and everything that it covers, in order. */
export class SealHash {
	readonly #hash = createHash('sha256');

	constructor(seal: { id: number; at: string; actId: number | null; previousHash: string }) {
		this.#hash.update(JSON.stringify(['odd-penny-seal-1', seal.id, seal.at, seal.actId, seal.previousHash]));
	}

	add(run: SealedRun): this {
		const { tableName, firstKey, lastKey, rows, hash } = run;
		this.#hash.update(`\n${JSON.stringify([tableName, firstKey, lastKey, rows, hash])}`);
		return this;
	}

	digest(): string {
		return this.#hash.digest('base64url');
	}
}
