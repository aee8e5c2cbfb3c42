import { createClient } from '@libsql/client';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/libsql';
import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { olderBooks } from '../older-books';
import { openBooks } from '../open';
import * as schema from '../schema';
import { upgradeBooks } from './upgrade-books';

const now = () => '2026-10-30T10:00:00.000Z';

it('of two processes that open the books at once each upgrade is done by one', async () => {
	const older = await olderBooks(12);
	await older.script(readFileSync('fixtures/books-of-the-twelfth-tables.sql', 'utf8'));
	await older.close();
	const { url } = older;
	await (await openBooks(url, { migrations: 'drizzle' })).close();
	const open = () => drizzle(createClient({ url, timeout: 5000 }), { schema });
	const [first, second] = [open(), open()];
	await first.run(sql`delete from upgrade`);
	// The second has seen that nothing is done; the first does it all before the second has its turn.
	const begin = second.transaction.bind(second);
	second.transaction = async (...given) => {
		await upgradeBooks(first, now);
		return begin(...given);
	};
	await upgradeBooks(second, now);
	expect(await first.all(sql`select name, "left" from upgrade order by name`)).toEqual([
		{ name: 'earlier-reductions', left: 0 },
		{ name: 'line-sources', left: 0 },
		{ name: 'open-spans', left: 0 },
		{ name: 'petty-cash', left: 0 },
		{ name: 'rules-to-usual-lines', left: 0 },
		{ name: 'search-keys-2', left: 0 }
	]);
});
