import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { confirmPassword, complaints, open, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

test('a claim keeps notes and files, its owner changes, and what was lost is seen by month', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/odd-pennies');
	expect(await violations(page, 'odd pennies')).toEqual([]);
	const rows = page.locator('tbody tr');
	const all = await rows.count();
	await page.getByLabel('Customer', { exact: true }).fill('no such customer');
	await expect(rows).toHaveText(['No claim fits that.']);
	await page.getByLabel('Customer', { exact: true }).fill('');
	await expect(rows).toHaveCount(all);
	await rows.first().locator('a[href^="/odd-pennies/"]').click();
	await page.waitForURL('**/odd-pennies/CL-*');
	await page.getByRole('textbox', { name: 'Note' }).fill('the driver found the box');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByText('the driver found the box')).toBeVisible();
	await page.locator('input[type=file]').setInputFiles({
		...{ name: 'box.png', mimeType: 'image/png' },
		buffer: Buffer.from(
			'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
			'base64'
		)
	});
	await expect(page.getByRole('link', { name: 'box.png' })).toBeVisible();
	await page.getByLabel('Decide by').fill('31 Feb');
	await page.getByRole('button', { name: 'Keep the change' }).click();
	await expect(page.getByRole('alert')).toContainText('is not a date');
	await page.getByLabel('Decide by').fill('20 Nov');
	await page.getByLabel('Followed up by').fill('Hollis Greaves');
	await page.getByRole('button', { name: 'Keep the change' }).click();
	await expect(page.getByText(/Changed CL-\d+: Hollis Greaves/)).toBeVisible();
	expect(await violations(page, 'a claim')).toEqual([]);
	await open(page, '/odd-pennies/deduction-analysis');
	expect(await violations(page, 'what was lost')).toEqual([]);
	await page.getByRole('button', { name: /Settlement discount/ }).click();
	await expect(page.locator('h1')).toContainText('settlement discount');
	await open(page, '/odd-pennies/small-balances?upTo=5&all=yes');
	expect(await violations(page, 'small remainders')).toEqual([]);
	expect(heard).toEqual([]);
});

test('the record is read by person and customer; payments are chosen to be moved', async ({ page }) => {
	await signIn(page);
	await open(page, '/books/record');
	expect(await violations(page, 'the record')).toEqual([]);
	await page.getByLabel('Person').selectOption('Hollis Greaves');
	await page.getByRole('button', { name: 'Show' }).click();
	await expect(page.locator('tbody')).toContainText('Locked the books up to 30 Sep 2026');
	await expect(page.locator('tbody')).not.toContainText('Wren Tolliver');
	await open(page, '/customers/H1005/payments');
	expect(await violations(page, 'payments to be moved')).toEqual([]);
	await page.locator('tbody input[type=checkbox]').first().check();
	await expect(page.locator('footer')).toContainText('waits on the desk again');
	await page.getByRole('button', { name: 'Take 1 payment off' }).click();
	await expect(page.getByText('1 payment wait on the desk again.')).toBeVisible();
	await open(page, '/books/record?customer=H1005');
	await page.locator('tbody a', { hasText: 'Undid' }).first().click();
	await page.getByRole('button', { name: 'Allocate it again as it was' }).click();
	await expect(page.locator('tbody').first()).toContainText('Allocated');
	expect(await violations(page, 'an act and its journal')).toEqual([]);
});

test('a month is opened again with a reason, and locked', async ({ page }) => {
	await signIn(page, 'supervisor');
	await open(page, '/books/periods');
	expect(await violations(page, 'periods')).toEqual([]);
	await page.getByRole('button', { name: 'Open from 1 Sep' }).click();
	await expect(page.getByRole('button', { name: 'Open again' })).toBeDisabled();
	await page.getByLabel('Why, for the record').fill('a late credit note');
	await page.getByRole('button', { name: 'Open again' }).click();
	// It is asked whether it is still the supervisor who sits there; left, nothing is done and nothing lost.
	await expect(page.getByRole('dialog', { name: 'Your password again' })).toBeVisible();
	expect(await violations(page, 'the password again')).toEqual([]);
	await page.getByLabel('Password', { exact: true }).fill('somebody else’s guess');
	await page.getByRole('button', { name: 'Go on' }).click();
	await expect(page.getByText('That is not your password.')).toBeVisible();
	await page.keyboard.press('Escape');
	await expect(page.getByLabel('Why, for the record')).toHaveValue('a late credit note');
	await page.getByRole('button', { name: 'Open again' }).click();
	await confirmPassword(page);
	await expect(page.locator('h1')).toContainText('locked up to 31 Aug');
	await page.getByRole('button', { name: 'Lock September 2026' }).click();
	await page.getByRole('button', { name: 'Lock', exact: true }).click();
	await expect(page.locator('h1')).toContainText('locked up to 30 Sep');
	await expect(page.locator('aside')).toContainText('a late credit note');
});

test('a trial run reads three files, says what would match, and keeps nothing', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'reader');
	await open(page, '/money-in/trial');
	expect(await violations(page, 'a trial run')).toEqual([]);
	const file = (name: string, text: string) => ({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
	// A firm's own lists: nothing tells which of the columns is the customer's code, so it is asked.
	await page.locator('input[name=customers]').setInputFiles(file('kunden.csv', 'Wer;Firmenname\nH1;Hazel\n'));
	await page
		.locator('input[name=invoices]')
		.setInputFiles(
			file('offen.csv', 'Rechnungsnr.;Kundennr.;Datum;Offener Betrag\nAK-9;H1;01.09.2026;5,00\n')
		);
	await page
		.locator('input[name=bank]')
		.setInputFiles('data/e2e/fresh/todays-bank-files/camt053-gbp-2026-10-30.xml');
	await page.getByRole('button', { name: 'See what would match' }).click();
	await expect(page.getByText('Say which column is')).toBeVisible();
	expect(await violations(page, 'which column is which')).toEqual([]);
	await page.getByLabel('What Wer is').selectOption({ label: 'customer code *' });
	await expect(page.getByText(/of 100 receipts would be posted as certain/)).toBeVisible();
	expect(await violations(page, 'what would match')).toEqual([]);
	expect(heard).toEqual([]);
});

test('files dropped on a trial run go where they belong, and match once the three are there', async ({
	page
}) => {
	await signIn(page, 'reader');
	await open(page, '/money-in/trial');
	const drop = async (files: Record<string, string>) => {
		const held = await page.evaluateHandle((all) => {
			const transfer = new DataTransfer();
			for (const [name, text] of Object.entries(all)) transfer.items.add(new File([text], name));
			return transfer;
		}, files);
		await page.dispatchEvent('body', 'drop', { dataTransfer: held });
	};
	await drop({ 'what.csv': 'Some,Thing\n1,2\n', 'people.csv': 'code,name,currency\nH1,Hazel,GBP\n' });
	await expect(page.getByRole('alert')).toContainText('what.csv: it names no columns');
	const bank = readFileSync('data/e2e/fresh/todays-bank-files/camt053-gbp-2026-10-30.xml', 'utf8');
	const owed = 'number,kind,customer_code,issue_date,due_date,currency,total,open';
	await drop({
		'owed.csv': `${owed}\nAK-9,invoice,H1,2026-09-01,2026-10-01,GBP,5.00,5.00\n`,
		'bank.xml': bank
	});
	await expect(page.getByText(/of 100 receipts would be posted as certain/)).toBeVisible();
});

test('a loss beyond the limit waits for a supervisor, who does not agree, or agrees', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/customers/H1005');
	await page.getByRole('link', { name: 'Write off' }).click();
	await page.waitForURL('**/odd-pennies/small-balances?customer=H1005');
	expect(await violations(page, 'what an account owes, to be written off')).toEqual([]);
	const rows = page.locator('tbody tr');
	const owed = await rows.count();
	await rows.first().getByRole('checkbox').check();
	await expect(page.locator('footer')).toContainText('a supervisor has to approve it');
	await page.getByLabel('because').fill('the shop is shut');
	await page.getByRole('button', { name: 'Ask to write off 1 document' }).click();
	await expect(page.getByText('a supervisor was asked')).toBeVisible();
	await expect(rows).toHaveCount(owed);
	await open(page, '/books/approvals');
	const mine = page.locator('article', { hasText: 'the shop is shut' });
	await expect(mine.getByRole('button')).toHaveText(['Withdraw']);
	await signIn(page, 'supervisor');
	await open(page, '/books/approvals');
	expect(await violations(page, 'asked of a supervisor')).toEqual([]);
	const other = page.locator('article', { hasText: 'letters come back' });
	await other.getByRole('button', { name: 'Reject' }).click();
	await expect(page.getByRole('alert')).toContainText('Say why not');
	await other.getByLabel('Why, or why not').fill('ask the receiver first');
	await other.getByRole('button', { name: 'Reject' }).click();
	await expect(page.locator('tbody tr', { hasText: 'ask the receiver first' })).toContainText('rejected');
	await mine.getByRole('button', { name: 'Approve and post' }).click();
	await expect(page.getByText('Nothing waits for a supervisor.')).toBeVisible();
	await open(page, '/odd-pennies/small-balances?customer=H1005');
	await expect(rows).toHaveCount(owed - 1);
	expect(heard).toEqual([]);
});

test('an item leads to the money that paid it', async ({ page }) => {
	await signIn(page);
	await open(page, '/customers/H1005');
	await page.getByRole('link', { name: 'what it paid' }).first().click();
	await page.waitForURL('**/threads?money=*');
	expect(await page.locator('[data-ribbon]').count()).toBeGreaterThan(1);
	await page.locator('[data-ribbon]').first().focus();
	await page.keyboard.press('Enter');
	await page.locator('aside a[href*="?item="]').click();
	await page.getByRole('link', { name: 'What paid it' }).click();
	await page.waitForURL('**/threads?item=*');
	expect(await page.locator('[data-ribbon]').count()).toBeGreaterThan(0);
});
