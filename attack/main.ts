import { copyFileSync, mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { makeBooks } from '../src/demo/make-books';
import { config } from '../src/lib/server/platform/config';
import { openBooks } from '../src/lib/server/platform/db/open';
import { forgeBooks } from './forgeries';

/*
 * Attacks the application as somebody would who means it harm: with books and a data folder of its own, on this machine alone, bounded
 * in count and time. Says what it did in a line for each part; what got through is named, and the exit code tells.
 */
const folder = mkdtempSync(join(tmpdir(), 'odd-penny-attack-'));
const path = join(folder, 'odd-penny.db');
const books = await openBooks(`file:${path}`, { migrations: join(config().root, 'drizzle') });
await makeBooks(books);
await books.close();
const copy = join(folder, 'forged.db');
copyFileSync(path, copy);
const { made, unnoticed, refused, left } = await forgeBooks(`file:${copy}`);
console.log(
	`forgeries: ${made} made, ${made - unnoticed.length} noticed; ${refused.length} refused by the tables themselves`
);
for (const what of unnoticed) console.log(`  NOT NOTICED: ${what}`);
for (const what of refused) console.log(`  refused: ${what}`);
for (const why of left) console.log(`  not covered: ${why}`);
process.exitCode = unnoticed.length > 0 ? 1 : 0;
