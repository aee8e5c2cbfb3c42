import { Readable } from 'node:stream';
import { asc } from 'drizzle-orm';
import { camtXml, type XmlEntry } from '../src/demo/camt-xml';
import { STERLING } from '../src/demo/firm';
import { addDays } from '../src/lib/core/day/arithmetic';
import { layThreads } from '../src/routes/customers/[code]/threads/thread-layout';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { allocateReceipt } from '../src/lib/server/allocation/commands/allocate-receipt';
import { receipt } from '../src/lib/server/platform/db/schema';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { lookAtThreads } from '../src/lib/server/customers/queries/threads';
import { openItemsOf } from '../src/lib/server/documents/store/open-items';
import { at, bookOf, must } from './books';
import { inBrowser } from './in-browser';

const SETTLED = 2_000;
const EACH = 4;
const DAYS = 720;

/** The threads of an account with 2,000 items that are settled by 500 payments over two years, and 100 that are open. */
export async function threads(say: (what: string, figure: string) => void): Promise<void> {
	const { books, folder } = await bookOf(1, SETTLED + 100);
	const items = await openItemsOf(books.db, [1]);
	const groups = Array.from({ length: SETTLED / EACH }, (_, i) => items.slice(i * EACH, (i + 1) * EACH));
	const entries = groups.map((own, i): XmlEntry => {
		const amount = own.reduce((sum, item) => sum + item.open, 0);
		const booked = addDays(at.today, Math.floor((i * DAYS) / groups.length) - DAYS);
		return {
			amount,
			booked,
			reference: `R${i}`,
			details: [{ amount, name: 'PAYER', account: 'ACC1', text: '' }]
		};
	});
	const statement = {
		...{ reference: 'B1', sequence: 1, account: STERLING, currency: 'GBP', opening: 0, entries },
		...{ openingOn: addDays(at.today, -DAYS - 1), closingOn: at.today }
	};
	const read = await readBankFile(
		'threads.xml',
		Readable.from([...camtXml([statement], 'B')].map(Buffer.from))
	);
	if (!read.ok) throw new Error('the bench file was refused');
	await must(books, importBankFile, read.value);
	const money = await books.db.select({ id: receipt.id }).from(receipt).orderBy(asc(receipt.id));
	for (const [i, own] of groups.entries())
		await must(books, allocateReceipt, {
			...{ receiptId: money[i]!.id, receiptVersion: 1, customerId: 1 },
			lines: own.map((item) => ({ itemId: item.id, version: item.version, cash: item.open, differences: [] }))
		});
	const viewer = { who: at.who, today: at.today };
	const middle = (times: number[]) => times.sort((a, b) => a - b)[Math.floor(times.length / 2)]!.toFixed(1);
	for (const days of [60, 365, 3_650]) {
		const input = { code: 'C1', from: addDays(at.today, -days), ghosts: false };
		const [looks, lays]: [number[], number[]] = [[], []];
		let shown = 0;
		for (let n = 0; n < 5; n++) {
			const from = performance.now();
			const found = (await lookAtThreads(books.db, input, viewer))!;
			looks.push(performance.now() - from);
			const laying = performance.now();
			shown = layThreads(
				found.sources.map(({ key, amount }) => ({ key, amount })),
				found.items.map(({ id, total }) => ({ key: String(id), amount: total })),
				found.links.map(({ id, source, itemId, amount }) => ({
					...{ id, from: source, to: String(itemId), amount, ghost: false }
				})),
				1_400
			).ribbons.length;
			lays.push(performance.now() - laying);
		}
		say(
			`threads, 2,000 settled items, ${days} days, ${shown} ribbons: look / layout, ms`,
			`${middle(looks)} / ${middle(lays)}`
		);
	}
	await books.close();
	await inBrowser(folder, async (page, base) => {
		for (const days of [60, 3_650]) {
			const times: number[] = [];
			for (let n = 0; n < 5; n++) {
				await page.goto(`${base}/customers/C1/threads?from=${addDays(at.today, -days)}`, {
					waitUntil: 'load'
				});
				times.push(
					await page.evaluate(() => {
						const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
						return entry!.loadEventStart - entry!.startTime;
					})
				);
			}
			say(`the same in Chromium, ${days} days: full render, ms`, middle(times));
		}
	});
}
