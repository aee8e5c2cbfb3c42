import { expect, test } from '@playwright/test';
import { complaints, open, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

test('payments are recorded by hand, row after row without the mouse', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/money-in/manual-receipts');
	const typed = await page.getByRole('button', { name: /^Delete the row of/ }).count();
	await page.getByLabel('Customer').focus();
	for (const [who, reference, sum] of [
		['heron quay', '100501', '40+2.50'],
		['wicker', '100502', '17']
	] as const) {
		await page.keyboard.type(who);
		await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
		await page.keyboard.press('Enter');
		await page.keyboard.press('Tab');
		await page.keyboard.press('Tab');
		await page.keyboard.type(reference);
		await page.keyboard.press('Tab');
		await page.keyboard.type(sum);
		await page.keyboard.press('Enter');
		await expect(page.getByText(reference)).toBeVisible();
	}
	await expect(page.getByRole('button', { name: /^Delete the row of/ })).toHaveCount(typed + 2);
	await page.getByRole('button', { name: /^Post \d+ receipts/ }).click();
	await expect(page.getByRole('heading', { name: 'To be paid in' })).toBeVisible();
	await page.getByLabel('Put all on the slip').check();
	await page.getByRole('button', { name: /^Make a paying-in slip of 3/ }).click();
	await expect(page.getByRole('heading', { name: 'Paying-in slip 2' })).toBeVisible();
	expect(heard).toEqual([]);
});

test('a credit note settles an invoice with no money at all, and is taken back', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const credits = page.locator('a[href^="/money-in?credits="]');
	expect(await credits.count()).toBeGreaterThan(3);
	await credits.first().click();
	await page.waitForURL(/credits=/);
	await expect(page.getByText('allocated without new money')).toBeVisible();
	await page.keyboard.press('f');
	await expect(page.locator('footer')).toContainText(/[Uu]ses|[Ll]eaves|Take another/);
});
