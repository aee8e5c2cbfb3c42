import { expect, test } from '@playwright/test';
import { complaints, open, pick, postByKey, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('a debit of the bank is a payment that came back: marked, its notice sent, and taken back', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/money-in');
	const row = page.locator('[data-receipt]', { hasText: 'a returned payment' }).last();
	await row.click();
	await expect(page.getByText('Returned?')).toBeVisible();
	await page.getByRole('link', { name: 'It is this' }).first().click();
	await page.waitForURL('**/money-in/returned/*');
	await expect(page.locator('h1')).toContainText('was returned.');
	await expect(page.locator('footer')).toContainText('meets the bank’s entry.');
	expect(await violations(page, 'a payment that came back')).toEqual([]);
	// Too much is said at once, and the button waits.
	await page.getByLabel('Amount returned').fill('99,999');
	await expect(page.locator('footer')).toContainText('is more than can be returned');
	await expect(page.getByRole('button', { name: /^Mark as returned/ })).toBeDisabled();
	await page.reload();
	await page.getByLabel('The bank’s fee', { exact: true }).focus();
	await page.keyboard.press('Enter');
	await page.waitForURL('**/money-in/returned?act=*');
	expect(await violations(page, 'returned payments')).toEqual([]);
	const first = page.locator('tbody tr').first();
	await expect(first).toContainText('shown');
	const pdf = await page.request.get((await first.getByRole('link', { name: 'read' }).getAttribute('href'))!);
	expect([pdf.status(), pdf.headers()['content-type']]).toEqual([200, 'application/pdf']);
	await first.getByRole('button', { name: 'send' }).click();
	await expect(first.getByRole('link', { name: 'sent' })).toBeVisible();
	// The bank shows it, so it cannot be taken back before that.
	await first.getByRole('button', { name: 'undo' }).click();
	await expect(page.getByRole('alert')).toContainText('the bank’s entry that shows the return');
	await first.locator('a[href^="/customers/"]').click();
	await expect(page.getByText(/of theirs was returned/)).toBeVisible();
	expect(heard).toEqual([]);
});

test('the bank shows a return and its fee that were booked before: each is counted once', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	for (const words of ['MALLORY COUNCIL', 'Mere & Marches Bank']) {
		await page.locator('[data-receipt]', { hasText: words }).last().waitFor();
		for (const row of await page.locator('[data-receipt]', { hasText: words }).all()) {
			await row.click();
			await page.waitForTimeout(300);
			if (await page.getByText('Booked before?').isVisible()) break;
		}
		await page.getByRole('button', { name: 'Match them' }).click();
		await expect(
			page.getByText(/Matched the (returned payment|bank’s fee) to the bank\. Counted once\./).last()
		).toBeVisible();
	}
	await open(page, '/money-in/returned');
	await expect(page.locator('tbody tr', { hasText: 'the bank rang' })).toContainText('shown');
	await expect(page.getByText('fee not yet')).toHaveCount(0);
});

test('nobody is known: sets of items of all accounts are looked for, and one is laid on the strip', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'CORNCRAKE');
	await page.getByRole('button', { name: 'Look for sets of items in all accounts' }).click();
	const set = page.locator('a[href*="items="]').first();
	await set.waitFor();
	expect(await violations(page, 'sets in all accounts')).toEqual([]);
	await set.click();
	await page.waitForURL(/items=/);
	await expect(page.locator('footer')).toContainText('Settles');
});

test('the desk says why an open item was not proposed', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const ask = page.getByRole('button', { name: /^Why not / }).first();
	for (const row of await page.locator('[data-receipt]').all()) {
		await row.click();
		await page.waitForTimeout(400);
		if (await ask.isVisible()) break;
	}
	await ask.focus();
	await page.keyboard.press('Space');
	await expect(page.getByText(/The words (do not name it|name others)/).first()).toBeVisible();
});

test('a refund that came back is said to be one; on account, it is theirs again', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'Linden Rise Tiles');
	await expect(page.getByText('A returned refund?')).toBeVisible();
	await expect(page.locator('footer')).toContainText('Leaves £41.00 on account');
	await postByKey(page);
});

test('who was told what is no longer so is found on Today, and gets a corrected statement', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await expect(page.getByText('1 corrected statement is drafted')).toBeVisible();
	await open(page, '/letters?kind=correction');
	expect(await violations(page, 'corrections')).toEqual([]);
	const name = await page.locator('tbody button').first().innerText();
	const letter = page.getByRole('region', { name: /^The letter to/ });
	await expect(letter).toContainText('Corrected statement of account');
	await expect(letter).toContainText('Our statement of 28 Oct 2026 showed a payment');
	// Their money waits in the pile: it is asked first.
	await page.getByLabel(`Choose ${name}`).click();
	await page.getByRole('button', { name: 'Choose them' }).click();
	await expect(page.getByLabel(`Choose ${name}`)).toBeChecked();
	await page.getByRole('button', { name: 'Send 1 statement' }).click();
	await page.waitForURL('**/letters/runs/*');
	await expect(page.getByText(/: 1 sent\./)).toBeVisible({ timeout: 20_000 });
	await open(page, '/letters?kind=correction');
	await expect(page.getByText('No letter is out of date.')).toBeVisible();
	await open(page, '/letters/outbox');
	await page.getByRole('link', { name }).or(page.getByText(name)).first().waitFor();
	expect(heard).toEqual([]);
});
