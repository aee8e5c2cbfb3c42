import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { startStandIn, type StandIn } from '../src/lib/server/platform/mail/stand-in';
import { complaints, confirmPassword, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// Letters go, come back, and go elsewhere. Each test goes on from the one before.
test.describe.configure({ mode: 'serial' });

const station = (page: Page, name: string) =>
	page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name, exact: true });

async function tabOfLetters(page: Page, name: string): Promise<void> {
	await station(page, 'Letters').click();
	await page.waitForURL((url) => url.pathname === '/letters');
	const tab = page
		.getByRole('navigation', { name: 'Kinds of letters' })
		.getByRole('link', { name, exact: true });
	await tab.click();
	await expect(tab).toHaveAttribute('aria-current', 'page');
	await page.waitForLoadState('networkidle');
}

test('a letter that was not delivered stands on Today, and goes to another address', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await tabOfLetters(page, 'Statements');
	const missing = page.getByPlaceholder('fill it in here').first();
	const name = (await missing.getAttribute('aria-label'))!.replace('E-mail address of ', '');
	await missing.fill('accounts@gone-away.example');
	await missing.press('Enter');
	await page.getByLabel(`Choose ${name}`, { exact: true }).check();
	await page.getByRole('button', { name: 'Send 1 statement' }).click();
	await page.waitForURL('**/letters/runs/*');
	await expect(async () => {
		await station(page, 'Today').click();
		await page.waitForURL((url) => url.pathname === '/');
		await page.reload();
		await expect(page.getByText(/1 not delivered/)).toBeVisible({ timeout: 2_000 });
	}).toPass({ timeout: 60_000 });
	await page.getByRole('link', { name: 'Outbox', exact: true }).last().click();
	await page.waitForURL('**/letters/outbox?state=refused');
	const row = page.locator('tbody tr', { hasText: name });
	await expect(row).toContainText('not delivered');
	await expect(row).toContainText('no such person here');
	await row.getByRole('button', { name: 'Mend address' }).click();
	const dialog = page.getByRole('dialog', { name: /^Send it to which address/ });
	await expectAccessible(page);
	await dialog.getByLabel('E-mail address').fill('not an address');
	await dialog.getByLabel('E-mail address').evaluate((field: HTMLInputElement) => (field.type = 'text'));
	await dialog.getByRole('button', { name: 'Send it there' }).click();
	await expect(dialog.getByText('That is not an e-mail address')).toBeVisible();
	await dialog.getByLabel('E-mail address').fill('accounts@found-again.example');
	await dialog.getByRole('button', { name: 'Send it there' }).click();
	await expect(dialog).toBeHidden();
	await tabOfLetters(page, 'Outbox');
	const again = page.locator('tbody tr', { hasText: name }).first();
	await expect(again).toContainText('accounts@found-again.example');
	await expect(again).toContainText('sent', { timeout: 30_000 });
	await again.getByRole('link').first().click();
	await page.waitForURL('**/letters/outbox/*');
	await expect(page.getByText(/not delivered for accounts@gone-away\.example/)).toBeVisible();
	const eml = await (await page.request.get(`${page.url()}/eml`)).text();
	expect(eml).toContain('Resent-To: <accounts@found-again.example>');
	// It was kept for the letters to come.
	await page.getByRole('link', { name, exact: true }).click();
	await expect(page.getByText('Statements to accounts@found-again.example')).toBeVisible();
	expect(heard).toEqual([]);
});

test.describe('the mail server', () => {
	let [server, folder]: [StandIn | null, string] = [null, ''];
	test.beforeAll(async () => {
		folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
		server = await startStandIn(folder);
	});
	test.afterAll(async () => {
		await server?.close();
		rmSync(folder, { recursive: true, force: true });
	});

	test('is tried out, kept with the password again, and letters go through it', async ({ page }) => {
		const heard = complaints(page);
		await signIn(page, 'supervisor');
		await page.getByRole('button', { name: 'Hollis Greaves' }).click();
		await page.getByRole('menuitem', { name: 'Settings' }).click();
		await page.waitForURL('**/books/settings');
		await page.getByRole('link', { name: 'Mail server, undelivered mail and signature' }).click();
		await page.waitForURL('**/books/settings/mail');
		await page.waitForLoadState('networkidle');
		await expect(page.getByRole('heading', { level: 1 })).toHaveText(
			'No letter leaves: each is kept in a folder.'
		);
		await expectAccessible(page);
		const form = page.locator('form[action="?/server"]');
		await form.getByLabel('Server', { exact: true }).fill('127.0.0.1');
		await form.getByLabel('Port', { exact: true }).fill('1');
		await form.getByLabel('Kept from being read on its way by').selectOption('none');
		await form.getByRole('button', { name: 'Send me a test through it' }).click();
		await expect(form.getByText(/The mail server did not take the test: .*ECONNREFUSED/)).toBeVisible();
		await form.getByLabel('Port', { exact: true }).fill(new URL(server!.url).port);
		await form.getByRole('button', { name: 'Send me a test through it' }).click();
		await expect(page.getByText(/The server took a test to/)).toBeVisible();
		expect(readdirSync(folder)).toHaveLength(1);
		await form.getByRole('button', { name: 'Keep it' }).click();
		await confirmPassword(page);
		await expect(page.getByRole('heading', { level: 1 })).toHaveText('Letters leave through 127.0.0.1.');
		// A mailbox that cannot be opened says why, and nothing is kept.
		const mailbox = page.locator('form[action="?/mailbox"]');
		await mailbox.getByLabel('Server', { exact: true }).fill('127.0.0.1');
		await mailbox.getByLabel('Port', { exact: true }).fill('1');
		await mailbox.getByLabel('Kept from being read on its way by').selectOption('none');
		await mailbox.getByRole('button', { name: 'Try to open it' }).click();
		await expect(mailbox.getByText(/The mailbox could not be opened: .*ECONNREFUSED/)).toBeVisible();
		// A key is made, and not used before it is found published.
		await page.getByLabel('Name of the key').fill('oddpenny1');
		await page.getByRole('button', { name: 'Make a key' }).click();
		await expect(page.getByText('oddpenny1._domainkey.ashlock-kiln.example')).toBeVisible();
		await page.getByRole('button', { name: 'Sign from now on' }).click();
		await expect(page.getByText(/could not be looked up|Nothing is published/)).toBeVisible({
			timeout: 30_000
		});
		await expect(page.getByText('not signed yet')).toBeVisible();
		await expectAccessible(page);

		await tabOfLetters(page, 'Statements');
		await page.locator('tbody input[type=checkbox]:enabled').first().check();
		await page.getByRole('button', { name: 'Send 1 statement' }).click();
		await page.waitForURL('**/letters/runs/*');
		await expect(page.getByText(/: 1 sent\./)).toBeVisible({ timeout: 30_000 });
		expect(readdirSync(folder).length).toBeGreaterThanOrEqual(2);
		// The browser says itself that what it sent was refused.
		expect(heard.filter((line) => !line.includes('status of 4'))).toEqual([]);
	});
});

test('a document has its own paper attached, and several items are written about at once', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await station(page, 'Open items').click();
	await page.waitForURL('**/open-items');
	await page.waitForLoadState('networkidle');
	await page.locator('tbody tr').first().getByRole('link').first().click();
	const side = page.locator('aside');
	const paper = await side.getByRole('link', { name: 'Its PDF' }).getAttribute('href');
	const choose = side.locator('input[type=file]');
	await choose.setInputFiles({
		name: 'notes.pdf',
		mimeType: 'application/pdf',
		buffer: Buffer.from('notes')
	});
	await expect(side.getByText(/this is not a PDF/)).toBeVisible();
	const own = Buffer.from('%PDF-1.7\n% our own\n%%EOF\n');
	await choose.setInputFiles({ name: 'our-own.pdf', mimeType: 'application/pdf', buffer: own });
	await expect(side.getByText(/our-own\.pdf, attached by Wren Tolliver/)).toBeVisible();
	expect((await (await page.request.get(paper!)).body()).equals(own)).toBe(true);
	await expectAccessible(page);
	await side.getByRole('button', { name: 'Take it off' }).click();
	await expect(side.getByText('Drawn from what is posted.')).toBeVisible();
	expect((await (await page.request.get(paper!)).body()).equals(own)).toBe(false);
	await side.getByRole('link', { name: 'Close' }).click();
	// Two of one account.
	const customer = await page.locator('tbody tr').first().locator('td').nth(3).innerText();
	await page.getByLabel('Filter by number, name, order or amount').fill(customer);
	await page.getByLabel('Filter by number, name, order or amount').press('Enter');
	await page.waitForURL((url) => url.searchParams.has('q'));
	const boxes = page.locator('tbody input[type=checkbox]');
	await boxes.nth(0).check();
	await expect(page.getByRole('link', { name: /Write about it/ })).toBeVisible();
	await boxes.nth(1).check();
	await page.getByRole('link', { name: /Write about them/ }).click();
	await page.waitForURL('**/letters/write?**');
	await expect(page.getByRole('heading', { level: 1 })).toContainText(customer);
	const items = new URL(page.url()).searchParams.get('items')!;
	expect(items.split(',')).toHaveLength(2);
	expect(heard.filter((line) => !line.includes('status of 4'))).toEqual([]);
});

test('thanks are a last step of chasing, and each wording is shown as its letter will look', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await tabOfLetters(page, 'Chasing');
	await page.getByRole('button', { name: 'Change Usual' }).click();
	const dialog = page.getByRole('dialog');
	await dialog.getByLabel(/thank them/).check();
	await dialog.getByLabel('Days after').fill('90');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog.getByText(/Later than 60 days/)).toBeVisible();
	await dialog.getByLabel('Days after').fill('3');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog).toBeHidden();
	await expect(page.getByRole('row', { name: 'Thanks 3 days after the payment' })).toBeVisible();
	await tabOfLetters(page, 'Wording');
	await page.getByRole('link', { name: 'Thanks for payment in English' }).click();
	await page.waitForURL('**/letters/wordings/thanks?**');
	await expect(page.getByRole('region', { name: 'The letter with these words' }).last()).toContainText(
		/payment/i,
		{ timeout: 20_000 }
	);
	await page.getByRole('link', { name: 'What letters say' }).click();
	await page.getByRole('link', { name: 'New wording for statements …' }).click();
	await page.waitForURL('**/letters/wordings/new?kind=statement');
	await page.waitForLoadState('networkidle');
	await page.getByLabel('Name', { exact: true }).fill('Statement to schools');
	await page.getByLabel('Greeting').fill('Dear bursar,');
	await page.getByRole('button', { name: 'Keep', exact: true }).click();
	await page.waitForURL(/\/letters\/wordings\/own-\d+/);
	// A run of statements may have it.
	await tabOfLetters(page, 'Statements');
	await page.getByLabel('Wording').selectOption({ label: 'Statement to schools' });
	await page.waitForURL(/wording=own-\d+/);
	await expect(page.getByRole('region', { name: /^The letter to/ })).toContainText('Dear bursar,', {
		timeout: 20_000
	});
	expect(heard).toEqual([]);
});
