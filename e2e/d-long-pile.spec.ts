import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { camtXml } from '../src/demo/camt-xml';
import { DEMO_TODAY, STERLING } from '../src/demo/firm';
import { complaints, expectAccessible, open, signIn, todaysFiles, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

const CERTAIN = 120;
const STRANGE = 260;
const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });

/** A statement that goes on where the books stand: payments of one customer that name their invoices, and some of strangers. */
function statement(): string {
	const today = readFileSync(todaysFiles[0]!, 'utf8');
	const opening = Number(/OPBD.*?<Amt Ccy="GBP">(\d+)\.(\d\d)/.exec(today)!.slice(1).join(''));
	const entry = (n: number, amount: number, name: string, text: string) => ({
		...{ amount, booked: '2026-10-29' as const, reference: `LONG${n}` },
		details: [{ amount, name, account: null, text }]
	});
	const entries = [
		...Array.from({ length: CERTAIN }, (_, i) =>
			entry(i, 10_001 + i, 'HOLLOW LANE POTTERY', `LP-${5000 + i}`)
		),
		...Array.from({ length: STRANGE }, (_, i) => entry(CERTAIN + i, 777_000 + i, `STRANGER ${i}`, 'thanks'))
	];
	const made = {
		...{ reference: 'LONG', sequence: 901, account: STERLING, currency: 'GBP', opening },
		...{ openingOn: DEMO_TODAY, closingOn: DEMO_TODAY, entries }
	};
	return [...camtXml([made], 'LONG')].join('');
}

async function bringIn(page: Page, what: 'customers' | 'documents', name: string, text: string) {
	await page.goto('/');
	await page.getByRole('navigation').getByRole('link', { name: 'Open items' }).click();
	await page.getByRole('link', { name: 'Bring in invoices or customers' }).click();
	await page.waitForLoadState('networkidle');
	if (what === 'customers') await page.getByRole('radio', { name: 'customers' }).check();
	await page.setInputFiles('input[type=file]', file(name, text));
	await page.getByRole('button', { name: 'Show what would happen' }).click();
	await page.getByRole('button', { name: /^Add \d+/ }).click();
	await expect(page.getByText(/^Added \d+/)).toBeVisible();
}

const group = (page: Page, name: string) => page.getByRole('heading', { name }).first();

test('a long pile comes by pages, and one goes through it from any place', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await bringIn(page, 'customers', 'c.csv', 'code,name,currency\nLP1,Hollow Lane Pottery,GBP\n');
	const rows = Array.from(
		{ length: CERTAIN },
		(_, i) =>
			`LP-${5000 + i},invoice,LP1,2026-10-01,2026-10-31,GBP,${(10_001 + i) / 100},${(10_001 + i) / 100}`
	);
	const head = 'number,kind,customer_code,issue_date,due_date,currency,total,open';
	await bringIn(page, 'documents', 'd.csv', [head, ...rows].join('\n'));
	await page.getByRole('navigation').getByRole('link', { name: 'Money in' }).click();
	await page.waitForURL('**/money-in');
	await page.setInputFiles('input[type=file]', file('long.xml', statement()));
	await expect(group(page, 'No suggestion')).toContainText(/\b2[6-9]\d\b/, { timeout: 20_000 });
	await page.waitForLoadState('networkidle');
	// Of each group the first hundred are there.
	const strangers = page.locator('[data-receipt]', { hasText: 'STRANGER' });
	const few = await strangers.count();
	expect(few).toBeGreaterThan(50);
	expect(few).toBeLessThan(STRANGE);
	await page
		.getByText(/^\d+ receipts? more$/)
		.last()
		.scrollIntoViewIfNeeded();
	await expect.poll(() => strangers.count()).toBeGreaterThan(few);
	while ((await strangers.count()) < STRANGE)
		await page
			.getByText(/^\d+ receipts? more$/)
			.last()
			.scrollIntoViewIfNeeded()
			.catch(() => undefined);
	const last = strangers.last();
	const id = await last.getAttribute('data-receipt');
	// Its address, in a window where nobody has scrolled.
	const other = await page.context().newPage();
	await open(other, `/money-in?receipt=${id}`);
	const chosen = other.locator('[data-receipt][aria-current="true"]');
	await expect(chosen).toHaveAttribute('data-receipt', id!);
	await other.keyboard.press('k');
	await expect(chosen).toHaveAttribute('data-receipt', String(Number(id) - 1));
	await other.keyboard.press('j');
	await expect(chosen).toHaveAttribute('data-receipt', id!);
	await other.close();
	await expectAccessible(page);
	expect(heard).toEqual([]);
});

test('a click is never lost to a list that is loaded anew meanwhile', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const asked = page.locator('[data-receipt]', { hasText: 'STRANGER' }).nth(40);
	const id = await asked.getAttribute('data-receipt');
	await page.route(`**/money-in/__data.json?receipt=${id}*`, async (route) => {
		await new Promise((done) => setTimeout(done, 1_500));
		await route.continue();
	});
	await asked.click();
	await page
		.getByText(/^\d+ receipts? more$/)
		.last()
		.scrollIntoViewIfNeeded();
	await page.waitForURL(`**/money-in?receipt=${id}`);
	await expect
		.poll(() => page.locator('[data-receipt]', { hasText: 'STRANGER' }).count())
		.toBeGreaterThan(100);
});

test('what is certain is posted in stages, can be stopped in between, and is undone as one', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/money-in');
	const certain = async () => Number((await group(page, 'Certain').textContent())!.replace(/\D/g, ''));
	const before = await certain();
	expect(before).toBeGreaterThanOrEqual(CERTAIN);
	await page.keyboard.press('c');
	const dialog = page.getByRole('dialog', { name: 'Post what is certain' });
	await expect(dialog.getByRole('option')).toHaveCount(before);
	// The second stage is held up, so that somebody can look.
	let sent = 0;
	let goOn = () => {};
	const held = new Promise<void>((done) => (goOn = done));
	await page.route('**/money-in?/certain', async (route) => {
		if (++sent === 2) await held;
		await route.continue();
	});
	await dialog.getByRole('button', { name: `Post ${before} receipts` }).click();
	await expect(dialog.getByRole('status')).toHaveText(`50 of ${before}`);
	expect(await violations(page, 'posting in stages')).toEqual([]);
	await dialog.getByRole('button', { name: 'Stop here' }).click();
	goOn();
	await expect(
		page.getByText(`Posted 100 receipts. ${before - 100} receipts left as you stopped.`)
	).toBeVisible();
	await expect.poll(certain).toBe(before - 100);
	expect(sent).toBe(2);
	await page.getByRole('button', { name: 'Undo', exact: true }).click();
	await expect(page.getByText('Undone. It waits in the pile again.')).toBeVisible();
	await expect.poll(certain).toBe(before);
	expect(heard).toEqual([]);
});

test('who leaves the dialog stops it, and what stands in the way of a later stage is said', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	const certain = async () => Number((await group(page, 'Certain').textContent())!.replace(/\D/g, ''));
	const before = await certain();
	const dialog = page.getByRole('dialog', { name: 'Post what is certain' });
	let sent = 0;
	let goOn = () => {};
	const held = new Promise<void>((done) => (goOn = done));
	await page.route('**/money-in?/certain', async (route) => {
		if (++sent === 1) await held;
		if (sent === 3) await route.abort();
		else await route.continue();
	});
	// Two keys: the list has the focus, and Enter posts.
	await page.keyboard.press('c');
	await expect(dialog.getByRole('listbox')).toBeFocused();
	await expect(dialog.getByRole('option')).toHaveCount(before);
	await page.keyboard.press('Enter');
	await expect(dialog.getByRole('status')).toHaveText(`0 of ${before}`);
	await page.keyboard.press('Escape');
	goOn();
	await expect(
		page.getByText(`Posted 50 receipts. ${before - 50} receipts left as you stopped.`)
	).toBeVisible();
	await expect.poll(certain).toBe(before - 50);
	await page.keyboard.press('c');
	await dialog.getByRole('button', { name: `Post ${before - 50} receipts` }).click();
	await expect(
		page.getByText('Posted 50 receipts. Then it went no further: That did not work.')
	).toBeVisible();
	await expect.poll(certain).toBe(before - 100);
	await page.keyboard.press('u');
	await expect.poll(certain).toBe(before - 50);
	expect(sent).toBe(3);
});
