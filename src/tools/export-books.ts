import { createWriteStream } from 'node:fs';
import { finished } from 'node:stream/promises';
import { once } from 'node:events';
import { config } from '../lib/server/platform/config';
import { openForReading } from '../lib/server/platform/db/open-for-reading';
import { exportBooks } from '../lib/server/ledger/queries/export-books';
import { checkedConfig } from './checked-config';

/** Writes the whole of the books as text for an auditor: `npm run export-books -- FILE`. The books are only read. */
checkedConfig();
const path = process.argv[2];
if (!path) {
	console.error('Name the file to write: npm run export-books -- FILE');
	process.exit(1);
}
const { url, token } = config().database;
const db = openForReading(url, token);
const file = createWriteStream(path, { mode: 0o600, flags: 'wx' });
const failed = once(file, 'error').then(([error]) => {
	throw error as Error;
});
const lines = await Promise.race([
	failed,
	db.transaction(async (tx) => {
		let written = 0;
		for await (const line of exportBooks(tx)) {
			written++;
			if (!file.write(`${line}\n`)) await once(file, 'drain');
		}
		return written;
	})
]);
file.end();
await finished(file);
db.$client.close();
console.log(`Wrote ${String(lines)} lines to ${path}. Check them with: node tools/verify/verify.mjs ${path}`);
