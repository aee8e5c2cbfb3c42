import { expect, test } from '@playwright/test';
import { complaints, open, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

const THREADS = '/customers/Q1111/threads';

test('a ribbon is picked by keyboard, says who and when, and leads to putting it right', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, THREADS);
	expect(await violations(page, 'threads')).toEqual([]);
	const ribbons = await page.locator('[data-ribbon]').count();
	expect(ribbons).toBeGreaterThan(3);
	await page.locator('[data-ribbon]').last().focus();
	await page.keyboard.press('ArrowUp');
	await page.keyboard.press('Enter');
	await expect(page.locator('aside')).toContainText('Allocated by Wren Tolliver');
	await page.getByRole('link', { name: 'Move it, or part of it' }).click();
	await page.waitForURL('**/money-in/reallocate/*');
	await expect(page.getByText('Reallocating:')).toBeVisible();
	expect(await violations(page, 'putting right')).toEqual([]);
	// All of it comes off by the key, and lies on account.
	await page.locator('h2').first().click();
	await page.keyboard.press('o');
	await expect(page.locator('footer')).toContainText('account');
	await page.getByRole('button', { name: /^Reallocate/ }).click();
	await page.waitForURL('**/books/journal?act=*');
	await expect(page.locator('tbody').first()).toContainText('Allocated');
	await expect(page.locator('tbody', { hasText: 'Undid' })).toBeVisible();
	await open(page, THREADS);
	await expect(page.locator('[data-ribbon]')).toHaveCount(ribbons - 1);
	await open(page, `${THREADS}?off=shown`);
	await expect(page.locator('[data-ribbon]')).toHaveCount(ribbons);
	await open(page, `${THREADS}?off=shown&as=table`);
	await expect(page.locator('tbody tr')).toHaveCount(ribbons);
	expect(await violations(page, 'threads as a table')).toEqual([]);
	expect(heard).toEqual([]);
});

test('a document is written by hand and stands on the account, with its PDF', async ({ page }) => {
	await signIn(page);
	await open(page, '/open-items/new');
	const finder = page.getByRole('combobox', { name: /^Customer/ });
	await finder.fill('Hazel Hill Pottery');
	await page.getByRole('option').first().waitFor();
	await page.keyboard.press('Enter');
	await page.waitForURL(/customer=\d+/);
	await page.getByLabel('What line 1 is for').fill('kiln shelves');
	await page.getByLabel('Net amount of line 1').fill('100+20.50');
	await page.keyboard.press('Enter');
	await page.getByLabel('What line 2 is for').fill('carriage');
	await page.getByLabel('Net amount of line 2').fill('ten');
	await expect(page.getByText('Line 2: “ten” is not an amount.')).toBeVisible();
	await page.getByLabel('Net amount of line 2').fill('10');
	await page.getByRole('button', { name: /^Issue AK-.*£156\.60/ }).click();
	await page.waitForURL(/\/customers\/H1005\?item=/);
	await expect(page.locator('aside')).toContainText('kiln shelves');
	const pdf = await page.request.get(
		(await page.getByRole('link', { name: 'Its PDF' }).getAttribute('href'))!
	);
	expect([pdf.status(), pdf.headers()['content-type']]).toEqual([200, 'application/pdf']);
});

test('an advice is kept, and documents of other systems are brought in, after a look', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in/advice?customer=5');
	await page.getByLabel('The advice', { exact: true }).fill('AK-1 100.00\nAK-2 50.00 breakage');
	await expect(page.getByText('The advice comes to £150.00.')).toBeVisible();
	await page.getByRole('button', { name: /^Keep it: £150\.00/ }).click();
	await expect(page.getByText('0 of 2 as they stand')).toBeVisible();
	await page.getByRole('button', { name: 'Remove the advice of Hazel Hill Pottery' }).click();
	await expect(page.getByText('0 of 2 as they stand')).toHaveCount(0);
	await open(page, '/open-items/bring-in');
	await page.setInputFiles('input[type=file]', [
		'data/e2e/fresh/todays-documents/documents-2026-10-30.csv',
		'data/e2e/fresh/todays-documents/AK-70004.xml'
	]);
	await page.getByRole('button', { name: 'Show what would happen' }).click();
	await expect(page.getByText('4 documents would be added')).toBeVisible();
	await page.getByRole('button', { name: 'Add 4 documents' }).click();
	await expect(page.getByText('Added 4 documents')).toBeVisible();
});

test('rates are typed and brought in; a day that has one keeps it', async ({ page }) => {
	await signIn(page);
	await open(page, '/books/rates');
	await page.getByLabel('or rows pasted here').fill('date,USD,GBP\n2026-10-29,1.08,0.824253\n');
	await page.getByRole('button', { name: 'Show what would happen' }).click();
	await expect(page.getByText('1 rate would be added, 1 are there already.')).toBeVisible();
	await page.getByRole('button', { name: 'Add 1 rate' }).click();
	await expect(page.getByRole('columnheader', { name: 'USD' })).toBeVisible();
	await page.getByLabel('Day', { exact: true }).fill('2026-10-30');
	await page.getByLabel('One', { exact: true }).fill('EUR');
	await page.getByLabel(/^is worth/).fill('0.9');
	await page.getByRole('button', { name: 'Add it' }).click();
	await expect(page.getByText('There is a EUR rate for that day already')).toBeVisible();
});

test('how a customer pays is seen on the account, and forgotten', async ({ page }) => {
	await signIn(page);
	await open(page, '/customers/A1011');
	const habit = page.getByText(/^Pays the oldest first: every time there was a choice/);
	await expect(habit).toBeVisible();
	await page.getByRole('button', { name: 'Forget that they pay the oldest first' }).focus();
	await page.keyboard.press('Enter');
	await expect(page.getByText('Forgotten: the oldest first.')).toBeVisible();
	await expect(habit).toHaveCount(0);
});
