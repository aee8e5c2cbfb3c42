import { fork } from 'node:child_process';
import { createReadStream, mkdtempSync } from 'node:fs';
import { cpus, tmpdir, totalmem } from 'node:os';
import { join } from 'node:path';
import { once } from 'node:events';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { config } from '../src/lib/server/platform/config';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { answering } from './answering';
import { bookOf, must } from './books';
import { busy } from './busy';
import { deskKeys } from './desk-keys';
import { firms } from './firms/score-firms';
import { letters } from './letters';
import { matcher, names } from './matcher';
import { posting } from './posting';
import { screens } from './screens';
import { threads } from './threads';
import { wideAccount } from './wide-account';
import { writeStatement } from './write-statement';

const ENTRIES = 50_000;
const words = (i: number) => ({
	text: `INV ${900_000 + i} with thanks and the usual words around it`,
	account: `X${i % 5000}`
});

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

/** `answering` measures answering a long pile anew. */
if (process.argv[2] === 'answering') {
	await answering(say);
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

/** `letters` measures a run of 5,000 statements. */
if (process.argv[2] === 'letters') {
	await letters(say);
	process.exit(0);
}

/** `busy` measures what others wait for while the worst is asked for. */
if (process.argv[2] === 'busy') {
	await busy(say);
	process.exit(0);
}

/** `posting` measures posting receipt after receipt. */
if (process.argv[2] === 'posting') {
	await posting(say);
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

/** `screens` measures pages on large books. */
if (process.argv[2] === 'screens') {
	await screens(say);
	process.exit(0);
}

/** `importing` measures the import of a large file. */
if (process.argv[2] === 'importing') {
	await importing();
	process.exit(0);
}

console.log(
	`Node ${process.version}, ${cpus().length} × ${cpus()[0]!.model}, ${(totalmem() / 2 ** 30).toFixed(0)} GiB\n`
);
await matcher(say);
names(say);
firms(say);
firms(say, true);
const path = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'bank.xml');
await writeStatement(path, ENTRIES, words);
const child = fork(join(config().root, 'build/tools/bench.js'), ['read', path]);
const [told] = (await once(child, 'message')) as [{ entries: number; time: number; peak: number }];
say(
	`reading camt.053, ${told.entries} entries: entries/s`,
	Math.round(told.entries / told.time).toLocaleString('en-GB')
);
say('reading camt.053: peak memory of the process, MiB', told.peak.toFixed(0));

await importing();
await posting(say);
await wideAccount(say);
await deskKeys(say);
await threads(say);
await screens(say);

async function importing(): Promise<void> {
	const large = join(mkdtempSync(join(tmpdir(), 'odd-penny-bench-')), 'bank.xml');
	await writeStatement(large, ENTRIES, words);

	const { books } = await bookOf(2_000, 10_000);
	const read = await readBankFile('bench.xml', createReadStream(large));
	if (!read.ok) throw new Error('the bench file was refused');
	const from = process.hrtime.bigint();
	await must(books, importBankFile, read.value);
	say(
		`importing them into the database: entries/s`,
		Math.round(ENTRIES / seconds(from)).toLocaleString('en-GB')
	);
	await books.close();
}
