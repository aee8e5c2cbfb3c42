import { expect, test, type Page } from '@playwright/test';
import { complaints, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

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
