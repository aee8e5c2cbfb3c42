import { expect, test, type Page } from '@playwright/test';
import { complaints, expectAccessible, pick, postTo, signIn, violations, waiting, desk } from './helpers';
import { ownBooks } from './own-books';

ownBooks('with-files');

const shown = (page: Page) => page.locator('[data-receipt][aria-current="true"]');

test('the pile is filtered by name and amount, sorted, and gone through as it is shown; the address says so', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await desk(page);
	const all = await waiting(page);
	await page.keyboard.press('l');
	await page.keyboard.type('mere');
	await expect(page.locator('[data-receipt]')).toHaveCount(3);
	await page.waitForURL(/find=mere/);
	await page.keyboard.press('Escape');
	await page.locator('[data-receipt]').first().click();
	await page.waitForURL(/receipt=\d+&find=mere/);
	const first = await shown(page).getAttribute('data-receipt');
	await page.keyboard.press('j');
	await expect(shown(page)).not.toHaveAttribute('data-receipt', first!);
	expect(await waiting(page)).toBe(3);
	// The address is a link for somebody else.
	const other = await page.context().newPage();
	await other.goto(page.url());
	await expect(other.locator('[data-receipt]')).toHaveCount(3);
	await other.close();
	await page.getByLabel('Filter the receipts').fill('80.41');
	await expect(page.locator('[data-receipt]')).toHaveCount(1);
	await page.getByLabel('Filter the receipts').fill('');
	await expect(page.locator('[data-receipt]')).toHaveCount(all);
	await page.getByRole('button', { name: 'more' }).click();
	await page.getByLabel('Order').selectOption('largest first');
	await page.waitForURL(/order=amount/);
	await page.getByLabel('How sure').selectOption('Certain');
	await expect(page.getByRole('heading', { name: /Likely/ })).toHaveCount(0);
	await page.getByLabel('Bank account').selectOption('Euro account');
	await expect(page.locator('[data-receipt]')).toHaveCount(1);
	expect(await violations(page, 'filtered pile')).toEqual([]);
	expect(heard).toEqual([]);
});

test('several are marked by key, put on one account and undone together, and handed to somebody', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await desk(page);
	const before = await waiting(page);
	await pick(page, 'MRS L TREVENA');
	await page.keyboard.press('m');
	await pick(page, 'CORNCRAKE');
	await page.keyboard.press('m');
	await expect(page.getByText('2 receipts marked')).toBeVisible();
	await page.keyboard.press('b');
	const account = page.getByRole('dialog', { name: /^Put 2 receipts, £542\.41 on account/ });
	await account.getByLabel('Whose are they?').fill('heron quay');
	await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
	await page.keyboard.press('Enter');
	expect(await violations(page, 'several on account')).toEqual([]);
	await account.getByRole('button', { name: /^Put £542\.41 on account of Heron Quay/ }).click();
	await expect(page.getByText(/^Put 2 receipts on the account of Heron Quay/)).toBeVisible();
	await expect(page.locator('[data-receipt]')).toHaveCount(before - 2);
	await page.keyboard.press('u');
	await expect(page.locator('[data-receipt]')).toHaveCount(before);
	await pick(page, 'MRS L TREVENA');
	await page.keyboard.press('m');
	await pick(page, 'CORNCRAKE');
	await page.keyboard.press('m');
	await page.keyboard.press('g');
	const hold = page.getByRole('dialog', { name: /^Hold 2 receipts/ });
	await hold.getByLabel('What are they waiting for?').fill('ask the branch');
	await hold.getByLabel('Who looks into them?').selectOption('Imre Sallow');
	await hold.getByRole('button', { name: 'Hand to Imre Sallow' }).click();
	await expect(page.getByText('2 receipts handed to Imre Sallow.')).toBeVisible();
	await page.getByRole('button', { name: 'more' }).click();
	await page.getByLabel('Assigned to').selectOption('Imre Sallow');
	await expect(page.locator('[data-receipt]')).toHaveCount(2);
	await expect(page.locator('[data-receipt]').first()).toContainText('Imre Sallow: ask the branch');
	expect(heard).toEqual([]);
});

test('what is booked as unidentified is no work of the day any more, and has a list with its age and who looks for it', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	const count = async () => Number((await page.locator('h1').innerText()).replace(/\D/g, ''));
	const before = await count();
	await pick(page, 'PAYLOOM');
	await postTo(page, 'unidentified');
	await expect(page.getByText(/is booked as unidentified/)).toBeVisible();
	await expect.poll(count).toBe(before - 1);
	await page.goto('/');
	await expect(page.getByText('1 receipt is booked as unidentified').first()).toBeVisible();
	await desk(page);
	// Once the answers are there, nothing moves under the pointer.
	await expect(page.getByText('33 · read and post')).toBeVisible();
	await page.getByRole('link', { name: '1 · list' }).click();
	await expect(page.getByRole('heading', { name: /of unidentified receipts\./ })).toBeVisible();
	await page.getByLabel('Tick all').check();
	await page.getByLabel('Hand to').selectOption('Wren Tolliver');
	await page.getByLabel('with the note').fill('ask the bank');
	await page.getByRole('button', { name: 'Hand over 1 receipt' }).click();
	await expect(page.getByRole('row', { name: /Wren Tolliver ask the bank/ })).toBeVisible();
	await expectAccessible(page);
});

test('open items of several accounts are ticked, a sum is found, and they are recorded as one', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Open items' }).click();
	await page.waitForURL('**/open-items');
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('f');
	await expect(page.getByLabel('Sum to be found')).toBeFocused();
	await page.keyboard.type('100000');
	await page.keyboard.press('Escape');
	for (const key of ['ArrowDown', ' ', 'ArrowDown', ' ', 'ArrowDown', ' ']) await page.keyboard.press(key);
	const bar = page.locator('footer');
	await expect(bar).toContainText(/3 items of \d accounts?, £[\d,.]+\. £[\d,.]+ still to be found\./);
	const sum = /accounts?, £([\d,.]+\d)\./.exec(await bar.innerText())![1]!;
	// What was looked for is just what was found.
	await page.keyboard.press('f');
	await page.getByLabel('Sum to be found').fill(sum);
	await expect(bar).toContainText('Just the sum.');
	expect(await violations(page, 'open items ticked')).toEqual([]);
	await page.keyboard.press('Escape');
	await page.keyboard.press('p');
	const dialog = page.getByRole('dialog', { name: 'Record as paid' });
	await expect(dialog.getByLabel('Paid on')).toBeFocused();
	await expect(dialog).toContainText(`One entry of £${sum}`);
	await expect(dialog.getByRole('row', { name: `1230 Money on its way ${sum} GBP` })).toBeVisible();
	expect(await violations(page, 'record as paid')).toEqual([]);
	// More than is open is refused before it is sent.
	const first = dialog.getByRole('textbox', { name: /^Paid of/ }).first();
	const full = await first.inputValue();
	await first.fill('9,999,999');
	await expect(dialog.getByRole('button', { name: /^Post/ })).toBeDisabled();
	await first.fill(full);
	await dialog.getByLabel('Reference').fill('Ashlock fair');
	await expect(dialog.getByRole('button', { name: `Post £${sum}` })).toBeEnabled();
	await page.keyboard.press('Enter');
	await expect(dialog).toBeHidden();
	await expect(page.getByText(`Recorded 3 items as paid, £${sum}.`)).toBeVisible();
	await page.getByRole('button', { name: /^(Paying-in slip|See them)$/ }).click();
	await expect(page.getByText('Ashlock fair').first()).toBeVisible();
	expect(heard).toEqual([]);
});

test('a payer whom nobody knows gets an account from the desk, without leaving the receipt', async ({
	page
}) => {
	await signIn(page);
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Money in' }).click();
	await page.waitForURL('**/money-in');
	await page.waitForLoadState('networkidle');
	await pick(page, 'CORNCRAKE');
	await page.keyboard.press('q');
	const dialog = page.getByRole('dialog', { name: 'A new customer' });
	await expect(dialog.getByLabel('Name', { exact: true })).toHaveValue('CORNCRAKE BOOKKEEPING');
	await dialog.getByLabel('Name', { exact: true }).fill('Hazel Hill Pottery');
	await page.keyboard.press('Enter');
	await expect(dialog.getByText(/There is an account of that name already/)).toBeVisible();
	await dialog.getByLabel('Name', { exact: true }).fill('Corncrake Bookkeeping');
	await page.keyboard.press('Enter');
	await expect(dialog).toBeHidden();
	await expect(page.locator('h2').first()).toHaveText('Corncrake Bookkeeping');
	await expect(page.locator('footer')).toContainText('Leaves £462.00 on account.');
});

test('a ledger account of one’s own is added, and what is posted there says its VAT', async ({ page }) => {
	await signIn(page, 'supervisor');
	await page.getByRole('button', { name: 'Hollis Greaves' }).click();
	await page.getByRole('menuitem', { name: 'Settings' }).click();
	await page.waitForURL('**/books/settings');
	await page.waitForLoadState('networkidle');
	const form = page.locator('form[action="?/ledger"]');
	await form.getByLabel('Name').fill('Kiln repairs');
	await form.getByLabel('Code').fill('1100');
	await form.getByLabel('VAT, %').fill('20');
	await form.getByRole('button', { name: 'Add the account' }).click();
	await expect(page.getByRole('alert')).toContainText('1100 (Trade receivables)');
	await form.getByLabel('Code').fill('7510');
	await form.getByRole('button', { name: 'Add the account' }).click();
	await expect(page.getByRole('row', { name: 'Kiln repairs 7510 20%' })).toBeVisible();
	expect(await violations(page, 'settings')).toEqual([]);
	await desk(page);
	await pick(page, 'went out');
	await page.keyboard.press('n');
	const dialog = page.getByRole('dialog', { name: 'Not customer money' });
	await expect(dialog.getByRole('combobox')).toBeFocused();
	await page.keyboard.type('kiln rep');
	await page.keyboard.press('Enter');
	await expect(dialog).toContainText(/£[\d.]+ of it is VAT at 20%, to be reclaimed\./);
});
