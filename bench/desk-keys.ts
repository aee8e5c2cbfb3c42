import { existsSync } from 'node:fs';
import { camtXml } from '../src/demo/camt-xml';
import { STERLING } from '../src/demo/firm';
import { importBankFile } from '../src/lib/server/receipts/commands/import-bank-file';
import { readBankFile } from '../src/lib/server/receipts/store/read-bank-file';
import { bookOf, must } from './books';
import { givePast } from './give-past';
import { inBrowser } from './in-browser';

const RECEIPTS = 2_000;
const ITEMS = 5_000;
const TIMES = 15;
/** Payments of the account in two years before. */
const PAST = 1_500;
/** So many milliseconds until all receipts are answered. */
const ANSWERED = 180_000;
const KEYS = [
	['ArrowDown', 'the next item'],
	[' ', 'take an item, or leave it'],
	['f', 'oldest first'],
	['2', 'name the odd penny'],
	['j', 'the next receipt']
] as const;

/** How soon Money in answers a key, to the frame that shows it: a long pile, and one account with very many open items. */
export async function deskKeys(say: (what: string, figure: string) => void): Promise<void> {
	if (!existsSync('/usr/bin/chromium')) return say('keys: Chromium is missing, not measured', '–');
	const { books, folder } = await bookOf(1, ITEMS);
	await givePast(books, 1, PAST);
	const entries = Array.from({ length: RECEIPTS }, (_, i) => ({
		amount: 100_003 + i * 7,
		booked: '2026-10-29',
		reference: `R${i}`,
		details: [{ amount: 100_003 + i * 7, name: 'PAYER', account: 'ACC1', text: 'PAYMENT' }]
	}));
	const statement = {
		...{ reference: 'S1', sequence: 1, account: STERLING, currency: 'GBP', opening: 0 },
		...{ openingOn: '2026-10-28', closingOn: '2026-10-29', entries }
	};
	const read = await readBankFile('keys.xml', [Buffer.from([...camtXml([statement], 'M')].join(''))]);
	if (!read.ok) throw new Error(JSON.stringify(read.problems));
	await must(books, importBankFile, read.value);
	await books.close();
	await inBrowser(folder, async (page, base) => {
		// The page asks for answers until they are there: only then is it the page that a clerk works on.
		await page.goto(`${base}/money-in?receipt=20`, { waitUntil: 'load' });
		await page.waitForLoadState('networkidle', { timeout: ANSWERED });
		for (const [key, what] of KEYS) {
			const times: number[] = [];
			for (let n = 0; n < TIMES; n++) {
				times.push(
					await page.evaluate(async (pressed) => {
						const selected = () =>
							document.querySelector('[data-receipt][aria-current]')?.getAttribute('data-receipt');
						const before = selected();
						const from = performance.now();
						document.body.dispatchEvent(new KeyboardEvent('keydown', { key: pressed, bubbles: true }));
						const frame = () => new Promise((resolve) => requestAnimationFrame(() => setTimeout(resolve, 0)));
						do await frame();
						while (pressed === 'j' && selected() === before && performance.now() - from < 5000);
						return performance.now() - from;
					}, key)
				);
				await page.waitForTimeout(250);
			}
			times.sort((a, b) => a - b);
			say(
				`Money in, ${RECEIPTS} in the pile, ${ITEMS} open items: ${what}, middle / worst of ${TIMES}, ms`,
				`${times[Math.floor(TIMES / 2)]!.toFixed(0)} / ${times.at(-1)!.toFixed(0)}`
			);
		}
	});
}
