import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import {
	complaints,
	dropFile,
	expectAccessible,
	pick,
	postTo,
	postByKey,
	signIn,
	waiting,
	desk
} from './helpers';
import { MADE, ownBooks } from './own-books';

ownBooks('with-files');

const report = () => readFileSync(`${MADE.fresh}/todays-bank-files/payloom-payout-2026-10-30.csv`, 'utf8');
const shown = (page: Page) => page.locator('[data-receipt][aria-current="true"]');
const messages = (page: Page) => page.locator('[data-sonner-toast]');

/** Opens the desk as a person does: by its station. */

test('each message undoes the posting that it names', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await desk(page);
	await pick(page, 'Fallow Street');
	const first = (await shown(page).getAttribute('data-receipt'))!;
	await postByKey(page);
	const second = (await shown(page).getAttribute('data-receipt'))!;
	await expect(page.locator('footer')).toContainText('Settles');
	await postByKey(page);
	const older = messages(page).filter({ hasText: 'Fallow Street' });
	await messages(page).first().hover();
	await older.getByRole('button', { name: 'Undo' }).click();
	await expect(page.locator(`[data-receipt="${first}"]`)).toBeVisible();
	await expect(page.locator(`[data-receipt="${second}"]`)).toHaveCount(0);
	expect(heard).toEqual([]);
});

test('a payout is split by what the desk proposes, and its report is recognised wherever it is dropped', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	const before = await waiting(page);
	await pick(page, 'PAYLOOM');
	await expect(page.getByText('A payout?')).toBeVisible();
	await page.keyboard.press('p');
	await expect(page.getByRole('heading', { name: 'that is several payments' })).toBeVisible();
	await expect(page.getByLabel('Whose report?')).toHaveValue('PAYLOOM LTD');
	await dropFile(page, 'report.csv', report());
	await expect(page.getByRole('button', { name: 'Split into 5 payments' })).toBeEnabled();
	// Dropped on another page it is led to the entry that it comes to.
	await page.getByRole('navigation').getByRole('link', { name: 'Customers' }).click();
	await page.waitForURL('**/customers');
	await dropFile(page, 'report.csv', report());
	await page.waitForURL(/money-in\/split\?receipt=/);
	await page.getByLabel('Whose report?').fill('Payloom');
	await page.getByRole('button', { name: 'Split into 5 payments' }).click();
	await page.waitForURL(/money-in\?receipt=/);
	await expect(page.locator('[data-receipt]')).toHaveCount(before + 4);
	await expect(page.getByText(/came \+/)).toBeVisible();
	await page.getByRole('button', { name: 'Join the parts again' }).click();
	await expect(page.getByText('The parts are one entry again.')).toBeVisible();
	// It is known from now on.
	await pick(page, 'PAYLOOM');
	await expect(page.getByText('A payout of Payloom?')).toBeVisible();
});

test('a file goes where it belongs, and one that belongs nowhere is said to be what it is', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	await dropFile(page, 'kunden.txt', 'code,name,currency\nZZ9,Zinnia Pots,GBP\n');
	await page.waitForURL('**/open-items/bring-in');
	await expect(page.getByRole('heading', { name: '1 customer would be added' })).toBeVisible();
	// The button of Money in takes no table either.
	await desk(page);
	await page.setInputFiles('input[aria-label="Bank files"]', {
		...{ name: 'rates.csv', mimeType: 'text/csv' },
		buffer: Buffer.from('date,USD,GBP\n2026-10-28,1.08,0.86\n')
	});
	await page.waitForURL('**/books/rates');
	await expect(page.getByRole('heading', { name: /would be added/ })).toBeVisible();
	await dropFile(page, 'photo.xml', Buffer.from([0xff, 0xd8, 0xff, 0xe0, 1, 2, 3]));
	await expect(page.getByText('photo.xml: this is a picture. Pictures are kept with a claim')).toBeVisible();
	await dropFile(page, 'bank.csv', 'Date,Description,Paid in,Balance\n30/10/2026,x,1.00,1.00\n');
	await page.waitForURL('**/money-in/bank-table');
	await expect(page.getByText('names none of the firm’s accounts')).toBeVisible();
	await page.goto('/');
	await dropFile(
		page,
		'half.dat',
		readFileSync(`${MADE.fresh}/todays-bank-files/camt053-eur-2026-10-30.xml`).subarray(0, 900)
	);
	await page.waitForURL('**/money-in');
	await expect(page.getByText('half.dat was not taken')).toBeVisible();
});

test('a supplier’s payment is posted, and undone later: from the bank account’s entries, by name', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	await pick(page, 'Mere & Marches Bank');
	const before = await waiting(page);
	await postTo(page, 'bank charges');
	await expect(messages(page).filter({ hasText: 'to Bank charges.' })).toBeVisible();
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
	await page.keyboard.press('Control+k');
	await page.keyboard.type('Current account');
	await page
		.getByRole('option', { name: /Current account/ })
		.first()
		.click();
	await page.waitForURL('**/books/bank/*');
	await page.getByLabel('Find').fill('mere');
	await page.getByRole('button', { name: 'Show' }).click();
	await expectAccessible(page);
	await page
		.getByRole('link', { name: /^Posted .* to Bank charges/ })
		.first()
		.click();
	await expect(
		page.getByText(/Undoing it: Takes £[\d.]+ off Bank charges; it waits in Money in again\./)
	).toBeVisible();
	await page.getByRole('button', { name: 'Undo it' }).click();
	await expect(page.getByRole('heading', { name: 'One act and its journal' })).toBeVisible();
	await desk(page);
	expect(await waiting(page)).toBe(before);
});

test('who asks for a receipt that is dealt with is told what became of it; one that never was is not found', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	await pick(page, 'Stannary Studio');
	const id = await shown(page).getAttribute('data-receipt');
	await postByKey(page);
	await page.goto(`/money-in?receipt=${id}`);
	await expect(page.getByText('This receipt does not wait any more.')).toBeVisible();
	await page.getByRole('link', { name: 'See it in the journal, or undo it' }).click();
	await expect(
		page.getByText(/Undoing it: Opens AK-\d+ again; £[\d,.]+ waits in Money in again\./)
	).toBeVisible();
	for (const address of [
		'/money-in?receipt=999999',
		'/books/journal?act=99999999',
		'/open-items?item=999999'
	]) {
		const response = await page.goto(address);
		expect(response!.status()).toBe(404);
		await expect(page.getByRole('heading', { name: 'Not found' })).toBeVisible();
		await expect(page.getByRole('link', { name: /^Go to (Money in|Books|Open items)/ })).toBeVisible();
	}
});

test('after posting, keys are for the next receipt: no field keeps the cursor', async ({ page }) => {
	await signIn(page);
	await desk(page);
	await pick(page, 'on account please');
	await page.getByLabel('deposit for order').fill('CK-7');
	await expect(page.locator('footer')).toContainText('on account for order CK-7');
	const before = await waiting(page);
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
	await page.keyboard.press('h');
	const dialog = page.getByRole('dialog', { name: 'Hold this receipt' });
	await expect(dialog).toBeVisible();
	await page.keyboard.type('asked them by phone');
	await page.keyboard.press('Enter');
	await expect(dialog).toBeHidden();
	// Its reason is there when it is opened again, and the record says which receipt it was.
	await page.locator('[data-receipt]', { hasText: 'asked them by phone' }).click();
	await expect(page.getByText('Held: asked them by phone')).toBeVisible();
	await page.keyboard.press('h');
	await expect(dialog.getByLabel('What are you waiting for?')).toHaveValue('asked them by phone');
	await dialog.getByRole('button', { name: 'Take it off hold' }).click();
	await expect(messages(page).filter({ hasText: 'Off hold.' })).toBeVisible();
	await page.goto('/books/record');
	await expect(page.getByText(/Held [£€][\d,.]+ from .*: asked them by phone/).first()).toBeVisible();
});

test('a payer chosen because of what they owe gets just that', async ({ page }) => {
	await signIn(page);
	await desk(page);
	await pick(page, 'MRS L TREVENA');
	// An account is found by the number of what it owes: that is what the money goes on.
	await page.getByRole('navigation').getByRole('link', { name: 'Open items' }).click();
	await page.waitForURL('**/open-items');
	const item = page.locator('a[href*="item="]', { hasText: 'AK-' }).first();
	const number = /AK-\d+/.exec(await item.innerText())![0];
	await desk(page);
	await pick(page, 'MRS L TREVENA');
	await page.getByLabel(/Whose is it/).fill(number);
	await page.getByRole('listbox').getByRole('option').first().click();
	await expect(page.getByRole('button', { name: new RegExp(`^${number}`) })).toBeVisible();
});

test('a receipt recorded by mistake is voided; a row is changed before it is posted; a wrong number is pointed at', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	await page.getByRole('link', { name: 'Record by hand' }).click();
	await page.waitForLoadState('networkidle');
	await page.getByLabel('Customer', { exact: true }).fill('wicker');
	await page.getByRole('listbox').getByRole('option').first().click();
	await page.getByLabel('Amount').fill('17.50');
	await page.getByLabel('Pays').fill('AK-1');
	await page.getByLabel('Reference').fill('100777');
	await expect(page.getByText(/^AK-1 is not open on the account of/)).toBeVisible();
	await page.getByLabel('Pays').fill('account');
	await page.keyboard.press('Enter');
	const row = page.getByRole('row', { name: /100777/ });
	await expect(row).toBeVisible();
	await row.getByRole('button', { name: /^Edit/ }).click();
	await expect(page.getByLabel('Amount')).toHaveValue('17.50');
	await page.getByLabel('Amount').fill('18.50');
	await page.keyboard.press('Enter');
	await expect(row).toContainText('18.50');
	// Only what is ticked is posted.
	await page.getByLabel('Post all rows now').uncheck();
	await expect(page.getByRole('button', { name: 'Tick what is to be posted' })).toBeDisabled();
	await row.getByRole('checkbox').check();
	await page.getByRole('button', { name: 'Post 1 receipt, £18.50' }).click();
	const lately = page.getByRole('row', { name: /100777.*on its way/ });
	await lately.getByRole('button', { name: /^Void/ }).click();
	const dialog = page.getByRole('dialog', { name: 'Void £18.50' });
	await dialog.getByLabel('Why?').fill('typed for the wrong firm');
	expect(await page.evaluate(() => document.activeElement?.tagName)).toBe('INPUT');
	await dialog.getByRole('button', { name: 'Void £18.50' }).click();
	await expect(page.getByRole('row', { name: /100777.*voided/ })).toBeVisible();
	await expectAccessible(page);
});
