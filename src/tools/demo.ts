import { existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeBooks } from '../demo/make-books';
import { openOwnBooks } from '../lib/server/app';
import { readSetting } from '../lib/server/firm/store/settings';
import { checkedConfig } from './checked-config';
import { serve } from './serve';

/** Makes the demo books where there are none (or anew with `--fresh`), then serves them. `--books-only` stops after making. */
const folder = checkedConfig().dataDir;
const fresh = process.argv.includes('--fresh');
const mark = join(folder, 'demo.made');
// Only what a demo made is ever thrown away: a folder with real books is left alone.
if ((fresh || !existsSync(mark)) && existsSync(join(folder, 'odd-penny.db'))) {
	const books = await openOwnBooks();
	const [firm, demo] = [await readSetting(books.db, 'firm'), await readSetting(books.db, 'demo')];
	await books.close();
	if (firm && !demo && !existsSync(join(folder, 'demo.making'))) {
		console.error(
			`${folder} holds books that are not the demo's. Name another folder: DATA_DIR=… npm run demo`
		);
		process.exit(1);
	}
	for (const part of [
		'odd-penny.db',
		'odd-penny.db-wal',
		'odd-penny.db-shm',
		...['odd-penny-papers.db', 'odd-penny-papers.db-wal', 'odd-penny-papers.db-shm'],
		'demo.made',
		'anchors',
		'outbox',
		'inbox',
		'todays-bank-files',
		'todays-documents'
	])
		rmSync(join(folder, part), { recursive: true, force: true });
}
if (!existsSync(mark)) {
	const began = Date.now();
	mkdirSync(folder, { recursive: true });
	writeFileSync(join(folder, 'demo.making'), 'The demo books are being made here.\n');
	console.log('Making the demo books …');
	const books = await openOwnBooks();
	const { todaysFiles, documents } = await makeBooks(books);
	await books.close();
	mkdirSync(join(folder, 'todays-bank-files'), { recursive: true });
	for (const file of todaysFiles) writeFileSync(join(folder, 'todays-bank-files', file.name), file.text);
	// Whoever looks around from a browser has no folder to take them from: they come in by themselves.
	if (process.argv.includes('--with-todays-files')) {
		mkdirSync(join(folder, 'inbox'), { recursive: true });
		for (const file of todaysFiles) writeFileSync(join(folder, 'inbox', file.name), file.text);
	}
	mkdirSync(join(folder, 'todays-documents'), { recursive: true });
	for (const file of documents) writeFileSync(join(folder, 'todays-documents', file.name), file.text);
	writeFileSync(mark, 'The demo books in this folder are whole.\n');
	rmSync(join(folder, 'demo.making'));
	console.log(
		`Made in ${((Date.now() - began) / 1000).toFixed(1)} s. Today's bank files: ${join(folder, 'todays-bank-files')}`
	);
}
if (!process.argv.includes('--books-only')) {
	const { host } = checkedConfig();
	if (!['127.0.0.1', '::1', 'localhost'].includes(host))
		console.warn(
			`Careful: these are demo books, where anybody who reaches ${host} may sign in as anybody. Bring in nothing of your own.`
		);
	await serve();
}
