import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Locator, type Page } from '@playwright/test';
import { freePort, startServer } from '../attack/start-server';
import { complaints, expectAccessible } from './helpers';

// A firm moves in: from an empty folder to the first allocated receipt and a proof, with what its ledger and its bank give.

const CUSTOMERS = `Kundennummer;Firma;Anschrift;E-Mail;Zahlungsziel
K7;Töpferei Linde;Am Brennofen 4, Lehmwiesen;linde@lehm.example;30 Tage
K8;Tonwerk Au;Uferweg 1, Lehmwiesen;au@lehm.example;14 Tage
K9;Kachelhof Sand;Sandgasse 9, Lehmwiesen;;30 Tage
`;
const ITEMS = `Offene Posten
Stand: 31.10.2026
Kunde;Rg.-Nr.;Rechnungsdatum;Fällig am;Rechnungsbetrag;Offen
K7;LW-4711;01.10.2026;31.10.2026;1.200,00;1.200,00
K7;LW-4712;02.10.2026;;-45,40;-45,40
K8;LW-4713;03.10.2026;17.10.2026;80,00;79,50
K8;LW-4700;01.08.2026;15.08.2026;310,00;0,00
K9;LW-4714;31.10.2026;30.11.2026;1.044,60;1.044,60
Summe;;;;2.589,20;2.278,70
`;
const PAYMENTS = `Zahlungsdatum;Kunde;Betrag;Auftraggeber;IBAN;Rechnungen
14.09.2026;K9;-512,20;Sandgruppe Verwaltung;DE02 5001 0517 5407 3249 31;LW-4601
15.09.2026;K9;-88,00;Sandgruppe Verwaltung;DE02 5001 0517 5407 3249 31;LW-4602, LW-4603
31.08.2026;K8;-310,00;Tonwerk Au;;LW-4700
`;
const BANK = [
	'Umsätze;Konto GB12ZZAM20145300000001',
	'Buchungstag;Auftraggeber;Verwendungszweck;Betrag;Saldo',
	'03.11.2026;Sandgruppe Verwaltung;Danke;1.044,60;6.199,20',
	'02.11.2026;Töpferei Linde;RG LW-4711 abzgl. LW-4712;1.154,60;5.154,60',
	''
].join('\r\n');

/** Counts what a person has to do. */
class Effort {
	fields = 0;
	clicks = 0;
	async type(field: Locator, text: string): Promise<void> {
		this.fields++;
		await field.fill(text);
	}
	async click(target: Locator): Promise<void> {
		this.clicks++;
		await target.click();
	}
	/** One click opens the dialog in which a file is chosen, one chooses it. */
	async give(field: Locator, name: string, text: string): Promise<void> {
		this.clicks += 2;
		await field.setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
	}
}

const button = (page: Page, name: string | RegExp) => page.getByRole('button', { name });
const step = (page: Page, name: string) =>
	page.locator('main li').filter({ has: page.getByText(name, { exact: true }) });

test('from an empty folder to the first allocated receipt and a proof', async ({ page }) => {
	const heard = complaints(page);
	const effort = new Effort();
	let logged = '';
	const port = await freePort();
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-moves-'));
	const server = await startServer(port, folder, { heard: (text) => (logged += text) });
	const back = async () => {
		await effort.click(page.getByRole('navigation').getByRole('link', { name: 'Setting up' }));
		await page.waitForURL('**/setting-up');
		await page.waitForLoadState('networkidle');
	};
	try {
		await page.goto(`http://127.0.0.1:${port}/`);
		const typed = {
			...{ code: /code: ([0-9A-Z-]{19})/.exec(logged)![1]!, firm: 'Garrick Kilns Ltd' },
			...{ address: 'Mill Lane\nGarrick', bank: 'Mere & Marches Bank', number: '20-14-53 0000 0001' },
			...{ name: 'Petra Voss', email: 'petra@garrick-kilns.example' },
			...{ password: 'salt glaze at dawn', again: 'salt glaze at dawn' }
		};
		for (const [name, text] of Object.entries(typed)) await effort.type(page.locator(`[name=${name}]`), text);
		await effort.click(button(page, 'Open the books'));
		await page.waitForURL('**/setting-up');
		await expect(page.locator('h1')).toHaveText('7 steps until the books are set up.');
		await expectAccessible(page);
		await effort.click(step(page, 'People').getByRole('button', { name: 'Leave out' }));
		await expect(page.locator('h1')).toHaveText('6 steps until the books are set up.');

		await effort.click(page.getByRole('link', { name: 'Bring in customers' }));
		await expect(page.locator('h1')).toHaveText('Bring in customers');
		await effort.give(page.getByLabel(/^A spreadsheet \(XLSX\) or CSV file/), 'kunden.csv', CUSTOMERS);
		await effort.click(button(page, 'Add 3 customers'));
		await expect(page.getByText('Added 3 customers')).toBeVisible();

		await back();
		await expect(step(page, 'Customers')).toContainText('3 accounts, 1 without an e-mail address.');
		await effort.click(page.getByRole('link', { name: 'Bring in open items' }));
		await expect(page.getByLabel(/from the books before/)).toBeChecked();
		await effort.type(page.getByLabel('Open at the end of'), '31/10/2026');
		await effort.type(page.getByLabel(/^Balance of the control account/), '2,278.07');
		await effort.give(page.getByLabel(/^A spreadsheet \(XLSX\) or CSV file/), 'offene-posten.csv', ITEMS);
		await expect(page.getByText('1 line with nothing open left out: line 7.')).toBeVisible();
		await expect(page.getByText('The control account shows £2,278.07: £0.63 less.')).toBeVisible();
		await expect(button(page, /^Add /)).toHaveCount(0);
		await expectAccessible(page);
		// The figure was mistyped: it is put right, and the rows are looked at again by themselves.
		await effort.type(page.getByLabel(/^Balance of the control account/), '2,278.70');
		await page.keyboard.press('Tab');
		await expect(page.getByText('That is what the control account shows, to the penny.')).toBeVisible();
		await effort.click(button(page, 'Add 4 documents'));
		await expect(page.getByText('Added 4 documents')).toBeVisible();

		await back();
		await expect(step(page, 'Open items')).toContainText('come to £2,278.70, as the control account shows.');
		await effort.click(page.getByRole('link', { name: 'Bring in payments' }));
		await expect(page.locator('h1')).toHaveText('Bring in payments of the past');
		await effort.give(page.getByLabel(/^A spreadsheet \(XLSX\) or CSV file/), 'zahlungen.csv', PAYMENTS);
		await expect(page.getByText(/day before month, decimals after a comma/)).toBeVisible();
		await expectAccessible(page);
		await effort.click(button(page, 'Learn from 3 payments'));
		await expect(page.getByText('3 payments to learn from; 0 were there already.')).toBeVisible();

		await back();
		await expect(step(page, 'Payments of the past')).toContainText('Matching learns from 3 payments.');
		await effort.click(page.getByRole('link', { name: 'Bring in a file' }));
		await page.waitForURL('**/money-in/bring-in');
		await effort.give(page.locator('input[type=file]').first(), 'umsaetze.csv', BANK);
		await page.waitForURL('**/money-in/bank-table');
		await expect(page.getByText('from £4,000.00 to £6,199.20')).toBeVisible();
		await effort.click(button(page, 'Bring in 2 entries'));
		await page.waitForURL('**/money-in');

		// One names what it pays; whom the other pays for is known of the past: the desk has both answers.
		await expect(page.locator('[data-receipt]')).toHaveCount(2);
		await effort.click(page.locator('[data-receipt]').first());
		await expect(button(page, /^Post/)).toBeEnabled();
		await effort.click(button(page, /^Post/));
		await expect(page.locator('[data-receipt]')).toHaveCount(1);

		await back();
		await effort.click(step(page, 'Mail').getByRole('button', { name: 'Send a test' }));
		await expect(page.getByText('The mail server took the test.')).toBeVisible();
		await expect(page.locator('h1')).toHaveText('All is there: prove the books, and begin.');
		await effort.click(button(page, 'Prove and finish'));
		await page.waitForURL(`http://127.0.0.1:${port}/`);
		await expect(page.getByText('The books are set up.')).toBeVisible();
		await expect(page.getByRole('navigation').getByRole('link', { name: 'Setting up' })).toHaveCount(0);

		await page.getByRole('navigation').getByRole('link', { name: 'Books' }).click();
		await expect(page.getByText('The books prove.')).toBeVisible();
		// What was owed before is no sale of these books.
		const row = (name: string) => page.getByRole('row').filter({ hasText: name });
		await expect(row('Opening balances')).toContainText('2,278.70');
		await expect(row('Sales')).toHaveCount(0);
		console.log(`moving in: ${effort.fields} fields typed, ${effort.clicks} clicks`);
		expect(heard).toEqual([]);
	} finally {
		server.kill('SIGINT');
	}
});
