import { AsyncLocalStorage } from 'node:async_hooks';
import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { createClient, type Client } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { sql } from 'drizzle-orm';
import { migrate } from 'drizzle-orm/libsql/migrator';
import { readMigrationFiles } from 'drizzle-orm/migrator';
import type { Db, Tx } from './types';
import { openPapers, papersUrl, type Papers } from '../files/papers';
import { letOthersIn } from './breathe';
import { keepStatements } from './keep-statements';
import { refuseNestedWrite } from './refuse-nested-write';
import { upgradeBooks } from './upgrades/upgrade-books';
import { installSeals, liftSeals } from './seal/install-seals';
import { sealed } from './seal/seal-transaction';
import { refreshOpenSpans } from './derived/open-spans';
import * as schema from './schema';

export type { Db, Reader, Tx } from './types';

export interface Books {
	/** For reading only; within a write it throws, for it would wait for itself. */
	readonly db: Db;
	/** One transaction, after those before it: throw inside to take all of it back. */
	write<T>(work: (tx: Tx) => Promise<T>): Promise<T>;
	/** A turn in the same queue for a library that writes by `db` itself and opens no transaction of ours. */
	turn<T>(work: () => Promise<T>): Promise<T>;
	/** Where they are: for threads that read them with a connection of their own. */
	readonly place: { readonly url: string; readonly token?: string };
	/** What was sent, apart from the books. */
	readonly papers: Papers;
	close(): Promise<void>;
}

const BUSY_TRIES = 5;

/**
 * Opens the books and brings their tables up to date. Writes go through one queue in this process; another process that
 * writes meanwhile is waited for, and a connection that met it is made anew, since it may lose later writes.
 */
export async function openBooks(
	url: string,
	options: { migrations: string; token?: string }
): Promise<Books> {
	keepStatements();
	if (url.startsWith('file:')) mkdirSync(dirname(resolve(url.slice(5))), { recursive: true });
	const client = createClient({ url, authToken: options.token, timeout: 5000 });
	if (url.startsWith('file:')) await client.execute('PRAGMA journal_mode = WAL');
	letOthersIn(client);
	const db = drizzle(client, { schema });
	await migrateBooks(db, options.migrations);
	await installSeals(db, clock);
	await upgradeBooks(db, clock);
	const writing = new AsyncLocalStorage<true>();
	let last: Promise<unknown> = Promise.resolve();
	const turn = <T>(work: () => Promise<T>): Promise<T> => {
		const mine = last.then(() => attempt(client, work));
		last = mine.catch(() => undefined);
		return mine;
	};
	const write = <T>(work: (tx: Tx) => Promise<T>): Promise<T> => {
		if (writing.getStore())
			return Promise.reject(new Error('a write inside a write would wait for itself for ever'));
		return turn(() =>
			writing.run(true, () => db.transaction((tx) => sealed(tx, clock, () => withWhatFollows(tx, work))))
		);
	};
	const papers = openPapers(papersUrl(url), options.token);
	return {
		place: { url, ...(options.token === undefined ? {} : { token: options.token }) },
		papers,
		turn,
		db: refuseNestedWrite(db, () => writing.getStore() === true),
		write,
		close: async () => {
			await last;
			papers.close();
			// What still lies beside the file goes into it, so that a copy of the file alone is whole.
			if (url.startsWith('file:'))
				await client.execute('PRAGMA wal_checkpoint(TRUNCATE)').catch(() => undefined);
			client.close();
		}
	};
}

/** A transaction's work, and what is kept because it follows from what was written. */
async function withWhatFollows<T>(tx: Tx, work: (tx: Tx) => Promise<T>): Promise<T> {
	const done = await work(tx);
	await refreshOpenSpans(tx);
	return done;
}

/** Brings the tables up to date; their triggers are lifted while they change. */
async function migrateBooks(db: Db, folder: string): Promise<void> {
	const [newest] = readMigrationFiles({ migrationsFolder: folder }).slice(-1);
	const done = await db
		.get<{ last: number | null }>(sql`select max(created_at) as last from __drizzle_migrations`)
		.catch(() => null);
	if (newest && done?.last !== null && done?.last === newest.folderMillis) return;
	await liftSeals(db);
	await migrate(db, { migrationsFolder: folder });
}

const clock = () => new Date().toISOString();

async function attempt<T>(client: Client, work: () => Promise<T>): Promise<T> {
	for (let n = 1; ; n++) {
		try {
			return await work();
		} catch (error) {
			if (!isBusy(error)) throw error;
			await client.reconnect();
			if (n === BUSY_TRIES) throw error;
		}
	}
}

function isBusy(error: unknown): boolean {
	for (let e = error as { code?: unknown; cause?: unknown } | undefined; e; e = e.cause as typeof e)
		if (typeof e.code === 'string' && e.code.startsWith('SQLITE_BUSY')) return true;
	return false;
}
