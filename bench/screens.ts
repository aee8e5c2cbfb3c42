import { existsSync } from 'node:fs';
import { bookOf } from './books';
import { givePast } from './give-past';
import { inBrowser } from './in-browser';

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

/** Payments in two years before. */
const PAST = 5_000;

/** First byte and full render of each screen with 100,000 open items, in Chromium against the built server. */
export async function screens(say: (what: string, figure: string) => void): Promise<void> {
	if (!existsSync('/usr/bin/chromium')) return say('screens: Chromium is missing, not measured', '–');
	const { books, folder } = await bookOf(10_000, 100_000);
	await givePast(books, 10_000, PAST);
	await books.close();
	await inBrowser(folder, async (page, base) => {
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
	});
}
