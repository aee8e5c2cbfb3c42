import { readFileSync } from 'node:fs';
import { setTimeout as pause } from 'node:timers/promises';
import { sql } from 'drizzle-orm';
import { Client } from '../attack/client';
import { startServer } from '../attack/start-server';
import { addDays } from '../src/lib/core/day/arithmetic';
import { minor } from '../src/lib/core/money/minor';
import { issueDocuments, type NewDocument } from '../src/lib/server/documents/commands/issue-documents';
import { DEMO_TODAY } from '../src/demo/firm';
import { config } from '../src/lib/server/platform/config';
import { openForReading } from '../src/lib/server/platform/db/open-for-reading';
import { bookOf, must } from './books';

const PORT = 4374;
const BASE = `http://127.0.0.1:${PORT}`;
/** A median of twelve rows, and some of three hundred. */
const [CUSTOMERS, EACH, LONG, LONG_ROWS] = [5_000, 12, 50, 288];
const LOOK_EVERY = 250;
const PAGES = ['/', '/customers', '/open-items', '/letters/outbox'];

/**
 * How fast a run of 5,000 statements is written on the server, how much memory that takes at most, and how long pages take meanwhile. The
 * letters are put into the outbox and handed to the stand-in as they are written.
 */
export async function letters(say: (what: string, figure: string) => void): Promise<void> {
	const { books, folder } = await bookOf(CUSTOMERS, CUSTOMERS * EACH);
	await books.write((tx) =>
		tx.run(sql`update customer set statement_email = lower(code) || '@hazel.example', statement_way = 'mail'`)
	);
	for (let n = 0; n < LONG; n++) await must(books, issueDocuments, manyOf(n));
	await books.close();
	const server = await startServer(PORT, folder, { root: config().root });
	const db = openForReading(`file:${folder}/odd-penny.db`);
	const counted = async (table: 'letter' | 'delivery') => {
		const where = table === 'letter' ? sql`letter` : sql`delivery where state = 'sent'`;
		const [row] = await db.all<{ n: number }>(sql`select count(*) as n from ${where}`);
		return row!.n;
	};
	try {
		const { cookie } = await Client.asDemo(BASE, 'clerk');
		const headers = { cookie };
		await (await fetch(`${BASE}/letters?kind=statement`, { headers })).arrayBuffer();
		const first = performance.now();
		await (
			await fetch(`${BASE}/letters/preview?kind=statement&customer=7&currency=GBP`, { headers })
		).arrayBuffer();
		say('the first letter shown after the page', `${Math.round(performance.now() - first)} ms`);
		const again = performance.now();
		await (
			await fetch(`${BASE}/letters/preview?kind=statement&customer=8&currency=GBP`, { headers })
		).arrayBuffer();
		say('the next one', `${Math.round(performance.now() - again)} ms`);
		const chosen = (
			await db.all<{ customerId: number; amount: number }>(
				sql`select customer_id as customerId, sum(open) as amount from item_state where open > 0 group by 1`
			)
		).map((row) => ({ ...row, currency: 'GBP' }));
		const form = new FormData();
		const seen = { letter: 0, run: 0 };
		form.set(
			'json',
			JSON.stringify({ kind: 'statement', statement: null, note: '', copyToMe: false, chosen, seen })
		);
		form.set('key', crypto.randomUUID());
		const from = performance.now();
		const asked = await fetch(`${BASE}/letters?/send`, {
			method: 'POST',
			body: form,
			headers: { ...headers, origin: BASE, 'x-sveltekit-action': 'true' }
		});
		const told = await asked.text();
		if (!told.includes('redirect')) throw new Error(`the run was not started: ${told.slice(0, 300)}`);
		say('5,000 statements asked for, until the page answers', `${Math.round(performance.now() - from)} ms`);
		const took: number[] = [];
		const slowest = new Map<string, number>();
		let written = 0;
		for (let n = 0; written < chosen.length; n++) {
			const begun = performance.now();
			await (await fetch(BASE + PAGES[n % PAGES.length]!, { headers })).arrayBuffer();
			const one = performance.now() - begun;
			took.push(one);
			const page = PAGES[n % PAGES.length]!;
			slowest.set(page, Math.max(slowest.get(page) ?? 0, one));
			await pause(LOOK_EVERY);
			written = await counted('letter');
		}
		const seconds = (performance.now() - from) / 1000;
		const sent = await counted('delivery');
		took.sort((a, b) => a - b);
		const share = (part: number) => Math.round(took[Math.floor((took.length - 1) * part)]!);
		say('letters written a second, of 5,000 (median 12 rows, 50 of 300)', (written / seconds).toFixed(1));
		say('sent by then', String(sent));
		say('pages meanwhile, half and 95 of 100 within', `${share(0.5)} ms, ${share(0.95)} ms`);
		say('the slowest of each', [...slowest].map(([page, ms]) => `${page} ${Math.round(ms)} ms`).join(', '));
		const peak = /VmHWM:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1];
		say('memory at most', `${Math.round(Number(peak) / 1024)} MB`);
		for (const file of ['odd-penny.db', 'odd-penny-papers.db']) {
			const bytes = await sizeOf(`${folder}/${file}`);
			say(`${file}, for each letter`, `${(bytes / 1024 / written).toFixed(1)} KB`);
		}
	} finally {
		server.kill('SIGINT');
	}
}

async function sizeOf(path: string): Promise<number> {
	const { stat } = await import('node:fs/promises');
	const sizes = await Promise.all([path, `${path}-wal`].map((one) => stat(one).catch(() => ({ size: 0 }))));
	return sizes.reduce((sum, one) => sum + one.size, 0);
}

function manyOf(n: number): NewDocument[] {
	return Array.from({ length: LONG_ROWS }, (_, i) => {
		const total = minor(1_000 + ((n * 7919 + i * 104_729) % 90_000));
		const issued = addDays(DEMO_TODAY, -1 - ((n + i) % 180));
		return {
			...{ kind: 'invoice', number: `AL-${n}-${i}`, customerId: n * 90 + 1, issued, currency: 'GBP' },
			lines: [{ text: 'clay', net: total, taxBasisPoints: 0, tax: minor(0) }],
			instalments: [{ due: addDays(issued, 30), amount: total }],
			...{ purchaseOrder: `PO${i}`, orderReference: null, paymentReference: null, text: 'stoneware clay' },
			...{ discountBasisPoints: null, discountUntil: null }
		};
	});
}
