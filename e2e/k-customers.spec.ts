import { expect, test, type Page } from '@playwright/test';
import { complaints, dropFile, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

/** A picture of one red point. */
const ONE_POINT = Buffer.from(
	'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==',
	'base64'
);

// Customers kept by hand. Each goes on from the one before.
test.describe.configure({ mode: 'serial' });

const station = (page: Page, name: string) =>
	page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name });

test('a customer is opened by hand, with all that is known of them', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await station(page, 'Customers').click();
	await page.getByRole('link', { name: 'New customer' }).click();
	await page.waitForURL('**/customers/new');
	await expectAccessible(page);
	await page.getByLabel('Name', { exact: true }).fill('Thistledown Ceramics');
	await page.getByLabel('Account code').fill('T-1');
	await page.getByLabel('Address', { exact: true }).fill('2 Kiln Row\nStannary');
	await page.getByLabel('Credit limit, GBP').fill('lots');
	await page.getByLabel('E-mail for statements').fill('pay@thistledown.example');
	await page.getByLabel('Bank accounts, one on a line').fill('GB12 ZZTB 3287 7836 3927 26');
	await page.getByRole('button', { name: 'Open the account' }).click();
	// What is wrong stands at its field, and nothing that was typed is lost.
	await expect(page.getByLabel('Credit limit, GBP')).toHaveAttribute('aria-invalid', 'true');
	await page.getByLabel('Credit limit, GBP').fill('2,500');
	await page.getByRole('button', { name: 'Open the account' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByText('Credit limit £2,500.00, £2,500.00 left.')).toBeVisible();
	await expect(page.getByText('GB12ZZTB32877836392726')).toBeVisible();
	expect(heard).toEqual([]);
});

test('details are changed by key, and the record has each as it was and as it is', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await station(page, 'Customers').click();
	await page.getByLabel('Filter by name or code').fill('Thistledown');
	await page.keyboard.press('Enter');
	await page.getByRole('link', { name: 'Thistledown Ceramics' }).click();
	await page.waitForURL('**/customers/T-1');
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('e');
	await page.waitForURL('**/customers/T-1/details');
	await expectAccessible(page);
	await expect(page.getByRole('button', { name: 'Save' })).toBeDisabled();
	await page.getByLabel('Payment due in days').fill('45');
	await page.getByLabel('No reminders, because').fill('in talks');
	await page.getByLabel('Until').fill('24 Dec');
	// Who leaves without saving is asked.
	page.once('dialog', (dialog) => void dialog.dismiss());
	await page.getByRole('link', { name: 'Cancel' }).click();
	await expect(page.getByLabel('Payment due in days')).toHaveValue('45');
	await page.getByRole('button', { name: 'Save' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByText('3 details of Thistledown Ceramics changed.')).toBeVisible();
	await expect(page.getByText('Pays in 45 days.')).toBeVisible();
	await expect(page.getByText('No reminders until 24 Dec: in talks')).toBeVisible();
	await station(page, 'Books').click();
	await page.getByRole('link', { name: 'Record', exact: true }).first().click();
	await expect(
		page.getByText(
			/Changed Thistledown Ceramics, T-1: terms 30 days, now 45 days; reminders paused “in talks”/
		)
	).toBeVisible();
	expect(heard).toEqual([]);
});

test('contacts are kept, and whoever is to get copies needs an address', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await page.goto('/customers/T-1');
	await page.getByRole('link', { name: 'Change' }).click();
	await page.waitForURL('**/details');
	await page.getByRole('button', { name: 'Add a contact' }).click();
	// The new line is where one goes on typing.
	await expect(page.getByLabel('Name of contact 1')).toBeFocused();
	await page.keyboard.type('Ada Reed');
	await page.getByLabel('For of contact 1').fill('bought ledger');
	await page.getByLabel('Letters of contact 1').selectOption({ label: 'copies of statements' });
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Save' }).click();
	await expect(page.getByText('Copies need an e-mail address.')).toBeVisible();
	await page.getByLabel('E-mail of contact 1').fill('ada@thistledown.example');
	await page.getByRole('button', { name: 'Save' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(
		page.getByText('Ada Reed, bought ledger, ada@thistledown.example, copies of statements')
	).toBeVisible();
	expect(heard).toEqual([]);
});

test('what happened stands on one timeline, notes with it', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await page.goto('/customers/T-1');
	await expect(page.getByText('Nothing was noted.')).toBeVisible();
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('n');
	await page.waitForURL('**/customers/T-1/timeline');
	await expect(page.getByText('reminders paused “in talks”')).toBeVisible();
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('n');
	await page.keyboard.type('Rang Ada: pays on Friday');
	await page.keyboard.press('Control+Enter');
	await expect(page.getByRole('listitem').filter({ hasText: 'Rang Ada: pays on Friday' })).toBeVisible();
	await expectAccessible(page);
	await page
		.getByRole('listitem')
		.filter({ hasText: 'Rang Ada' })
		.getByRole('button', { name: 'take off' })
		.click();
	await expect(page.getByText('taken off', { exact: true })).toBeVisible();
	await page.getByLabel('Note something').fill('Ada is away until Monday');
	await page.getByRole('button', { name: 'Note' }).click();
	await expect(page.getByRole('listitem').filter({ hasText: 'Ada is away until Monday' })).toBeVisible();
	await page.getByLabel('Note something').press('Escape');
	await page.getByRole('link', { name: 'T-1', exact: true }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByText('Ada is away until Monday')).toBeVisible();
	expect(heard).toEqual([]);
});

test('a promise to pay is recorded by key, waits for its day, and can be undone', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await page.goto('/customers/T-1');
	await expect(page.getByText('None is recorded.')).toBeVisible();
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('p');
	const dialog = page.getByRole('dialog', { name: 'A promise to pay' });
	await dialog.getByLabel('Amount, GBP').fill('250+80');
	await dialog.getByLabel('By', { exact: true }).fill('29 Oct');
	await dialog.getByLabel('Who said so').fill('Ada Reed');
	await dialog.getByRole('button', { name: 'Record it' }).click();
	await expect(dialog.getByText('That day is over')).toBeVisible();
	await expectAccessible(page);
	await dialog.getByLabel('By', { exact: true }).fill('6 Nov');
	await dialog.getByRole('button', { name: 'Record it' }).click();
	await expect(page.getByText('£330.00 by 6 Nov, Ada Reed: waits.')).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(page.getByText('None is recorded.')).toBeVisible();
	expect(heard).toEqual([]);
});

test('files are dropped on the timeline, read again, and taken off', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await page.goto('/customers/T-1');
	await page.getByRole('link', { name: /^Timeline/ }).click();
	await page.waitForURL('**/timeline');
	await dropFile(page, 'terms.pdf', '%PDF-1.7 made up');
	const row = page.getByRole('listitem').filter({ hasText: 'terms.pdf' });
	const link = row.getByRole('link', { name: 'terms.pdf' });
	await expect(link).toBeVisible();
	const kept = await page.request.get((await link.getAttribute('href'))!);
	expect(await kept.text()).toBe('%PDF-1.7 made up');
	expect(kept.headers()['content-security-policy']).toContain('sandbox');
	await expectAccessible(page);
	await page.getByRole('link', { name: 'T-1', exact: true }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByRole('link', { name: 'terms.pdf' })).toBeVisible();
	await page.goBack();
	await row.getByRole('button', { name: 'take off' }).click();
	await expect(row.getByText('taken off')).toBeVisible();
	await page.getByRole('link', { name: 'T-1', exact: true }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByRole('link', { name: 'terms.pdf' })).toHaveCount(0);
	expect(heard).toEqual([]);
});

test('terms of the firm’s list are kept once and chosen by name; a document is due by them, and tells the credit limit', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await page.goto('/');
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('Control+k');
	await page.getByRole('combobox', { name: /^Find a number/ }).fill('Terms of payment');
	await expect(page.getByRole('option', { name: 'Terms of payment' }).first()).toBeVisible();
	await page.keyboard.press('Enter');
	await page.waitForURL('**/books/settings#terms');
	await page.getByRole('button', { name: 'Add terms …' }).click();
	const dialog = page.getByRole('dialog', { name: 'New terms' });
	await dialog.getByLabel('Name').fill('A third first');
	await dialog.getByRole('button', { name: 'In instalments' }).click();
	await dialog.getByLabel('Share of instalment 1').fill('33.34');
	await dialog.getByLabel('Days until instalment 1').fill('0');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(dialog.getByText('The parts do not come to 100%.')).toBeVisible();
	await expectAccessible(page);
	await dialog.getByLabel('Share of instalment 2').fill('66.66');
	await dialog.getByRole('button', { name: 'Keep' }).click();
	await expect(page.getByRole('cell', { name: '33.34% in 0 days and 66.66% in 60 days' })).toBeVisible();

	await page.goto('/customers/T-1');
	await page.getByRole('link', { name: /^Change/ }).click();
	await page.waitForURL('**/details');
	await page
		.getByLabel('From the firm’s list')
		.selectOption({ label: 'A third first: 33.34% in 0 days and 66.66% in 60 days' });
	await expect(page.getByLabel('Share of instalment 2')).toHaveValue('66.66');
	await page.getByLabel('Credit limit, GBP').fill('100');
	await page.getByLabel('Language').selectOption({ label: 'German' });
	await page.getByLabel('Late-payment interest').selectOption({ label: 'at an agreed rate' });
	await page.getByLabel('Rate, % a year').fill('4.25');
	await page.getByRole('button', { name: 'Save' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(
		page.getByText('Pays 33.34% in 0 days and 66.66% in 60 days. Interest of 4.25% a year was agreed.')
	).toBeVisible();
	await expect(page.getByText('Written to in German')).toBeVisible();
	await page.getByRole('link', { name: 'Write a document' }).click();
	await page.waitForURL('**/open-items/new**');
	await page.getByLabel('What line 1 is for').fill('Kiln shelves');
	await page.getByLabel('Net amount of line 1').fill('100');
	await expect(page.getByText('30 Oct, 40.01')).toBeVisible();
	await expect(page.getByText('29 Dec, 79.99')).toBeVisible();
	await expect(
		page.getByText('That is £120.00 in all, £20.00 above the credit limit of £100.00.')
	).toBeVisible();
	expect(heard).toEqual([]);
});

test('a logo stands at the head of letters, and what is none is refused', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await page.getByRole('button', { name: 'Hollis Greaves' }).click();
	await page.getByRole('menuitem', { name: 'Settings' }).click();
	await page.waitForURL('**/books/settings');
	const field = page.getByLabel('Logo at the head of letters, PNG or JPEG');
	await field.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
	await expect(page.getByText('That is no PNG or JPEG.')).toBeVisible();
	await field.setInputFiles({ name: 'logo.png', mimeType: 'image/png', buffer: ONE_POINT });
	await expect(page.getByRole('img', { name: 'The firm’s logo' })).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('navigation').getByRole('link', { name: 'Letters' }).click();
	const letter = page.getByRole('region', { name: /^The letter to/ });
	await expect(letter.locator('[data-drawn]').first()).toBeVisible();
	const link = await page.getByRole('link', { name: 'Open by itself' }).getAttribute('href');
	const pdf = await (await page.request.get(link!)).body();
	expect(pdf.includes('/Subtype /Image') || pdf.includes('/Subtype/Image')).toBe(true);
	await page.goto('/books/settings');
	await page.getByRole('button', { name: 'Take it off' }).click();
	await expect(page.getByRole('img', { name: 'The firm’s logo' })).toHaveCount(0);
	expect(heard.filter((text) => !text.includes('400'))).toEqual([]);
});

test('an account on which nothing is open is closed, and opened again', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await station(page, 'Customers').click();
	await page.getByLabel('Filter by name or code').fill('T-1');
	await page.keyboard.press('Enter');
	await page.getByRole('link', { name: 'Thistledown Ceramics' }).click();
	await page.getByRole('link', { name: /^Change/ }).click();
	await page.getByRole('button', { name: 'Close the account …' }).click();
	const dialog = page.getByRole('dialog', { name: 'Close the account' });
	await dialog.getByLabel('Why').fill('sold to another');
	await dialog.getByRole('button', { name: 'Close the account' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByText('The account was closed on 30 Oct.')).toBeVisible();
	await expect(page.getByRole('link', { name: 'Write a document' })).toHaveCount(0);
	await page.getByRole('link', { name: /^Change/ }).click();
	await page.getByRole('button', { name: 'Open the account again' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByRole('link', { name: 'Write a document' })).toBeVisible();
	expect(heard).toEqual([]);
});

test('a table changes those who are there once somebody says so', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page);
	await station(page, 'Customers').click();
	await page.getByRole('link', { name: 'New customer' }).click();
	await page.getByRole('link', { name: 'from a table' }).click();
	await page.waitForURL('**/open-items/bring-in?what=customers');
	await page
		.getByLabel('or rows pasted here')
		.fill(
			'Code\tName\tTelephone\tTerms\nT-1\tThistledown & Daughters\t01632 960 222\t\nT-2\tFern Row\t\t14\n'
		);
	await page.getByRole('button', { name: 'Show what would happen' }).click();
	await expect(
		page.getByRole('heading', { name: '1 customer would be added, 1 would change, 0 are there already.' })
	).toBeVisible();
	await expect(
		page.getByText(
			'would change: name “Thistledown Ceramics”, now “Thistledown & Daughters”; telephone “01632 960 222”'
		)
	).toBeVisible();
	await expect(page.getByRole('button', { name: 'Add 1 customer', exact: true })).toBeVisible();
	await page.getByRole('checkbox', { name: 'Take what the table says' }).check();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Add 1 customer and change 1' }).click();
	await expect(page.getByText('Added 1 customer; 0 were there already. 1 was changed.')).toBeVisible();
	await station(page, 'Customers').click();
	await page.getByLabel('Filter by name or code').fill('T-1');
	await page.keyboard.press('Enter');
	await expect(page.getByRole('link', { name: 'Thistledown & Daughters' })).toBeVisible();
	expect(heard).toEqual([]);
});

test('two accounts that are one are merged, read as one, and apart again', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await page.goto('/customers/T-1');
	await page.getByRole('link', { name: /^Change/ }).click();
	await page.waitForURL('**/details');
	await page.waitForLoadState('networkidle');
	await page.getByRole('button', { name: 'Merge another account …' }).click();
	const dialog = page.getByRole('dialog', { name: 'Merge another account into this one' });
	await dialog.getByRole('combobox', { name: 'The other account' }).fill('Fern Row');
	await page.getByRole('option', { name: /Fern Row/ }).click();
	await expect(
		dialog.getByText('Fern Row, T-2, will be seen as Thistledown & Daughters, T-1.')
	).toBeVisible();
	await expectAccessible(page);
	await dialog.getByRole('button', { name: 'Merge the accounts' }).click();
	await page.waitForURL('**/customers/T-1');
	await expect(page.getByText('One with Fern Row, T-2.')).toBeVisible();
	await expectAccessible(page);
	// A link that somebody kept leads on, whatever it asked for.
	await page.goto('/customers/T-2/timeline');
	await page.waitForURL('**/customers/T-1/timeline');
	await expect(page.getByText('Merged Fern Row, T-2, into Thistledown & Daughters, T-1')).toBeVisible();
	await page.goto('/customers/T-1');
	await page.waitForLoadState('networkidle');
	await page.getByRole('button', { name: 'take that back' }).click();
	await expect(page.getByText('One with Fern Row, T-2.')).toHaveCount(0);
	await page.goto('/customers/T-2');
	await expect(page.getByRole('heading', { level: 1 })).toContainText('Fern Row');
	expect(heard).toEqual([]);
});
