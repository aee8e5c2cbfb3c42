import { expect, test } from '@playwright/test';
import { open, postByKey, postTo, signIn, waiting } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

// The end of the morning, in its order: the pile is emptied, and what follows stands on that.
test.describe.configure({ mode: 'serial' });

test('the rest of the file is allocated', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	for (let left = await waiting(page); left > 0; left = await waiting(page)) {
		const known = await page
			.locator('footer')
			.getByRole('button', { name: /^On account/ })
			.isEnabled();
		// What is always posted to one account takes Enter as well.
		const usual = await page.getByRole('button', { name: /^Post .* to / }).isVisible();
		if (known || usual) await postByKey(page);
		else {
			const out = await page.locator('[data-receipt][aria-current="true"]', { hasText: '−' }).count();
			await postTo(page, out ? 'suppliers' : 'other income');
			await expect(page.locator('[data-receipt]')).toHaveCount(left - 1);
		}
	}
	await expect(page.getByRole('heading', { name: 'All receipts are allocated.' })).toBeVisible();
});

test('a customer’s ledger shows what settled what, both ways', async ({ page }) => {
	await signIn(page);
	await open(page, '/customers?q=hazel+hill+pottery');
	await page.getByRole('link', { name: 'Hazel Hill Pottery', exact: true }).click();
	await expect(page.getByText(/Hazel Hill Pottery owes £/)).toBeVisible();
	const receipt = page.locator('tbody tr', { hasText: 'Receipt' }).first();
	const thread = receipt.locator('a', { hasText: 'AK-' }).first();
	const number = (await thread.textContent())!.trim();
	await thread.click();
	await page.waitForURL(/item=/);
	await expect(page.locator('aside h2')).toContainText(number.split(' ')[0]!);
	await expect(page.locator('aside')).toContainText(/Paid by Hazel Hill Pottery/i);
});

test('a statement and a reminder are read, sent, refused where the address is, and kept', async ({
	page
}) => {
	await signIn(page);
	for (const kind of ['statement', 'reminder']) {
		await open(page, `/letters?kind=${kind}`);
		await expect(page.getByRole('region', { name: /^The letter to/ })).toContainText(
			kind === 'statement' ? 'Statement of account' : 'Reminder'
		);
		const boxes = page.locator('tbody input[type=checkbox]:enabled');
		await boxes.nth(0).check();
		await boxes.nth(1).check();
		if (kind === 'statement') {
			const missing = page.getByPlaceholder('fill it in here').first();
			const name = (await missing.getAttribute('aria-label'))!.replace('E-mail address of ', '');
			await missing.fill('accounts@no-such-host.example');
			await missing.press('Enter');
			await page.getByLabel(`Choose ${name}`, { exact: true }).check();
		}
		await page.getByRole('button', { name: /^Send \d/ }).click();
		await page.waitForURL('**/letters/runs/*');
		await expect(page.getByText(/: (1 not taken, )?2 sent\./)).toBeVisible({ timeout: 30_000 });
	}
	await open(page, '/letters/outbox');
	await expect(page.getByText('Every letter, as it was sent.')).toBeVisible({ timeout: 20_000 });
	await expect(page.locator('tbody tr', { hasText: 'no-such-host' })).toContainText('refused');
	await expect(page.locator('tbody tr', { hasText: 'no-such-host' })).toContainText('550');
	// Two of each kind, before those that went earlier.
	const states = page.locator('tbody td:nth-child(5)');
	await expect(states.nth(3)).toContainText('sent');
	for (const n of [0, 1, 2, 3, 4]) await expect(states.nth(n)).toContainText(/sent|refused/);
	await page.locator('tbody tr', { hasText: 'Reminder' }).first().getByRole('link').first().click();
	await expect(page.locator('pre')).toContainText('is overdue on your account');
	const pdf = await page.request.get(`${page.url()}/pdf`);
	expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-');
	const eml = await page.request.get(`${page.url()}/eml`);
	expect(await eml.text()).toContain('Content-Type: application/pdf');
});

test('the books prove, and every figure leads to its journal', async ({ page }) => {
	await signIn(page);
	await open(page, '/books');
	await expect(page.getByText('The books prove.')).toBeVisible({ timeout: 20_000 });
	await expect(page.getByText('agrees', { exact: true })).toHaveCount(2);
	await page.getByRole('link', { name: 'Trade receivables' }).first().click();
	await expect(page.getByText(/Allocated .* to /).first()).toBeVisible();
});
