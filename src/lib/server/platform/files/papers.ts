import { createHash } from 'node:crypto';
import { promisify } from 'node:util';
import { deflateRaw, inflateRaw } from 'node:zlib';
import { createClient, type Client } from '@libsql/client';
import { chunks } from '../db/chunks';

const inflate = promisify(inflateRaw);
const deflate = promisify(deflateRaw);

/** A file by what is in it: kept once, however often it is sent. */
export interface PackedPaper {
	/** SHA-256 of its bytes, hexadecimal. */
	readonly hash: string;
	/** Its bytes, compressed (RFC 1951). */
	readonly packed: Uint8Array;
}

/** Makes bytes ready to be kept. */
export async function packPaper(bytes: Uint8Array): Promise<PackedPaper> {
	return { hash: hashOfPaper(bytes), packed: await deflate(bytes) };
}

export const hashOfPaper = (bytes: Uint8Array): string => createHash('sha256').update(bytes).digest('hex');

/** What was sent on paper and hung on mail, apart from the books, which keep its hash. */
export interface Papers {
	/** Keeps papers, before the books name them; what is there already is left as it is. */
	keep(papers: readonly PackedPaper[]): Promise<void>;
	/**
	 * The bytes of a hash.
	 * @throws Error where it is not there, or is not what its hash says
	 */
	read(hash: string): Promise<Buffer>;
	close(): void;
}

/** So many rows are one statement. */
const TOGETHER = 50;

/** Where papers lie: in a file beside that of the books, or on the server that has those. */
export function papersUrl(booksUrl: string): string {
	return booksUrl.startsWith('file:') ? `${booksUrl.replace(/\.db$/, '')}-papers.db` : booksUrl;
}

/** Opens the place for papers when it is first used. */
export function openPapers(url: string, token?: string): Papers {
	let opened: Promise<Client> | null = null;
	const client = () => (opened ??= openTable(url, token));
	return {
		keep: async (papers) => {
			if (papers.length === 0) return;
			const db = await client();
			const statements = chunks(papers, TOGETHER).map((some) => ({
				sql: `insert or ignore into paper (hash, packed) values ${some.map(() => '(?, ?)').join(', ')}`,
				args: some.flatMap(({ hash, packed }) => [hash, packed])
			}));
			await db.batch(statements, 'write');
		},
		read: async (hash) => {
			const found = await (
				await client()
			).execute({ sql: 'select packed from paper where hash = ?', args: [hash] });
			const packed = found.rows[0]?.['packed'];
			if (!(packed instanceof ArrayBuffer)) throw new Error(`the paper ${hash} is not kept`);
			const bytes = await inflate(new Uint8Array(packed));
			if (hashOfPaper(bytes) !== hash) throw new Error(`the paper ${hash} is not as it was kept`);
			return bytes;
		},
		close: () => void opened?.then((db) => db.close()).catch(() => undefined)
	};
}

async function openTable(url: string, token: string | undefined): Promise<Client> {
	const client = createClient({ url, ...(token === undefined ? {} : { authToken: token }), timeout: 5000 });
	if (url.startsWith('file:')) {
		await client.execute('PRAGMA journal_mode = WAL');
		// The books may name a paper only once it is certain to be there.
		await client.execute('PRAGMA synchronous = FULL');
	}
	await client.execute('create table if not exists paper (hash text primary key, packed blob not null)');
	return client;
}
