import { cpSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { drizzle } from 'drizzle-orm/libsql';
import { migrate } from 'drizzle-orm/libsql/migrator';

export interface OlderBooks {
	readonly url: string;
	/** Runs statements that end with a semicolon at the end of their line. */
	script(text: string): Promise<void>;
	all(text: string): Promise<Record<string, unknown>[]>;
	close(): Promise<void>;
}

/** For tests: books in a folder of their own with the tables of the first so many migrations, and nothing in them. */
export async function olderBooks(migrations: number): Promise<OlderBooks> {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-'));
	const url = `file:${join(folder, 'books.db')}`;
	const client = createClient({ url });
	await migrate(drizzle(client), { migrationsFolder: firstMigrations(folder, migrations) });
	return {
		url,
		script: async (text) => {
			// Rows point at rows that come later in the script.
			await client.executeMultiple(
				`pragma foreign_keys = off; begin; ${text} commit; pragma foreign_keys = on;`
			);
		},
		all: async (text) => (await client.execute(text)).rows.map((row) => ({ ...row })),
		close: async () => client.close()
	};
}

function firstMigrations(folder: string, count: number): string {
	const to = join(folder, 'older');
	mkdirSync(join(to, 'meta'), { recursive: true });
	const journal = JSON.parse(readFileSync('drizzle/meta/_journal.json', 'utf8')) as {
		entries: { tag: string }[];
	};
	const entries = journal.entries.slice(0, count);
	writeFileSync(join(to, 'meta/_journal.json'), JSON.stringify({ ...journal, entries }));
	for (const { tag } of entries) cpSync(`drizzle/${tag}.sql`, join(to, `${tag}.sql`));
	return to;
}
