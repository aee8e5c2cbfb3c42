import { createReadStream, mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { eq } from 'drizzle-orm';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { Client } from '../attack/client';
import { startServer } from '../attack/start-server';
import { config } from '../src/lib/server/platform/config';
import { document, item } from '../src/lib/server/platform/db/schema';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { bookOf, must } from './books';
import { clerks } from './clerks';
import { writeStatement } from './write-statement';

const PORT = 4372;
const BASE = `http://127.0.0.1:${PORT}`;
const [CUSTOMERS, ITEMS, RECEIPTS] = [5_000, 50_000, 2_000];
/** A form that a person might send by mistake, or on purpose. */
const LONG = '0'.repeat(40_000);

/**
 * How long /health takes while somebody else asks for the worst that is known: 99 of 100 should take less than 50 ms, so that a page of
 * the next person stays quick. The server is the built one, on books of 50,000 items with 2,000 receipts that wait.
 */
export async function busy(say: (what: string, figure: string) => void): Promise<void> {
	const { books, folder } = await bookOf(CUSTOMERS, ITEMS);
	const open = await books.db
		.select({ number: document.number, customerId: document.customerId, total: item.total })
		.from(item)
		.innerJoin(document, eq(document.id, item.documentId))
		.limit(RECEIPTS);
	const files = mkdtempSync(join(tmpdir(), 'odd-penny-busy-'));
	await writeStatement(join(files, 'first.xml'), RECEIPTS, (i) => ({
		text: i % 4 ? `INV ${open[i]!.number}` : 'PAYMENT',
		account: `ACC${open[i]!.customerId}`,
		amount: open[i]!.total
	}));
	await writeStatement(join(files, 'second.xml'), 20_000, (i) => ({ text: `SECOND ${i}`, account: `B${i}` }));
	const read = await readBankFile('first.xml', createReadStream(join(files, 'first.xml')));
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	await books.close();
	const server = await startServer(PORT, folder, { root: config().root });
	try {
		await measure(say, files);
	} finally {
		server.kill('SIGINT');
	}
}

async function measure(say: (what: string, figure: string) => void, files: string): Promise<void> {
	const { cookie: clerk } = await Client.asDemo(BASE, 'clerk');
	const { cookie: reader } = await Client.asDemo(BASE, 'reader');
	const get = (cookie: string, path: string) => async () =>
		void (await (await fetch(BASE + path, { headers: { cookie } })).arrayBuffer());
	const post = (cookie: string, path: string, form: Record<string, string | Blob>) => async () => {
		const body = new FormData();
		for (const [name, value] of Object.entries(form)) body.set(name, value);
		const headers = { cookie, origin: BASE, 'x-sveltekit-action': 'true' };
		await (await fetch(BASE + path, { method: 'POST', body, headers })).arrayBuffer();
	};
	const json = (cookie: string, path: string, value: unknown) =>
		post(cookie, path, { json: JSON.stringify(value), key: crypto.randomUUID() });
	const rows = Array.from(
		{ length: 20_000 },
		(_, i) => `BZ-${i},invoice,C${(i % CUSTOMERS) + 1},2026-10-01,2026-10-31,GBP,100.00,100.00`
	);
	const table = ['number,kind,customer_code,issue_date,due_date,currency,total,open', ...rows].join('\n');
	/** As the dialog does it: so many at a time. */
	const postCertain = async () => {
		const receipts = Array.from({ length: RECEIPTS }, (_, i) => ({ id: i + 1, version: 1 }));
		for (let from = 0; from < RECEIPTS; from += 50)
			await json(clerk, '/money-in?/certain', { receipts: receipts.slice(from, from + 50) })();
	};
	const worst: [string, () => Promise<unknown>][] = [
		['nothing', () => pause(3_000)],
		['the first page after a start', get(clerk, '/money-in')],
		['the proof, twice', twice(get(clerk, '/books/proof'))],
		['the books', get(clerk, '/books')],
		['the record, four times', twice(twice(get(clerk, '/books/record')))],
		['small balances', get(clerk, '/odd-pennies/small-balances?upTo=100000&all=yes')],
		['all open items as a table', get(clerk, '/open-items/file')],
		['all customers as a table', get(clerk, '/customers/file')],
		['Today', get(clerk, '/')],
		['statements to choose from', get(clerk, '/letters?kind=statement')],
		[
			'50 statements sent',
			json(clerk, '/letters?/send', {
				...{ kind: 'statement', statement: null, note: '', copyToMe: false, seen: { letter: 0, run: 0 } },
				chosen: Array.from({ length: 50 }, (_, i) => ({
					...{ customerId: 3_000 + i, currency: 'GBP', amount: 1 }
				}))
			})
		],
		['a reader’s form of 250 KB', json(reader, '/money-in?/certain', { receipts: 'x'.repeat(250_000) })],
		['an amount of 40,000 noughts', post(clerk, '/open-items/new', { json: `{"lines":[{"net":${LONG}}]}` })],
		['a day of 40,000 characters', json(clerk, '/books/periods?/lock', { through: LONG })],
		['25 wrong sign-ins at once', () => Promise.all(Array.from({ length: 25 }, (_, i) => wrongSignIn(i)))],
		['posting all that are certain', postCertain],
		['the page after that', get(clerk, '/money-in')],
		[
			'a table of 20,000 documents, seen',
			post(clerk, '/open-items/bring-in?/preview', { what: 'documents', file: new Blob([table]) })
		],
		[
			'the same, brought in',
			post(clerk, '/open-items/bring-in?/documents', { what: 'documents', file: new Blob([table]) })
		],
		[
			'a bank file of 20,000 entries',
			post(clerk, '/money-in/bring-in', {
				files: new File([readFileSync(join(files, 'second.xml'))], 'second.xml')
			})
		],
		['the page after that', get(clerk, '/money-in')]
	];
	await clerks({ base: BASE, cookie: clerk }, say);
	for (const [what, ask] of worst) {
		const from = performance.now();
		const waits = await during(ask);
		const at = (share: number) =>
			waits[Math.min(waits.length - 1, Math.floor(waits.length * share))]!.toFixed(0);
		say(
			`/health during ${what} (${((performance.now() - from) / 1000).toFixed(1)} s): p50 / p99 / most, ms`,
			`${at(0.5)} / ${at(0.99)} / ${waits.at(-1)!.toFixed(0)}`
		);
	}
}

function twice(ask: () => Promise<unknown>): () => Promise<unknown> {
	return () => Promise.all([ask(), ask()]);
}

/** What /health took while something was done, in milliseconds, the shortest first. */
async function during(ask: () => Promise<unknown>): Promise<number[]> {
	const waits: number[] = [];
	let done = false;
	const watching = (async () => {
		while (!done || waits.length < 20) {
			const from = performance.now();
			await (await fetch(`${BASE}/health`)).arrayBuffer();
			waits.push(performance.now() - from);
			await pause(5);
		}
	})();
	await ask().catch((error: unknown) => console.error(error));
	done = true;
	await watching;
	return waits.sort((a, b) => a - b);
}

async function wrongSignIn(i: number): Promise<void> {
	await fetch(`${BASE}/sign-in?/person`, {
		method: 'POST',
		body: new URLSearchParams({ email: `nobody${i}@firm.example`, password: 'wrong but long enough' }),
		headers: { origin: BASE },
		redirect: 'manual'
	});
}
