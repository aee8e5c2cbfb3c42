import { fork } from 'node:child_process';
import { createReadStream, mkdtempSync } from 'node:fs';
import { cpus, tmpdir, totalmem } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { sql } from 'drizzle-orm';
import { answerReceipts } from '../src/lib/core/3-matching';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import { config } from '../src/lib/server/platform/config';
import { document, item } from '../src/lib/server/platform/db/schema';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { answeredPile } from '../src/lib/server/services/answers/answers';
import { proveBooks } from '../src/lib/server/ledger/queries/proof';
import { bookOf, must } from './books';
import { deskKeys } from './desk-keys';
import { firms } from './firms/score-firms';
import { matcher, names } from './matcher';
import { screens } from './screens';
import { threads } from './threads';
import { wideAccount } from './wide-account';
import { writeStatement } from './write-statement';

/** Measures and prints; asserts nothing. Figures are for comparing within one run on one machine. */
const lines: [string, string][] = [];
const say = (what: string, figure: string) => {
	lines.push([what, figure]);
	console.log(`${what.padEnd(62)} ${figure}`);
};
const seconds = (from: bigint) => Number(process.hrtime.bigint() - from) / 1e9;

/** Reading alone, in a process of its own so that the memory is its own. */
if (process.argv[2] === 'read') {
	const from = process.hrtime.bigint();
	const read = await readBankFile('bench.xml', createReadStream(process.argv[3]!));
	const entries = read.ok ? read.value.statements.reduce((sum, one) => sum + one.entries.length, 0) : 0;
	process.send!({ entries, time: seconds(from), peak: process.resourceUsage().maxRSS / 1024 });
	process.exit(0);
}

/** `keys` measures the desk alone. */
if (process.argv[2] === 'keys') {
	await deskKeys(say);
	process.exit(0);
}

/** `matcher` measures matching alone. */
if (process.argv[2] === 'matcher') {
	await matcher(say);
	names(say);
	process.exit(0);
}

/** `wide` measures an account with thousands of open items. */
if (process.argv[2] === 'wide') {
	await wideAccount(say);
	process.exit(0);
}

/** `threads` measures one account with a long past. */
if (process.argv[2] === 'threads') {
	await threads(say);
	process.exit(0);
}

/** `firms` scores matching on books of firms of all sorts. */
if (process.argv[2] === 'firms') {
	firms(say);
	process.exit(0);
}

/** `hard` scores matching on hard books. */
if (process.argv[2] === 'hard') {
	firms(say, true);
	process.exit(0);
}

console.log(
	`Node ${process.version}, ${cpus().length} × ${cpus()[0]!.model}, ${(totalmem() / 2 ** 30).toFixed(0)} GiB\n`
);
await matcher(say);
names(say);
firms(say);
firms(say, true);
const ENTRIES = 50_000;
const path = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'bank.xml');
await writeStatement(path, ENTRIES, (i) => ({
	text: `INV ${900_000 + i} with thanks and the usual words around it`,
	account: `X${i % 5000}`
}));
const child = fork(join(config().root, 'build/tools/bench.js'), ['read', path]);
const [told] = (await once(child, 'message')) as [{ entries: number; time: number; peak: number }];
say(
	`reading camt.053, ${told.entries} entries: entries/s`,
	Math.round(told.entries / told.time).toLocaleString('en-GB')
);
say('reading camt.053: peak memory of the process, MiB', told.peak.toFixed(0));

{
	const { books } = await bookOf(2_000, 10_000);
	const read = await readBankFile('bench.xml', createReadStream(path));
	if (!read.ok) throw new Error('the bench file was refused');
	const from = process.hrtime.bigint();
	await must(books, importBankFile, read.value);
	say(
		`importing them into the database: entries/s`,
		Math.round(ENTRIES / seconds(from)).toLocaleString('en-GB')
	);
	await books.close();
}
{
	const { books } = await bookOf(2_000, 10_000);
	const open = await books.db
		.select({ number: document.number, customerId: document.customerId, total: item.total })
		.from(item)
		.innerJoin(document, sql`${document.id} = ${item.documentId}`)
		.limit(1000);
	const small = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'small.xml');
	await writeStatement(small, 1000, (i) => ({
		text: i % 4 ? `INV ${open[i]!.number}` : 'PAYMENT',
		account: `ACC${open[i]!.customerId}`,
		amount: open[i]!.total
	}));
	const read = await readBankFile('small.xml', createReadStream(small));
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	const from = process.hrtime.bigint();
	const pile = await answeredPile(books.db);
	say('answering 1,000 receipts against 10,000 open items, books read: s', seconds(from).toFixed(3));
	const pure = process.hrtime.bigint();
	const answers = answerReceipts(pile.receipts, pile.books);
	say('the same, the core alone: s', seconds(pure).toFixed(3));
	say('  of these certain', String(answers.filter((one) => one.band === 'certain').length));
	const versions = new Map(pile.books.items.map((one) => [one.id, one.version]));
	const post = process.hrtime.bigint();
	let posted = 0;
	for (const answer of answers) {
		if (answer.customerId === null) continue;
		const order = answer.lines.map((line) => ({
			itemId: line.itemId,
			version: versions.get(line.itemId)!,
			cash: line.cash,
			differences: []
		}));
		for (const line of answer.lines) versions.set(line.itemId, versions.get(line.itemId)! + 1);
		await must(books, allocateReceipt, {
			receiptId: answer.receiptId,
			receiptVersion: 1,
			customerId: answer.customerId,
			lines: order
		});
		posted++;
	}
	const time = seconds(post);
	say(`posting ${posted} receipts, each a transaction: receipts/s`, (posted / time).toFixed(0));
	const proof = process.hrtime.bigint();
	const { breaches } = await proveBooks(books.db);
	say(`proving these books: s (${breaches.length} breaches)`, seconds(proof).toFixed(2));
	await books.close();
}
await wideAccount(say);
await deskKeys(say);
await threads(say);
await screens(say);
