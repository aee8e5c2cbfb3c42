import { spawn } from 'node:child_process';
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { root } from '../src/lib/server/app';
import { bookOf } from './books';

const PORT = 4371;
const PATHS = [
	'/',
	'/money-in',
	'/open-items',
	'/open-items?q=AK-1234',
	'/customers',
	'/customers/C1',
	'/letters?kind=reminder',
	'/books/journal',
	'/books'
];

/** First byte and full render of each screen with 100,000 open items, in Chromium against the built server. */
export async function screens(say: (what: string, figure: string) => void): Promise<void> {
	if (!existsSync('/usr/bin/chromium')) return say('screens: Chromium is missing, not measured', '–');
	const { books, folder } = await bookOf(10_000, 100_000);
	await books.close();
	const server = spawn(process.execPath, [join(root(), 'build/tools/serve.js')], {
		env: {
			...process.env,
			DATA_DIR: folder,
			PORT: String(PORT),
			NODE_ENV: 'production',
			ODD_PENNY_ROOT: root()
		},
		stdio: 'ignore'
	});
	try {
		const base = `http://127.0.0.1:${PORT}`;
		for (let n = 0; n < 100; n++) {
			if (
				await fetch(`${base}/health`)
					.then((one) => one.ok)
					.catch(() => false)
			)
				break;
			await new Promise((resolve) => setTimeout(resolve, 200));
		}
		const { chromium } = await import('@playwright/test');
		const browser = await chromium.launch({
			executablePath: '/usr/bin/chromium',
			args: [
				'--no-sandbox',
				'--disable-gpu',
				'--disable-quic',
				'--no-first-run',
				'--disable-background-networking',
				'--disable-component-update',
				'--disable-sync'
			]
		});
		const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
		await page.goto(`${base}/sign-in`);
		await page.click('button[value=clerk]');
		await page.waitForURL(`${base}/`);
		for (const path of PATHS) {
			const runs: { first: number; full: number }[] = [];
			for (let n = 0; n < 3; n++) {
				await page.goto(`${base}${path}`, { waitUntil: 'load' });
				runs.push(
					await page.evaluate(() => {
						const [entry] = performance.getEntriesByType('navigation') as PerformanceNavigationTiming[];
						return {
							first: entry!.responseStart - entry!.requestStart,
							full: entry!.loadEventStart - entry!.startTime
						};
					})
				);
			}
			const middle = (pick: (run: (typeof runs)[number]) => number) =>
				runs
					.map(pick)
					.sort((a, b) => a - b)[1]!
					.toFixed(0);
			say(
				`100,000 items, ${path}: first byte / full render, ms`,
				`${middle((run) => run.first)} / ${middle((run) => run.full)}`
			);
		}
		await browser.close();
	} finally {
		server.kill('SIGINT');
	}
}
