import { err, ok, type Result } from '../../../core/result';
import { cleanLine } from '../../../core/text/clean-text';
import type { ActKind } from '../../../core/model/act-facts';
import type { CallContext } from '../../act/define-act';
import { perform } from '../../act/perform';
import type { Role } from '../../act/person';
import { postCertainKnowing, type postCertain } from '../../allocation/commands/post-certain';
import { bringInCustomers } from '../../customers/commands/bring-in-customers';
import { bringInHistory } from '../../matching/commands/bring-in-history';
import { bringInDocuments } from '../../documents/commands/bring-in-documents';
import type { z } from 'zod';
import { KnownPile } from '../../matching/store/known-pile';
import type { Books, Reader } from '../../platform/db/open';
import { partsOfContent } from '../../platform/files/file-content';
import type { TablesRead } from '../../platform/http/read-table-form';
import { isAsking } from '../../../tables/table-seen';
import { keepTableReadings } from '../../firm/commands/keep-table-readings';
import { CUSTOMER_TABLES, DOCUMENT_TABLES, HISTORY_TABLES, type OwnTables } from './own-tables';
import { keyOfRefused, siftRows } from './sift-rows';
import type { CustomerTablesAsked, DocumentTablesAsked, TablesAsked } from './with-known-readings';
import { bankFileOfTable, type BankTableAsked } from './bank-tables';
import type { FileGiven } from '../../receipts/store/bank-files-within';
import { importBankFile, type BankFileGiven } from '../../receipts/commands/import-bank-file';
import { readBankFile } from '../../receipts/store/read-bank-file';

const piles = new WeakMap<Books, KnownPile>();

/** What is known of what waits, kept for as long as the books are open in this thread. */
function pileOf(books: Books): KnownPile {
	const known = piles.get(books) ?? new KnownPile();
	piles.set(books, known);
	return known;
}

/** Reads tables as they are known to be read, brings them in, and keeps what was said of them for the next ones. */
async function bringIn<A extends TablesAsked, T, O>(
	books: Books,
	tables: OwnTables<A, T>,
	asked: A,
	call: CallContext,
	act: (rows: readonly T[]) => Promise<Result<O>>
): Promise<Result<O>> {
	const read = await tables.read(books.db, asked);
	if (read.problems.length > 0) return err(...read.problems);
	const open = read.tables.find(isAsking);
	if (open) return err({ code: 'table-asks', ...(open.file ? { file: open.file } : {}) });
	const rows = await rowsAgreedTo(books.db, tables, asked, read);
	if (!rows.ok) return rows;
	const done = await act(rows.value);
	// An act of its own: it is not what the form's key stands for.
	const { key: _key, ...own } = call;
	if (done.ok && asked.answers.length > 0)
		await perform(books, keepTableReadings, { kind: tables.kind, answers: [...asked.answers] }, own);
	return done;
}

/** The rows without those that somebody saw and agreed to leave out; all of them where nobody agreed to any. */
async function rowsAgreedTo<A extends TablesAsked, T>(
	db: Reader,
	tables: OwnTables<A, T>,
	{ leaveOut }: A,
	read: TablesRead<T>
): Promise<Result<readonly T[]>> {
	// The act looks at every row itself, and refuses.
	if (!leaveOut && read.refused.length === 0) return ok(read.rows);
	const { rows, refused, problems } = await siftRows(read, (some) => tables.look(db, some));
	const faults = [...problems, ...refused.map(({ problem }) => problem)].slice(0, 50);
	const isAgreed = problems.length === 0 && leaveOut === keyOfRefused(read, refused);
	return faults.length === 0 || isAgreed ? ok(rows) : err(...faults);
}

/** What somebody said of entries that may be in the books already. */
type Doubted = Pick<BankFileGiven, 'doubtAnswers'>;

/** Brings a bank's table in, and keeps how it is read and of which account it is, for the next one of that bank. */
async function bringInBankTable(books: Books, asked: BankTableAsked & Doubted, call: CallContext) {
	const read = await bankFileOfTable(books.db, asked);
	if (!read.ok) return read;
	const { doubtAnswers } = asked;
	const done = await perform(books, importBankFile, { ...read.value.file, doubtAnswers }, call);
	// An act of its own: it is not what the form's key stands for.
	const { key: _key, ...own } = call;
	if (done.ok)
		await perform(books, keepTableReadings, { kind: 'bank-table', answers: [read.value.answer] }, own);
	return done;
}

/**
 * Acts in bulk: what they are given is read, and done, in a thread of its own with a connection of its own, while nobody else writes.
 * What they are given and give crosses threads.
 */
export const HEAVY_ACTS = {
	'import-bank-file': {
		role: 'clerk',
		run: async (books: Books, given: (FileGiven | BankTableAsked) & Doubted, call: CallContext) => {
			if ('source' in given) return bringInBankTable(books, given, call);
			const read = await readBankFile(cleanLine(given.name), partsOfContent(given.content));
			const { doubtAnswers } = given;
			return read.ok ? perform(books, importBankFile, { ...read.value, doubtAnswers }, call) : read;
		}
	},
	'bring-in-documents': {
		role: 'clerk',
		run: (books: Books, asked: DocumentTablesAsked, call: CallContext) =>
			bringIn(books, DOCUMENT_TABLES, asked, call, (rows) => perform(books, bringInDocuments, rows, call))
	},
	'bring-in-customers': {
		role: 'clerk',
		run: (books: Books, asked: CustomerTablesAsked, call: CallContext) =>
			bringIn(books, CUSTOMER_TABLES, asked, call, (rows) =>
				perform(books, bringInCustomers, { rows, takeChanges: asked.takeChanges }, call)
			)
	},
	'bring-in-history': {
		role: 'clerk',
		run: (books: Books, asked: TablesAsked, call: CallContext) =>
			bringIn(books, HISTORY_TABLES, asked, call, (rows) => perform(books, bringInHistory, rows, call))
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
