import { mkdir, readdir, rename, stat, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import type { Problem } from '../../core/problems';
import { problemSentence, importedSentence } from '../../words';
import { importBankFile } from '../receipts/commands/import-bank-file';
import { perform } from '../act/perform';
import type { CallContext } from '../act/define-act';
import { logFailure } from '../platform/log';
import type { Books } from '../platform/db/open';
import { partsOfContent } from '../platform/files/file-content';
import type { FileGiven } from '../receipts/store/bank-files-within';
import { lookInThread } from './threads/look-in-thread';
import { performInThread } from './threads/perform-in-thread';
import type { BankFileRead } from '../receipts/store/read-bank-file';
import type { FileKind } from '../../core/model/file-kind';
import type { Result } from '../../core/result';
import { readBankFile } from '../receipts/store/read-bank-file';

export interface Inbox {
	/** Looks once, now; resolves when what was there is dealt with. */
	look(): Promise<void>;
	close(): Promise<void>;
}

const EVERY_MS = 2000;

/**
 * Watches a folder for bank files, and for tables of banks that gave such ones before. A file whose size stood still between two
 * looks is brought in and moved to `done/`, or to `refused/`, each with a note beside it. Files that are read half when the application stops are still there afterwards.
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
		// Unpacking is work of its own: whoever asks for a page meanwhile does not wait for it.
		const viewer = { who: at.who, today: at.today };
		const given = { name, content: { path } };
		const within = await lookInThread(books.db, 'bank-files-within', given, viewer);
		const told = within.ok ? await bringIn(within.value, at) : [refusal(null, within.problems)];
		const fine = told.every(({ ok }) => ok);
		const target = join(folder, fine ? 'done' : 'refused', `${at.now().replace(/[:.]/g, '-')} ${name}`);
		await writeFile(`${target}.txt`, `${told.map(({ note }) => note).join('\n')}\n`);
		await rename(path, target);
	}
	/** Brings in what an archive holds, or the file that it is: one that is refused stops no other. */
	async function bringIn(files: readonly FileGiven[], at: CallContext) {
		const told = [];
		for (const { name, content } of files) {
			const read = await readBankFile(name, partsOfContent(content));
			const table = { source: { file: name, content }, answers: [], bankAccountId: null, onlyKnown: true };
			const result = maybeTable(read)
				? await performInThread(books, 'import-bank-file', table, at)
				: read.ok
					? await perform(books, importBankFile, read.value, at)
					: read;
			told.push(
				result.ok
					? { ok: true, note: importedSentence(result.value) }
					: refusal(files.length > 1 ? name : null, result.problems)
			);
		}
		return told;
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

/** Kinds that a bank's own table may be taken for. */
const MAY_BE_TABLE: readonly FileKind[] = ['bank-table', 'spreadsheet', 'other-table'];

/** Whether a file that is no statement may be a bank's own table: where one like it was brought in before, it is known how it is read. */
function maybeTable(read: Result<BankFileRead>): boolean {
	const [problem] = read.ok ? [] : read.problems;
	return problem?.code === 'other-file' && MAY_BE_TABLE.includes(problem.found);
}

/** Why a file was refused, by its name where it is one of several. */
function refusal(name: string | null, problems: readonly Problem[]) {
	const lines = problems.map(problemSentence);
	return { ok: false, note: (name ? lines.map((line) => `${name}: ${line}`) : lines).join('\n') };
}
