import { createReadStream, existsSync } from 'node:fs';
import { basename } from 'node:path';
import { importBankFile } from '../lib/server/receipts/commands/import-bank-file';
import { perform } from '../lib/server/act/perform';
import { bookDay, clock, openOwnBooks } from '../lib/server/app';
import { APPLICATION } from '../lib/server/act/person';
import { importedSentence, problemSentence } from '../lib/words';
import { readBankFile } from '../lib/server/receipts/store/read-bank-file';
import { checkedConfig } from './checked-config';

const files = process.argv.slice(2);
if (files.length === 0) {
	console.error('Which file? npm run import -- FILE [FILE …]');
	process.exit(2);
}
checkedConfig();
const books = await openOwnBooks();
for (const file of files) {
	if (!existsSync(file)) {
		console.error(`${file}: there is no such file.`);
		process.exitCode = 1;
		continue;
	}
	const read = await readBankFile(basename(file), createReadStream(file));
	const at = { who: APPLICATION, today: await bookDay(books), now: clock };
	const result = read.ok ? await perform(books, importBankFile, read.value, at) : read;
	if (result.ok) console.log(importedSentence(result.value));
	else {
		for (const problem of result.problems) console.error(`${file}: ${problemSentence(problem)}`);
		process.exitCode = 1;
	}
}
await books.close();
