import { readFile } from 'node:fs/promises';
import { expect, test, type Page } from '@playwright/test';
import { SheetDay, xlsx } from '../src/lib/tables/testing-xlsx';
import { complaints, dropFile, expectAccessible, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// A firm's own lists, with its own headings, dates and amounts. Each goes on from the one before.
test.describe.configure({ mode: 'serial' });

const CUSTOMERS = `Kundennummer;Firma;Anschrift;E-Mail
K7;Töpferei Linde;Am Brennofen 4, Lehmwiesen;linde@lehm.example
K8;Tonwerk Au;Uferweg 1, Lehmwiesen;au@lehm.example
`;
const ITEMS = `Offene Posten
Stand: 31.10.2026
Kunde;Rg.-Nr.;Rechnungsdatum;Fällig am;Rechnungsbetrag;Offen
K7;LW-4711;01.10.2026;31.10.2026;1.200,00;1.200,00
K7;LW-4712;02.10.2026;;-45,40;-45,40
K8;LW-4713;03.10.2026;02.11.2026;80,00;79,50
Summe;;;;1.234,60;1.234,10
`;
/** Neither its day nor its amount says what it is, and nothing names the customer's column. */
const OPEN_QUESTIONS = `Wer,Rechnung,Datum,Offen
K8,LW-4714,02/10/2026,1.234
`;

async function bringIn(page: Page, name: string, text: string): Promise<void> {
	await page
		.getByLabel(/^A spreadsheet \(XLSX\) or CSV file/)
		.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
}
async function toBringIn(page: Page): Promise<void> {
	await signIn(page);
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Open items' }).click();
	await page.getByRole('link', { name: 'Bring in invoices or customers' }).click();
	await page.waitForURL('**/open-items/bring-in');
	await page.waitForLoadState('networkidle');
}

test('customers and open items come in with their own headings, without a question', async ({ page }) => {
	const heard = complaints(page);
	await toBringIn(page);
	const template = await page.request.get(
		(await page.getByRole('link', { name: 'A template to fill in' }).getAttribute('href'))!
	);
	expect(await template.text()).toContain('document number,customer code,issue date');
	// What it is, is told from the file: nothing is chosen.
	await bringIn(page, 'kunden.csv', CUSTOMERS);
	await expect(page.getByRole('heading', { name: '2 customers would be added' })).toBeVisible();
	await expect(page.getByText('Read by its headings, 4 columns of 4, in GBP')).toBeVisible();
	await page.getByRole('button', { name: 'Add 2 customers' }).click();
	await expect(page.getByText('Added 2 customers')).toBeVisible();
	await bringIn(page, 'offene-posten.csv', ITEMS);
	await expect(page.getByRole('heading', { name: '3 documents would be added' })).toBeVisible();
	await expect(page.getByText('day before month, decimals after a comma, in GBP')).toBeVisible();
	await expect(page.getByText('1 line without a document number left out: line 7.')).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Add 3 documents' }).click();
	await expect(page.getByText('Added 3 documents')).toBeVisible();
	await page.goto('/customers/K7');
	await expect(page.getByRole('row').filter({ hasText: 'LW-4711' })).toContainText('1,200.00');
	await expect(page.getByRole('row').filter({ hasText: 'LW-4712' })).toContainText('45.40');
	await expect(page.getByText('Lehmwiesen')).toBeVisible();
	expect(heard).toEqual([]);
});

test('what could be two things is asked, and known the next time', async ({ page }) => {
	await toBringIn(page);
	await bringIn(page, 'liste.csv', OPEN_QUESTIONS);
	// Not told from its headings alone: it is of the kind that is chosen.
	await expect(page.getByText('Say which column is the customer code.')).toBeVisible();
	await expect(page.getByRole('button', { name: /^Add / })).toHaveCount(0);
	await page.getByLabel('What Wer is').selectOption({ label: 'customer code *' });
	await expect(page.getByText('Say which column')).toHaveCount(0);
	await page.getByLabel('Each date could be read in two ways.').selectOption({ label: 'the day' });
	await page
		.getByLabel('Each amount could be read in two ways.')
		.selectOption({ label: 'a comma, as in 1,23' });
	await expect(page.getByRole('heading', { name: '1 document would be added' })).toBeVisible();
	await expect(page.getByRole('row', { name: /LW-4714 K8/ })).toContainText('£1,234.00 open, due 1 Nov 2026');
	await page.getByRole('button', { name: 'Add 1 document' }).click();
	await expect(page.getByText('Added 1 document')).toBeVisible();
	await bringIn(page, 'liste-2.csv', OPEN_QUESTIONS.replace('LW-4714', 'LW-4715'));
	await expect(
		page.getByText(/^Read as was said before of “liste.csv”, .*day before month, decimals after a comma/)
	).toBeVisible();
	await expect(page.getByRole('heading', { name: '1 document would be added' })).toBeVisible();
	// Rows that cannot be read are told by line and by the name of their field.
	await bringIn(
		page,
		'liste-3.csv',
		`${OPEN_QUESTIONS.replace('LW-4714', 'LW-4717')}K8,LW-4716,31/02/2026,1.234\n`
	);
	await expect(
		page.getByText('liste-3.csv, line 3: “31/02/2026” in issue date cannot be taken')
	).toBeVisible();
	// The others can come in without them, and a file of those that cannot is mended and read as the first was.
	await expect(page.getByRole('button', { name: /^Add / })).toHaveCount(0);
	await expectAccessible(page);
	const saving = page.waitForEvent('download');
	await page.getByRole('button', { name: 'Save liste-3-not-taken.csv' }).click();
	const saved = await readFile(await (await saving).path(), 'utf8');
	expect(saved).toContain('Wer,Rechnung,Datum,Offen,Why it was not taken');
	expect(saved).toContain('K8,LW-4716,31/02/2026,1.234,“31/02/2026” in issue date cannot be taken');
	await page.getByLabel('Bring in the others without it').check();
	await page.getByRole('button', { name: 'Add 1 document' }).click();
	// An earlier message may still be there: it is done when nothing is left to add.
	await expect(page.getByRole('button', { name: /^Add / })).toHaveCount(0);
	await bringIn(page, 'liste-3-not-taken.csv', saved.replaceAll('31/02/2026', '28/10/2026'));
	await expect(page.getByText(/^Read as was said before of “liste.csv”, 4 columns of 5/)).toBeVisible();
	await page.getByRole('button', { name: 'Add 1 document' }).click();
	await expect(page.getByRole('button', { name: /^Add / })).toHaveCount(0);
});

test('a spreadsheet file that is dropped anywhere is led by its rows to where they belong', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	const bytes = xlsx({
		Notes: [],
		'Open items': [
			['Kunde', 'Rg.-Nr.', 'Rechnungsdatum', 'Fällig am', 'Offen'],
			['K8', 'LW-4720', new SheetDay('2026-10-05'), new SheetDay('2026-10-19'), 1044.6],
			['K8', 'LW-4721', new SheetDay('2026-10-06'), null, -7]
		]
	});
	await dropFile(page, 'offene-posten.xlsx', Buffer.from(bytes));
	await page.waitForURL('**/open-items/bring-in');
	await expect(page.getByRole('heading', { name: '2 documents would be added' })).toBeVisible();
	await expect(page.getByText('offene-posten.xlsx', { exact: true })).toBeVisible();
	await expect(page.getByRole('row', { name: /LW-4720 K8, £1,044.60 open, due 19 Oct 2026/ })).toBeVisible();
	await page.getByRole('button', { name: 'Add 2 documents' }).click();
	await expect(page.getByText('Added 2 documents')).toBeVisible();
	expect(heard).toEqual([]);
});

test('how far long work has come is shown, and whoever goes elsewhere is told when it is done', async ({
	page
}) => {
	await toBringIn(page);
	// As slow as a hundred thousand rows are.
	let go = () => {};
	const held = new Promise<void>((resolve) => (go = resolve));
	await page.route('**/open-items/bring-in?/documents', async (route) => {
		await held;
		await route.continue();
	});
	await page.route('**/api/progress?key=*', (route) => route.fulfill({ json: { done: 437, of: 1000 } }));
	await bringIn(page, 'offene.csv', 'Kunde;Rg.-Nr.;Rechnungsdatum;Offen\nK8;LW-4730;07.10.2026;3,10\n');
	await page.getByRole('button', { name: 'Add 1 document' }).click();
	await expect(page.getByText('43% is written.')).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Customers' }).click();
	await page.waitForURL('**/customers');
	go();
	await expect(page.getByText('Added 1 document; 0 were there already.')).toBeVisible();
	expect(page.url()).toContain('/customers');
	// Of what is not under way, or is somebody else's, nothing is told.
	await page.unroute('**/api/progress?key=*');
	expect(await (await page.request.get('/api/progress?key=none')).json()).toBeNull();
});

test('payments of the past are learned from, and taken back', async ({ page }) => {
	await signIn(page);
	await dropFile(
		page,
		'zahlungen.csv',
		'Kundennummer;Zahlungsdatum;Betrag;Zahler;Rechnungen\nK8;01.09.2026;80,00;AU HOLDING;LW-4400\n'
	);
	await page.waitForURL('**/open-items/bring-in');
	await expect(page.getByRole('heading', { name: '1 payment would be learned from' })).toBeVisible();
	await page.getByRole('button', { name: 'Learn from 1 payment' }).click();
	await expect(page.getByRole('heading', { name: 'Learned from before' })).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'take back' }).click();
	await expect(page.getByText('Taken back. What it taught counts no more.')).toBeVisible();
	await expect(page.getByRole('heading', { name: 'Learned from before' })).toHaveCount(0);
});

test('a table that is known is found by key, given a name, forgotten and known again', async ({ page }) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await page.waitForLoadState('networkidle');
	await page.keyboard.press('Control+k');
	await page.getByRole('combobox', { name: /^Find a number/ }).fill('columns');
	await expect(page.getByRole('option')).toHaveCount(2);
	await page.getByRole('option', { name: /Tables that are known/ }).click();
	await page.waitForURL('**/books/settings#tables');
	await expectAccessible(page);
	const name = page.getByLabel('What the table of documents is called');
	await expect(name).toHaveValue('liste.csv');
	await name.fill('Our ledger’s list');
	await name.press('Enter');
	await expect(page.getByText('It is called “Our ledger’s list” now.')).toBeVisible();
	await page.getByRole('button', { name: 'Forget “Our ledger’s list”' }).click();
	await expect(name).toHaveCount(0);
	await page.getByRole('button', { name: 'Undo' }).click();
	await expect(name).toHaveValue('Our ledger’s list');
	expect(heard).toEqual([]);
});
