import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { complaints, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

const station = (page: Page, name: string) =>
	page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name, exact: true });

async function openAgeing(page: Page): Promise<void> {
	await station(page, 'Reports').click();
	await page.waitForURL('**/reports');
	await page.getByRole('link', { name: 'Ageing', exact: true }).click();
	await page.waitForURL('**/reports/ageing');
	await page.waitForLoadState('networkidle');
}

/** An amount as it is shown, in pence. */
const pence = (text: string) => Number(text.replace(/[^\d−]/g, '').replace('−', '-'));

test('the ageing of a day past opens what is in a figure, to the penny, and says what is wrong with what is typed', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await openAgeing(page);
	await page.getByLabel('As of').fill('30/9');
	await page.getByLabel('As of').press('Enter');
	await page.waitForURL(/as-of=2026-09-30/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('open at the end of 30 Sep 2026');
	await page.getByLabel('Buckets end after').fill('30, 20');
	await page.getByLabel('Buckets end after').press('Enter');
	await expect(page.getByRole('alert')).toContainText('each later than the one before');
	await expect(page.getByLabel('Buckets end after')).toHaveValue('30, 20');
	await page.getByLabel('Buckets end after').fill('45');
	await page.getByLabel('Buckets end after').press('Enter');
	await expect(page.getByRole('columnheader', { name: 'Over 45 days' })).toBeVisible();
	const row = page.locator('tbody tr').first();
	const figure = row
		.getByRole('link')
		.filter({ hasText: /\.\d\d$/ })
		.first();
	const asked = (await figure.textContent())!;
	await figure.click();
	await page.waitForURL(/show=detail/);
	await expect(page.locator('tfoot td.num').last()).toHaveText(asked);
	const items = page.locator('tbody tr');
	const opens: number[] = [];
	for (const item of await items.all())
		opens.push(pence((await item.locator('td.num').last().textContent())!));
	expect(opens.reduce((sum, one) => sum + one, 0)).toBe(pence(asked));
	await page.locator('tbody tr').first().getByRole('link').nth(2).click();
	await page.waitForURL(/\/customers\/[^?]+\?item=/);
	expect(heard).toEqual([]);
});

test('a report leaves as workbook, table and paper, as it was asked; twelve months lead to their days', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page, 'reader');
	await openAgeing(page);
	await page
		.getByRole('combobox', { name: 'In', exact: true })
		.selectOption('base currency, at the rate of that day');
	await page.waitForURL(/money=base/);
	await page.getByRole('link', { name: 'Twelve months' }).click();
	await page.waitForURL(/months=12/);
	const months = page.getByRole('region', { name: 'Twelve months' });
	await expect(months.locator('tbody tr')).toHaveCount(12);
	await expectAccessible(page);
	await months.getByRole('link', { name: '31 Aug 2026' }).click();
	await page.waitForURL(/as-of=2026-08-31/);
	await expect(page.getByRole('heading', { level: 1 })).toContainText('31 Aug 2026');
	const saved = async (format: string) => {
		const [file] = await Promise.all([
			page.waitForEvent('download'),
			page.getByRole('link', { name: format, exact: true }).click()
		]);
		return { name: file.suggestedFilename(), bytes: readFileSync(await file.path()) };
	};
	const csv = await saved('CSV');
	expect(csv.name).toBe('ageing-2026-08-31.csv');
	expect(csv.bytes.toString().split('\r\n')[0]).toContain('Account,Customer,Currency,Not due,1–30 days');
	const xlsx = await saved('XLSX');
	expect(xlsx.name).toBe('ageing-2026-08-31.xlsx');
	expect(xlsx.bytes.subarray(0, 2).toString()).toBe('PK');
	const href = await page.getByRole('link', { name: 'PDF', exact: true }).getAttribute('href');
	const pdf = await page.request.get(href!);
	expect(pdf.headers()['content-type']).toBe('application/pdf');
	expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
	// A reader reminds nobody.
	await expect(page.getByRole('link', { name: 'Remind' })).toHaveCount(0);
	expect(heard).toEqual([]);
});

test('who is late is reminded from the ageing; other reports are found by name', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await openAgeing(page);
	await page.getByRole('link', { name: 'Remind' }).first().click();
	await page.waitForURL(/\/letters\/write\?kind=reminder/);
	for (const [name, path, says] of [
		['Balances', '/reports/balances', 'due from'],
		['Receipts of a period', '/reports/receipts', 'came in'],
		['Unallocated money', '/reports/unallocated', 'had settled nothing']
	] as const) {
		await page.keyboard.press('Control+k');
		await page.getByRole('combobox', { name: /^Find a number/ }).fill(name);
		await page.getByRole('option', { name }).first().click();
		await page.waitForURL(`**${path}`);
		await expect(page.getByRole('heading', { level: 1 })).toContainText(says);
		await expectAccessible(page);
	}
	expect(heard).toEqual([]);
});

test('a supervisor sets the buckets, seen as they are typed, and the ageing has them', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await page.getByRole('button', { name: 'Hollis Greaves' }).click();
	await page.getByRole('menuitem', { name: 'Settings' }).click();
	await page.waitForURL('**/books/settings');
	await page.waitForLoadState('networkidle');
	const field = page.getByLabel('Buckets end after so many days');
	await field.fill('28, 14');
	await expect(page.getByText('each later than the one before')).toBeVisible();
	await field.fill('14, 28');
	await expect(page.getByText('Not due · 1–14 days · 15–28 days · Over 28 days')).toBeVisible();
	await page.getByRole('button', { name: 'Keep the buckets' }).click();
	await expect(page.getByText('Kept: screens, reports and letters are aged so.')).toBeVisible();
	await openAgeing(page);
	await expect(page.getByRole('columnheader', { name: 'Over 28 days' })).toBeVisible();
	expect(heard).toEqual([]);
});
