import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { open, pick, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('a list is sorted by its headings, in the address, and Back undoes it', async ({ page }) => {
	await signIn(page);
	await page.getByRole('link', { name: 'Open items', exact: true }).click();
	await page.waitForURL('**/open-items');
	const heading = page.getByRole('columnheader', { name: 'Open' });
	const opens = async () =>
		(await page.locator('tbody tr td:last-child').allTextContents()).map((text) =>
			Number(text.replace(/[^\d.−]/g, '').replace('−', '-'))
		);
	await heading.getByRole('link').click();
	await page.waitForURL(/sort=open/);
	await expect(heading).toHaveAttribute('aria-sort', 'ascending');
	expect((await opens())[0]!).toBeLessThan(0);
	await heading.getByRole('link').click();
	await page.waitForURL(/sort=-open/);
	await expect(heading).toHaveAttribute('aria-sort', 'descending');
	const down = (await opens()).slice(0, 50);
	expect(down).toEqual([...down].sort((a, b) => b - a));
	await page.goBack();
	await expect(heading).toHaveAttribute('aria-sort', 'ascending');
});

test('columns are left out and stay so; what is shown is copied; all of it is saved', async ({
	page,
	context
}) => {
	await context.grantPermissions(['clipboard-read', 'clipboard-write']);
	await signIn(page);
	await open(page, '/customers?sort=name');
	await page.getByRole('button', { name: 'Columns' }).focus();
	await page.keyboard.press('Enter');
	const choice = page.getByRole('menuitemcheckbox', { name: 'Open items' });
	await expect(choice).toBeChecked();
	expect(await violations(page, 'the choice of columns')).toEqual([]);
	await choice.focus();
	await page.keyboard.press('Enter');
	await page.keyboard.press('Escape');
	await expect(page.getByRole('columnheader', { name: 'Open items' })).toHaveCount(0);
	await page.reload();
	await page.waitForLoadState('networkidle');
	await expect(page.getByRole('columnheader', { name: 'Open items' })).toHaveCount(0);
	await page.getByRole('button', { name: 'Copy' }).click();
	await expect(page.getByText(/140 rows are copied/)).toBeVisible();
	const copied = (await page.evaluate(() => navigator.clipboard.readText())).split('\n');
	expect(copied[0]).toBe('Code\tName\tOverdue, GBP\tOwed, GBP');
	expect(copied).toHaveLength(141);
	expect(copied.slice(1).every((line) => /\t-?\d+\.\d\d$/.test(line))).toBe(true);
	const [file] = await Promise.all([
		page.waitForEvent('download'),
		page.getByRole('link', { name: 'Save as CSV' }).click()
	]);
	const rows = readFileSync(await file.path(), 'utf8')
		.trim()
		.split('\r\n');
	expect(file.suggestedFilename()).toBe('customers.csv');
	expect(rows).toHaveLength(141);
	expect(rows[0]).toBe('Code,Name,E-mail,Open items,"Overdue, GBP","Owed, GBP"');
});

test('the menu opens by key, tells who one is, and leads where it says', async ({ page }) => {
	await signIn(page, 'supervisor');
	await page.getByRole('button', { name: 'Hollis Greaves' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Signed in as supervisor.')).toBeVisible();
	expect(await violations(page, 'the menu')).toEqual([]);
	await page.keyboard.press('s');
	await expect(page.getByRole('menuitem', { name: 'Settings' })).toBeFocused();
	await page.keyboard.press('Escape');
	await expect(page.getByRole('menu')).toHaveCount(0);
	await expect(page.getByRole('button', { name: 'Hollis Greaves' })).toBeFocused();
	await page.keyboard.press('Enter');
	await page.keyboard.press('s');
	await page.keyboard.press('Enter');
	await page.waitForURL('**/books/settings');
});

test('a customer is found as one types; Escape leaves the list and keeps what was typed', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in/manual-receipts');
	const field = page.getByRole('combobox', { name: 'Customer' });
	await field.fill('hazel');
	await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
	await expect(field).toHaveAttribute('aria-expanded', 'true');
	expect(await violations(page, 'the list of customers')).toEqual([]);
	await page.keyboard.press('Escape');
	await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(0);
	await expect(field).toHaveValue('hazel');
	await field.pressSequentially(' hill p');
	const first = page.getByRole('listbox').getByRole('option').first();
	await expect(first).toContainText('Hazel Hill P');
	await expect(first).toHaveAttribute('data-highlighted', '');
	const name = (await first.locator('span').first().textContent())!;
	await page.keyboard.press('Tab');
	await expect(field).toHaveValue(name);
	await expect(page.getByLabel('Date')).toBeFocused();
});

test('the keys of the desk and their help are one list', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	await page.keyboard.press('?');
	const help = page.getByRole('dialog');
	await expect(help).toContainText('name the odd penny, missing or left over');
	await expect(help).toContainText('undo the last posting');
	await page.keyboard.press('Escape');
	await expect(help).toHaveCount(0);
	const chosen = page.locator('[data-receipt][aria-current="true"]');
	const before = await chosen.getAttribute('data-receipt');
	await page.keyboard.press('j');
	await expect(chosen).not.toHaveAttribute('data-receipt', before!);
});

test('what is wrong stands at its field, for screen readers too', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in/manual-receipts');
	const field = page.getByLabel('Date');
	await page.getByRole('combobox', { name: 'Customer' }).fill('hazel hill pottery');
	await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
	await page.keyboard.press('Enter');
	await field.fill('31/13');
	await page.getByRole('button', { name: /^Keep/ }).click();
	await expect(field).toHaveAttribute('aria-invalid', 'true');
	const described = (await field.getAttribute('aria-describedby'))!;
	await expect(page.locator(`#${described}`)).toContainText('“31/13” is not a date');
	await expect(field).toHaveValue('31/13');
});

test('a firm that writes a comma before pennies reads, types and gets letters so, by its own clock', async ({
	page
}) => {
	await signIn(page, 'supervisor');
	await open(page, '/books/settings');
	await page.getByLabel('Numbers are written as in').selectOption({ label: 'Germany: 12.345,50' });
	await page.getByLabel('The clock is that of').selectOption('Pacific/Auckland');
	await page.getByRole('button', { name: 'Keep them' }).click();
	await expect(page.getByText('Saved: numbers and times are shown so.')).toBeVisible();
	await open(page, '/open-items');
	await expect(page.locator('h1')).toContainText(/£\d{3}\.\d{3},\d\d/);
	await open(page, '/letters');
	await expect(page.getByRole('region', { name: /^The letter to/ })).toContainText(/£[\d.]+,\d\d/);
	await open(page, '/money-in');
	await pick(page, 'on account please');
	await page.keyboard.press(' ');
	const field = page.locator('input.amount-field').first();
	await field.fill('100,5+20.50');
	await expect(page.locator('footer')).toContainText('leaves £129,00 on account');
	await open(page, '/books/record');
	await expect(page.locator('tbody tr').first()).toContainText('Numbers are written as in Germany');
});
