import type { DocumentRow } from '../../../core/1-open-items/document-row';
import type { CustomerRow } from '../../../core/1-open-items/read-customers';
import type { TableKind } from '../../../core/1-columns/fields';
import { err, type Result } from '../../../core/result';
import { cleanLine } from '../../../core/text/clean-text';
import type { ActKind } from '../../../core/model/act-facts';
import type { CallContext } from '../../act/define-act';
import { perform } from '../../act/perform';
import type { Role } from '../../act/person';
import { postCertainKnowing, type postCertain } from '../../allocation/commands/post-certain';
import { bringInCustomers } from '../../customers/commands/bring-in-customers';
import { bringInDocuments } from '../../documents/commands/bring-in-documents';
import type { z } from 'zod';
import { KnownPile } from '../../matching/store/known-pile';
import type { Books } from '../../platform/db/open';
import { partsOfContent, type FileContent } from '../../platform/files/file-content';
import {
	readCustomerTables,
	readDocumentTables,
	type TablesGiven,
	type TablesRead
} from '../../platform/http/read-table-form';
import { isAsking } from '../../../tables/table-seen';
import { keepTableReadings } from '../../firm/commands/keep-table-readings';
import { withKnownReadings, type TablesAsked } from './with-known-readings';
import { importBankFile } from '../../receipts/commands/import-bank-file';
import { readBankFile } from '../../receipts/store/read-bank-file';

/** A file as it came. */
export interface FileGiven {
	readonly name: string;
	readonly content: FileContent;
}

const piles = new WeakMap<Books, KnownPile>();

/** What is known of what waits, kept for as long as the books are open in this thread. */
function pileOf(books: Books): KnownPile {
	const known = piles.get(books) ?? new KnownPile();
	piles.set(books, known);
	return known;
}

/** Reads tables as they are known to be read, brings them in, and keeps what was said of them for the next ones. */
async function bringIn<T, O>(
	books: Books,
	kind: TableKind,
	asked: TablesAsked,
	call: CallContext,
	read: (given: TablesGiven) => Promise<TablesRead<T>>,
	act: (rows: readonly T[]) => Promise<Result<O>>
): Promise<Result<O>> {
	const { rows, tables, problems } = await read(await withKnownReadings(books.db, kind, asked));
	if (problems.length > 0) return err(...problems);
	const open = tables.find(isAsking);
	if (open) return err({ code: 'table-asks', ...(open.file ? { file: open.file } : {}) });
	const done = await act(rows);
	// An act of its own: it is not what the form's key stands for.
	const { key: _key, ...own } = call;
	if (done.ok && asked.answers.length > 0)
		await perform(books, keepTableReadings, { kind, answers: [...asked.answers] }, own);
	return done;
}

/**
 * Acts in bulk: what they are given is read, and done, in a thread of its own with a connection of its own, while nobody else writes.
 * What they are given and give crosses threads.
 */
export const HEAVY_ACTS = {
	'import-bank-file': {
		role: 'clerk',
		run: async (books: Books, { name, content }: FileGiven, call: CallContext) => {
			const read = await readBankFile(cleanLine(name), partsOfContent(content));
			return read.ok ? perform(books, importBankFile, read.value, call) : read;
		}
	},
	'bring-in-documents': {
		role: 'clerk',
		run: (books: Books, asked: TablesAsked, call: CallContext) =>
			bringIn(books, 'documents', asked, call, readDocumentTables, (rows: readonly DocumentRow[]) =>
				perform(books, bringInDocuments, rows, call)
			)
	},
	'bring-in-customers': {
		role: 'clerk',
		run: (books: Books, asked: TablesAsked, call: CallContext) =>
			bringIn(books, 'customers', asked, call, readCustomerTables, (rows: readonly CustomerRow[]) =>
				perform(books, bringInCustomers, rows, call)
			)
	},
	'post-certain': {
		role: 'clerk',
		/** What waits is read beforehand, so that within the act, while others wait, only what was written since is. */
		prepare: (books: Books) => pileOf(books).read(books.db),
		run: (books: Books, given: z.input<typeof postCertain.input>, call: CallContext) =>
			perform(
				books,
				postCertainKnowing(() => pileOf(books)),
				given,
				call
			)
	}
} as const satisfies {
	readonly [K in ActKind]?: {
		readonly role: Role;
		readonly prepare?: (books: Books) => Promise<void>;
		readonly run: (books: Books, given: never, call: CallContext) => Promise<Result<unknown>>;
	};
};

export type HeavyAct = keyof typeof HEAVY_ACTS;
export type HeavyGiven<N extends HeavyAct> = Parameters<(typeof HEAVY_ACTS)[N]['run']>[1];
export type HeavyDone<N extends HeavyAct> = Awaited<ReturnType<(typeof HEAVY_ACTS)[N]['run']>>;
