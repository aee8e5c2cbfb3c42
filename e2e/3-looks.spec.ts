import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';
import { complaints, open, signIn } from './helpers';

const PAGES = [
	'/',
	'/money-in',
	'/money-in/by-hand',
	'/money-in/slips/1',
	'/money-in/refunds',
	'/open-items/bring-in',
	'/odd-pennies',
	'/open-items?show=part-paid',
	'/open-items?show=credits&item=1',
	'/customers',
	'/letters?kind=reminder',
	'/letters/outbox',
	'/books',
	'/books/journal'
];

for (const scheme of ['light', 'dark'] as const)
	test(`every page can be used by all, ${scheme}`, async ({ browser }) => {
		test.setTimeout(300_000);
		const context = await browser.newContext({ colorScheme: scheme });
		const page = await context.newPage();
		const heard = complaints(page);
		await page.goto('/sign-in');
		await check('/sign-in');
		await signIn(page);
		for (const path of PAGES) {
			await open(page, path);
			await check(path);
		}
		const first = await page.request.get('/customers');
		const code = /\/customers\/([A-Z]\d+)/.exec(await first.text())![1]!;
		await open(page, `/customers/${code}`);
		await check(`/customers/${code}`);
		expect(heard).toEqual([]);
		await context.close();

		async function check(path: string) {
			const { violations } = await new AxeBuilder({ page })
				.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
				.exclude('iframe')
				.analyze();
			expect(violations.map((one) => `${path}: ${one.id} ${one.nodes[0]!.html.slice(0, 160)}`)).toEqual([]);
		}
	});

test('list states are in the address: Back and links work', async ({ page }) => {
	await signIn(page);
	await open(page, '/open-items');
	await page.getByRole('link', { name: /^Late/ }).click();
	await page.waitForURL(/show=late/);
	await page.locator('tbody tr a').first().click();
	await page.waitForURL(/item=/);
	await expect(page.locator('aside h2')).toContainText('A');
	await page.goBack();
	await expect(page.locator('aside h2')).toHaveCount(0);
	await page.getByRole('search').getByRole('searchbox').fill('AK-43');
	await page.keyboard.press('Enter');
	await page.waitForURL(/q=AK-43/);
	await expect(page.locator('tbody tr').first()).toContainText('AK-43');
});

test('what is not there is said plainly', async ({ page }) => {
	await signIn(page);
	expect((await page.goto('/customers/NOBODY'))!.status()).toBe(404);
	await expect(page.getByText('There is no account NOBODY.')).toBeVisible();
	await open(page, '/money-in?r=999999');
	await expect(page.getByText('somebody has dealt with it')).toBeVisible();
});
