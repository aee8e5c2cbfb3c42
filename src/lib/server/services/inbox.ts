import { createReadStream } from 'node:fs';
import { mkdir, readdir, rename, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { problemSentence, importedSentence } from '../../words';
import { importBankFile } from '../receipts/commands/import-bank-file';
import { perform } from '../act/perform';
import type { CallContext } from '../act/define-act';
import { logFailure } from '../platform/log';
import type { Books } from '../platform/db/open';
import { readBankFile } from '../receipts/store/read-bank-file';

export interface Inbox {
	/** Looks once, now; resolves when what was there is dealt with. */
	look(): Promise<void>;
	close(): Promise<void>;
}

const EVERY_MS = 2000;

/**
 * Watches a folder for bank files. A file whose size stood still between two looks is brought in and moved to `done/`, or to
 * `refused/`, each with a note beside it. Files that are read half when the application stops are still there afterwards.
 */
export async function watchInbox(
	books: Books,
	folder: string,
	context: () => Promise<CallContext>
): Promise<Inbox> {
	for (const sub of ['done', 'refused']) await mkdir(join(folder, sub), { recursive: true });
	const sizes = new Map<string, number>();
	let turn: Promise<void> = Promise.resolve();
	const look = () => (turn = turn.then(once).catch((error) => logFailure('reading the inbox', error)));
	async function once(): Promise<void> {
		const entries = await readdir(folder, { withFileTypes: true });
		for (const name of entries
			.filter((entry) => entry.isFile() && !entry.name.startsWith('.'))
			.map((entry) => entry.name)
			.sort()) {
			const { size } = await stat(join(folder, name));
			if (sizes.get(name) !== size) {
				sizes.set(name, size);
				continue;
			}
			sizes.delete(name);
			await take(name);
		}
	}
	async function take(name: string): Promise<void> {
		const path = join(folder, name);
		const at = await context();
		const read = await readBankFile(name, createReadStream(path));
		const result = read.ok ? await perform(books, importBankFile, read.value, at) : read;
		const target = join(folder, result.ok ? 'done' : 'refused', `${at.now().replace(/[:.]/g, '-')} ${name}`);
		const note = result.ok ? importedSentence(result.value) : result.problems.map(problemSentence).join('\n');
		await writeFile(`${target}.txt`, `${note}\n`);
		await rename(path, target);
	}
	const timer = setInterval(look, EVERY_MS);
	timer.unref();
	return {
		look,
		close: async () => {
			clearInterval(timer);
			await turn;
		}
	};
}
