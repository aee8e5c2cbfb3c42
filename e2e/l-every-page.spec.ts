import { readdirSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { append } from '../src/lib/core/append';
import { complaints, open, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

/** What stands before signing in, or while books are set up: other tests go there. */
const ELSEWHERE = new Set(['first-start', 'set-password', 'setting-up', 'sign-in', 'sign-in/second-step']);
/** What has a link only while something waits there, or in a dialog: found by name with Ctrl K. */
const BY_NAME = ['Usual lines', 'Unidentified receipts', 'Reported entries', 'Bring in a bank file'];
const SIZES = [
	{ width: 1024, height: 768 },
	{ width: 1280, height: 800 },
	{ width: 1600, height: 900 }
];

/** Pages that look otherwise by what is asked of them. */
const STATES = [
	...['/open-items?show=credits&item=1', '/open-items?show=part-paid', '/open-items/new?customer=5'],
	...['/letters?kind=reminder', '/money-in/advice?customer=5'],
	...[
		'/reports/receipts',
		'/reports/balances',
		'/reports/ageing?show=detail',
		'/reports/ageing?months=12&by=tag'
	]
];

/** The pages that there are, as patterns of their addresses. */
const shapes = readdirSync('src/routes', { recursive: true, encoding: 'utf8' })
	.filter((file) => file.endsWith('+page.svelte'))
	.map((file) => file.replace(/\/?\+page\.svelte$/, '').replace(/\/\([^)]+\)/, ''))
	.map((path) => ({ path, matches: new RegExp(`^/${path.replace(/\[[^\]]+\]/g, '[^/]+')}$`) }));
const shapeOf = (path: string) =>
	shapes
		.filter(({ matches }) => matches.test(path))
		.sort((one, other) => count(one.path) - count(other.path))[0]?.path;
const count = (path: string) => path.split('[').length;

/** Where the menu of the person leads, and what is found by name. */
async function* firstAddresses(page: Page): AsyncGenerator<string> {
	await open(page, '/');
	await page.getByRole('button', { name: 'Hollis Greaves' }).click();
	const items = page.getByRole('menuitem');
	await expect(items.first()).toBeVisible();
	for (const item of await items.all()) {
		const href = await item.getAttribute('href');
		if (href) yield href;
	}
	await page.keyboard.press('Escape');
	for (const name of BY_NAME) {
		await open(page, '/');
		await page.keyboard.press('Control+k');
		await page.getByRole('combobox', { name: /^Find a number/ }).fill(name);
		await expect(page.getByRole('option', { name }).first()).toBeVisible();
		await page.keyboard.press('Enter');
		await page.waitForURL((url) => url.pathname !== '/');
		yield new URL(page.url()).pathname;
	}
}

/** Goes from link to link, from Today on. @yields each page once it stands, with its address */
async function* everyPage(page: Page): AsyncGenerator<{ readonly shape: string; readonly address: string }> {
	const waiting = ['/'];
	for await (const address of firstAddresses(page)) waiting.push(address);
	const seen = new Set<string>();
	const known = new Set(waiting);
	while (waiting.length > 0) {
		const address = waiting.shift()!;
		const shape = shapeOf(new URL(address, 'http://odd-penny.example').pathname);
		if (shape === undefined || seen.has(shape)) continue;
		seen.add(shape);
		await open(page, address);
		yield { shape, address };
		const links = await page
			.locator('a[href^="/"]:not([download]):not([target])')
			.evaluateAll((found) => found.map((link) => link.getAttribute('href')!));
		for (const link of links)
			if (!known.has(link) && !/^\/(api|sign-out)/.test(link)) {
				known.add(link);
				waiting.push(link);
			}
	}
}

/** What reaches out of the window, or is cut off without anything that would show the rest. */
const tooWide = () => {
	const width = document.documentElement.clientWidth;
	const found =
		document.documentElement.scrollWidth > width
			? [`the page is ${document.documentElement.scrollWidth} wide in ${width}`]
			: [];
	for (const one of document.querySelectorAll('button, .btn, h1, h2, th, label')) {
		const box = one.getBoundingClientRect();
		const text = one.textContent.trim().replace(/\s+/g, ' ');
		const scrolls = one.closest('.overflow-x-auto, .overflow-auto');
		if (box.width > 1 && box.right > width + 1 && !scrolls) found.push(`“${text}” ends at ${box.right}`);
		if (one.matches('button, .btn') && text.length < 30 && box.height > 48 && !one.querySelector('*'))
			found.push(`“${text}” is broken into lines`);
	}
	return found;
};

/** What people with other eyes or hands could not use, in the dark theme its colours alone: the rest is the same. */
async function inBothThemes(page: Page, address: string): Promise<string[]> {
	await page.emulateMedia({ colorScheme: 'dark' });
	const dark = await violations(page, `${address}, dark`, ['color-contrast']);
	await page.emulateMedia({ colorScheme: 'light' });
	return [...dark, ...(await violations(page, `${address}, light`))];
}

/** Interest of one account is charged, so that there is a page about it. */
async function chargeInterest(page: Page): Promise<void> {
	await open(page, '/letters/interest');
	const boxes = page.getByRole('checkbox', { name: /^Charge / });
	for (let n = (await boxes.count()) - 1; n >= 0; n--) await boxes.nth(n).setChecked(n === 0);
	await page.getByRole('button', { name: 'Charge 1 account' }).click();
	await page.waitForURL('**/letters/interest/charged/*');
}

test('every page is reached by links, fits each window, and can be used by all in both themes', async ({
	page
}) => {
	test.setTimeout(900_000);
	const heard = complaints(page);
	await open(page, '/sign-in');
	const faults: string[] = await inBothThemes(page, '/sign-in');
	await signIn(page, 'supervisor');
	await chargeInterest(page);
	const reached = new Set<string>();
	for await (const { shape, address } of everyPage(page)) {
		reached.add(shape);
		for (const size of SIZES) {
			await page.setViewportSize(size);
			for (const fault of await page.evaluate(tooWide)) faults.push(`${address} at ${size.width}: ${fault}`);
		}
		append(faults, await inBothThemes(page, address));
	}
	for (const address of STATES) {
		await open(page, address);
		append(faults, await inBothThemes(page, address));
	}
	expect(faults).toEqual([]);
	expect(heard).toEqual([]);
	const all = shapes.map(({ path }) => path).filter((path) => !ELSEWHERE.has(path));
	expect(all.filter((path) => !reached.has(path))).toEqual([]);
});
