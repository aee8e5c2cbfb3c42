import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import {
	complaints,
	open,
	pick,
	postByKey,
	postTo,
	signIn,
	todaysFiles,
	violations,
	waiting
} from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// A clerk's morning, in its order: each step stands on the one before.
test.describe.configure({ mode: 'serial' });

test('Today says what waits, with true figures', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await expect(page.locator('h1')).toHaveText('All receipts are allocated.');
	await expect(page.getByText('Current account to 28 Oct')).toBeVisible();
	await expect(
		page.getByText(/£[\d,]+\.\d\d owed, £[\d,]+\.\d\d of it overdue; £[\d,]+\.\d\d on account, balance due £/)
	).toBeVisible();
	expect(heard).toEqual([]);
});

test('a bank file comes in by the file dialog, and twice changes nothing', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	await page.setInputFiles('input[type=file]', todaysFiles);
	await expect(
		page.getByText(/camt053-gbp-2026-10-30\.xml: \d+ new entries\. The balance agrees\./)
	).toBeVisible();
	await expect(page.locator('[data-receipt]').nth(36)).toBeAttached();
	const before = await waiting(page);
	await page.setInputFiles('input[type=file]', todaysFiles[0]!);
	await expect(
		page.getByText(/was brought in before, by Wren Tolliver .* Nothing was changed/)
	).toBeVisible();
	expect(await waiting(page)).toBe(before);
});

test('a file dropped on the page that is cut off is refused with where and why', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const before = await waiting(page);
	const half = readFileSync(todaysFiles[0]!, 'utf8').replace('M-GBP', 'X-GBP').slice(0, 4000);
	const transfer = await page.evaluateHandle((text) => {
		const data = new DataTransfer();
		data.items.add(new File([text], 'half.xml', { type: 'text/xml' }));
		return data;
	}, half);
	await page.dispatchEvent('main', 'dragover', { dataTransfer: transfer });
	await page.dispatchEvent('main', 'drop', { dataTransfer: transfer });
	await expect(page.getByText('half.xml was not taken')).toBeVisible();
	await expect(page.getByText(/the file ends in the middle/)).toBeVisible();
	expect(await waiting(page)).toBe(before);
});

test('a set of items is looked for by hand, in a worker, and taken', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'Larkfield Glassworks');
	await expect(page.locator('h2').filter({ hasText: 'Larkfield Glassworks' })).toBeVisible();
	await page.keyboard.press('o');
	await expect(page.getByText('is still to be found.')).toBeVisible();
	await page.keyboard.press('s');
	await expect(page.getByText(/sets? of the \d+ items comes? to £3,142\.23\./)).toBeVisible();
	await page.getByRole('button', { name: 'take these 3' }).first().click();
	await expect(page.locator('footer')).toContainText('Settles');
	await expect(page.getByText('is still to be found.')).toHaveCount(0);
	expect(heard).toEqual([]);
});

test('the certain ones are read through and posted together by keyboard', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const before = await waiting(page);
	await page.keyboard.press('c');
	await expect(page.getByRole('dialog', { name: 'Post what is certain' })).toBeVisible();
	const dialog = page.getByRole('dialog', { name: 'Post what is certain' });
	const list = dialog.getByRole('listbox', { name: 'Receipts that are certain' });
	await expect(list).toBeFocused();
	await expect(list.getByRole('option').first()).toContainText('Settles AK-');
	// A payment in euros says by which rate, and what is lost; part payments and fees are said as what they are.
	await expect(
		list.getByText(/Settles AK-\d+; books £[\d.]+ exchange (loss|gain) \(EUR at/).first()
	).toBeVisible();
	expect(await violations(page, 'certain')).toEqual([]);
	const button = dialog.getByRole('button', { name: /^Post \d+ receipts, / });
	const all = Number(/\d+/.exec((await button.textContent())!)![0]);
	expect(all).toBeGreaterThan(15);
	// One is left out by Space, another opened on the desk.
	await page.keyboard.press('ArrowDown');
	await page.keyboard.press(' ');
	await expect(dialog.getByText('1 left out')).toBeVisible();
	const second = (await list.getByRole('option').nth(1).locator('strong').innerText()).trim();
	await page.keyboard.press('o');
	await expect(dialog).toBeHidden();
	await expect(page.locator('h2').filter({ hasText: second })).toBeVisible();
	await page.keyboard.press('c');
	await expect(list.getByRole('option')).toHaveCount(all);
	await page.keyboard.press('j');
	await page.keyboard.press(' ');
	const n = all - 1;
	await expect(button).toHaveText(
		new RegExp(`^Post ${n} receipts, £[\\d,.]+ and €[\\d,.]+|^Post ${n} receipts, €[\\d,.]+ and £[\\d,.]+`)
	);
	await page.keyboard.press('Enter');
	await expect(page.locator('[data-receipt]')).toHaveCount(before - n);
	await expect(page.getByText(`Posted ${n} receipts.`)).toBeVisible();
});

test('a likely one is posted with Enter, undone with U, and posted again', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const before = await waiting(page);
	const first = page
		.locator('[data-receipt]')
		.filter({ hasNotText: /Hazel Hill Pottery|73\.50/ })
		.first();
	const id = await first.getAttribute('data-receipt');
	await first.click();
	await page.waitForURL(`**/money-in?receipt=${id}`);
	await expect(page.locator('footer')).toContainText('Settles');
	await postByKey(page);
	await page.keyboard.press('u');
	await expect(page.locator('[data-receipt]')).toHaveCount(before);
	await open(page, `/money-in?receipt=${id}`);
	await postByKey(page);
});

test('the odd penny gets a name, and the line says what posting will do', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'Hazel Hill Pottery');
	await expect(page.getByText(/Odd penny: £45\.40 short/)).toBeVisible();
	// The words say why: a claim is proposed for it.
	await expect(page.locator('footer')).toContainText('opens a claim of £45.40');
	await page.keyboard.press('7');
	await expect(page.locator('footer')).toContainText('£45.40 is too much for a small difference');
	await page.keyboard.press('3');
	await expect(page.locator('footer')).toContainText('opens a claim of £45.40');
	await page.getByLabel('what they say').fill('two shelves cracked');
	await page.keyboard.press('Escape');
	await postByKey(page);
	await expect(page.getByText(/Posted £[\d,.]+ for Hazel Hill Pottery/)).toBeVisible();
});

test('items are taken, left and filtered without the mouse; amounts are typed, nonsense is refused and kept', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'on account please');
	await expect(page.locator('footer')).toContainText('Leaves £250.00 on account');
	await page.keyboard.press(' ');
	const field = page.locator('input.amount-field').first();
	await expect(field).toBeVisible();
	await field.fill('100+20.50');
	await expect(page.locator('footer')).toContainText('on account');
	await field.fill('nonsense');
	await expect(page.locator('footer')).toContainText('“nonsense”');
	await expect(page.getByRole('button', { name: /^Post £/ })).toBeDisabled();
	await expect(field).toHaveValue('nonsense');
	await field.fill('999999');
	await expect(page.locator('footer')).toContainText('is more');
	await field.fill('100+20.50');
	await page.keyboard.press('Escape');
	await page.keyboard.press('/');
	await expect(page.getByLabel('Filter the open items')).toBeFocused();
	await page.keyboard.type('no such thing');
	await expect(page.getByText('Nothing open fits that.')).toBeVisible();
	await page.keyboard.press('Escape');
	await postByKey(page);
});

test('two clerks at one receipt: the second is told who has it, and keeps what was typed', async ({
	page,
	browser
}) => {
	await signIn(page);
	await open(page, '/money-in');
	const row = page.locator('[data-receipt]', { hasText: 'Töpferei Lindenhof' });
	const id = await row.getAttribute('data-receipt');
	await open(page, `/money-in?receipt=${id}`);
	const other = await (await browser.newContext()).newPage();
	await signIn(other, 'supervisor');
	await open(other, `/money-in?receipt=${id}`);
	await postByKey(other);
	await page.keyboard.press('Enter');
	await expect(page.getByRole('alert')).toContainText('Hollis Greaves dealt with this receipt');
	await expect(page.locator('input.amount-field').first()).toBeVisible();
	await other.close();
});

test('a payer nobody knows is found by name, and money that is no customer’s is set aside', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, 'MRS L TREVENA');
	await page.getByLabel(/Whose is it/).fill('wicker');
	await page
		.getByRole('listbox')
		.getByRole('option', { name: /Wicker/ })
		.first()
		.click();
	await expect(page.locator('footer')).toContainText('on account');
	await postByKey(page);
	await pick(page, 'LINDEN RISE TILES LIMITED');
	const before = await waiting(page);
	await postTo(page, 'suppliers');
	await expect(page.getByText('Posted £41.00 to Payments to suppliers.')).toBeVisible();
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
});

test('cheques recorded on a slip meet their one entry, and are not counted twice', async ({ page }) => {
	await signIn(page);
	await open(page, '/money-in');
	const before = await waiting(page);
	await pick(page, 'CHEQUES PAID IN');
	await expect(page.getByText('Recorded before?')).toBeVisible();
	await page.getByRole('button', { name: 'Match them' }).click();
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
	await expect(page.getByText('Matched to the bank: counted once.')).toBeVisible();
	await open(page, '/money-in/manual-receipts');
	await expect(page.getByText('On its way')).toHaveCount(0);
});

test('a payout is split from the processor’s report, to the penny, and its parts wait in full', async ({
	page
}) => {
	await signIn(page);
	await open(page, '/money-in');
	const before = await waiting(page);
	await pick(page, 'PAYLOOM');
	await page.waitForURL(/receipt=/);
	await open(page, page.url().replace('/money-in?', '/money-in/split?'));
	await page.getByLabel('Whose report?').fill('Payloom');
	await page
		.getByLabel('The report, as CSV')
		.setInputFiles('data/e2e/fresh/todays-bank-files/payloom-payout-2026-10-30.csv');
	await expect(page.getByText(/gross − [\d,.]+ fees = [\d,.]+ at the bank/)).toBeVisible();
	await page.getByLabel('Fee of part 1').fill('0');
	await expect(page.getByText(/is too much\./)).toBeVisible();
	await expect(page.getByRole('button', { name: /^Split into/ })).toBeDisabled();
	await page.getByLabel('The report, as CSV').setInputFiles([]);
	await page
		.getByLabel('The report, as CSV')
		.setInputFiles('data/e2e/fresh/todays-bank-files/payloom-payout-2026-10-30.csv');
	await page.getByRole('button', { name: 'Split into 5 payments' }).click();
	await page.waitForURL(/money-in\?receipt=/);
	await expect(page.locator('[data-receipt]')).toHaveCount(before + 4);
	await expect(page.getByText(/came \+/)).toBeVisible();
	await postByKey(page);
});

test('above the limit a supervisor is asked, and posts what was laid', async ({ page, browser }) => {
	await signIn(page);
	await open(page, '/money-in');
	await pick(page, '73.50 over');
	await page.waitForURL(/receipt=/);
	const id = new URL(page.url()).searchParams.get('receipt')!;
	const before = await waiting(page);
	await page.keyboard.press('f');
	await expect(page.locator('footer')).toContainText(/of AK-\d+ open/);
	await page.keyboard.press('9');
	await expect(page.locator('footer')).toContainText('a supervisor has to approve it');
	await page.getByRole('button', { name: /^Ask for £/ }).click();
	await expect(page.getByText(/A supervisor is asked to post/)).toBeVisible();
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 1);
	const other = await (await browser.newContext()).newPage();
	await signIn(other, 'supervisor');
	await open(other, `/money-in?receipt=${id}`);
	await expect(other.getByText('This receipt waits for a supervisor')).toBeVisible();
	await other.getByRole('link', { name: 'See what was asked' }).click();
	const asked = other
		.getByRole('article', { name: 'Asked by Wren Tolliver' })
		.filter({ hasText: 'asks to post £' });
	// All that agreeing posts: the money, the debt that is given up, and both off the customer.
	await expect(asked.getByRole('row')).toHaveCount(5);
	await expect(asked.getByRole('row', { name: /Bad debts/ })).toContainText(/\d\.\d\d/);
	expect(await violations(other, 'approvals')).toEqual([]);
	await asked.getByRole('button', { name: 'Approve and post' }).click();
	await expect(other.getByText('Approved, and done in your name.')).toBeVisible();
	await expect(asked).toHaveCount(0);
	await other.close();
});
