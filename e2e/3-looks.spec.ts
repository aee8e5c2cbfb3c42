import { expect, test } from '@playwright/test';
import { open, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('list states are in the address: Back and links work', async ({ page }) => {
	await signIn(page);
	await open(page, '/open-items');
	await page.getByRole('link', { name: /^Overdue \d/ }).click();
	await page.waitForURL(/show=late/);
	await page.locator('tbody tr a').first().click();
	await page.waitForURL(/item=/);
	await expect(page.locator('aside h2')).toContainText('A');
	await page.goBack();
	await expect(page.locator('aside h2')).toHaveCount(0);
	await page.getByRole('searchbox', { name: /^Filter by number/ }).fill('AK-43');
	await page.keyboard.press('Enter');
	await page.waitForURL(/q=AK-43/);
	await expect(page.locator('tbody tr').first()).toContainText('AK-43');
});

test('Ctrl K finds documents, customers, money and pages, by the keyboard alone', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const waiting = await page.locator('[data-receipt]').count();
	await page.keyboard.press('Control+k');
	const field = page.getByRole('combobox', { name: /^Find a number/ });
	await field.fill('Hazel');
	await expect(
		page
			.getByRole('listbox')
			.getByRole('option', { name: /Hazel Hill Pottery/ })
			.first()
	).toBeVisible();
	expect(await violations(page, 'the search')).toEqual([]);
	await field.fill('AK-400');
	await expect(page.getByRole('listbox').getByRole('option').first()).toContainText('AK-400');
	await field.fill('outb');
	await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(1);
	await page.keyboard.press('Enter');
	await page.waitForURL('**/letters/outbox');
	await page.keyboard.press('Control+k');
	await field.fill('no such thing at all');
	await expect(page.getByText('Nothing in the books has')).toBeVisible();
	await page.keyboard.press('Escape');
	await open(page, '/money-in');
	expect(await page.locator('[data-receipt]').count()).toBe(waiting);
});

test('what is not there is said plainly', async ({ page }) => {
	await signIn(page);
	expect((await page.goto('/customers/NOBODY'))!.status()).toBe(404);
	await expect(page.getByText('There is no account NOBODY.')).toBeVisible();
	expect((await page.goto('/money-in?receipt=999999'))!.status()).toBe(404);
	await expect(page.getByText('There is no such receipt.')).toBeVisible();
});
