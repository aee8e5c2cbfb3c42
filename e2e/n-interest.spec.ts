import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { complaints, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// Interest is charged. Each goes on from the one before.
test.describe.configure({ mode: 'serial' });

async function interest(page: Page): Promise<void> {
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Letters' }).click();
	await page.waitForURL((url) => url.pathname === '/letters');
	await page
		.getByRole('navigation', { name: 'Kinds of letters' })
		.getByRole('link', { name: 'Interest', exact: true })
		.click();
	await page.waitForURL('**/letters/interest');
	await page.waitForLoadState('networkidle');
}

/** What a headline says of money, in pennies. */
const pennies = (text: string) => Number(/£([\d,]+\.\d\d)/.exec(text)![1]!.replace(/[,.]/g, ''));

test('the terms are set, a mistake is told at its field, and the sheet goes by them', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await interest(page);
	await expectAccessible(page);
	const before = pennies(await page.getByRole('heading', { level: 1 }).innerText());
	await page.getByRole('button', { name: 'Terms …' }).click();
	const dialog = page.getByRole('dialog', { name: 'Terms of interest' });
	await expectAccessible(page);
	await dialog.getByLabel('% a year').first().fill('much');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog.getByText('Give the rate in per cent.')).toBeVisible();
	await dialog.getByLabel('% a year').first().fill('4');
	await dialog.getByRole('button', { name: 'Take sum 3 off' }).click();
	await dialog.getByLabel('Above the reference rate, %').fill('4');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.getByText('4% above the reference rate')).toBeVisible();
	const after = pennies(await page.getByRole('heading', { level: 1 }).innerText());
	expect(after).toBeLessThan(before);
	expect(heard).toEqual([]);
});

test('the sheet is saved and printed, and comes to what stands above it', async ({ page }) => {
	await signIn(page);
	await interest(page);
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Save as a table' }).click()
	]);
	const [head, ...rows] = readFileSync(await file.path(), 'utf8')
		.replace('\ufeff', '')
		.trim()
		.split('\r\n');
	const [charged, currency] = [head!.split(',').indexOf('Charged'), head!.split(',').indexOf('Currency')];
	expect(charged).toBeGreaterThan(0);
	const sterling = rows.map((row) => row.split(',').slice(charged - currency - 1));
	const sum = sterling
		.filter((cells) => cells.at(-1) === 'GBP')
		.reduce((all, cells) => all + Math.round(Number(cells.at(-2)) * 100), 0);
	expect(sum).toBe(pennies(await page.getByRole('heading', { level: 1 }).innerText()));
	const print = await page.getByRole('link', { name: 'Print' }).getAttribute('href');
	const paper = await page.request.get(print!);
	expect([paper.status(), (await paper.body()).subarray(0, 5).toString()]).toEqual([200, '%PDF-']);
});

test('interest is charged, told in a letter, and taken back', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await interest(page);
	// Two of them: all others are left for another day.
	const boxes = page.getByRole('checkbox', { name: /^Charge / });
	const many = await boxes.count();
	expect(many).toBeGreaterThan(2);
	for (let n = 0; n < many; n++) await boxes.nth(n).setChecked(n < 2);
	const names = await page.locator('tbody tr').locator('a').allInnerTexts();
	await page.getByRole('button', { name: 'Charge 2 accounts' }).click();
	await page.waitForURL('**/letters/interest/charged/*');
	await expectAccessible(page);
	await expect(page.getByRole('link', { name: 'INT-1001' })).toBeVisible();
	await page.getByRole('button', { name: 'Send 2 letters' }).click();
	await page.waitForURL('**/letters/runs/*');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Interest notice');
	await page.getByRole('link', { name: names[0]! }).first().click();
	await page.waitForURL('**/letters/outbox/*');
	await expect(page.getByText(/of late-payment interest/).first()).toBeVisible();
	await interest(page);
	await expect(page.getByRole('link', { name: names[0]!, exact: true })).toHaveCount(0);
	await page.locator('a[href^="/letters/interest/charged/"]').click();
	await page.waitForURL('**/letters/interest/charged/*');
	await expect(page.getByRole('link', { name: 'written' })).toHaveCount(2);
	await page.getByRole('checkbox', { name: 'Choose INT-1001' }).check();
	await page.getByRole('button', { name: 'Take back 1 charge' }).click();
	await expect(page.getByRole('cell', { name: 'taken back', exact: true })).toHaveCount(1);
	await expect(page.getByText('Took back 1 charge')).toBeVisible();
	await interest(page);
	await expect(page.getByText('Charged before')).toBeVisible();
	expect(heard).toEqual([]);
});
