import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import { createClient } from '@libsql/client';
import { expect, test } from '@playwright/test';
import { confirmPassword, complaints, open, signIn, violations } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

/** A statement of the current account as somebody might write it by hand. */
const byHand = `<?xml version="1.0" encoding="UTF-8"?>
<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.08"><BkToCstmrStmt><Stmt><Id>HAND-1</Id><Acct><Id><IBAN>GB89ZZAM30990114402817</IBAN></Id><Ccy>GBP</Ccy></Acct>
<Bal><Tp><CdOrPrtry><Cd>OPBD</Cd></CdOrPrtry></Tp><Amt Ccy="GBP">5.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Dt><Dt>2026-10-29</Dt></Dt></Bal>
<Bal><Tp><CdOrPrtry><Cd>CLBD</Cd></CdOrPrtry></Tp><Amt Ccy="GBP">105.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Dt><Dt>2026-10-30</Dt></Dt></Bal>
<Ntry><Amt Ccy="GBP">100.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts><Cd>BOOK</Cd></Sts><BookgDt><Dt>2026-10-30</Dt></BookgDt><AcctSvcrRef>X1</AcctSvcrRef></Ntry></Stmt></BkToCstmrStmt></Document>`;

test('a period is locked: the record is anchored, and its code stands on the page and on statements', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page, 'supervisor');
	await open(page, '/');
	await page.getByRole('link', { name: 'Books' }).click();
	await page.getByRole('link', { name: 'Periods' }).click();
	await page.getByRole('button', { name: 'Lock up to today' }).click();
	await page.getByRole('button', { name: 'Lock', exact: true }).click();
	await expect(page.getByText(/, when a period was locked/)).toBeVisible();
	const code = await page.locator('aside li .font-mono').first().textContent();
	expect(code).toMatch(/^[0-9A-Z]{4}(-[0-9A-Z]{4}){3}$/);
	expect(readdirSync(join(process.env['E2E_FOLDER']!, 'anchors')).join()).toMatch(
		/2026-10-30-lock-\d+\.json/
	);
	expect(await violations(page, 'periods')).toEqual([]);
	await page.getByRole('button', { name: 'Open from 1 Oct' }).click();
	await page.getByLabel(/Why, for the record/).fill('the bank was late');
	await page.getByRole('button', { name: 'Open again' }).click();
	await confirmPassword(page);
	await expect(page.getByText(/Opened the books again from 1 Oct/)).toBeVisible();
	await page.getByRole('link', { name: 'Letters' }).click();
	await page.locator('tbody tr').first().click();
	const letter = page.getByRole('region', { name: /^The letter to/ });
	await expect(letter.locator('[data-drawn]').first()).toBeVisible();
	await letter.evaluate((pages) => pages.scrollTo(0, pages.scrollHeight));
	await expect(letter).toContainText(`Our record stood at ${code!}`);
	expect(heard).toEqual([]);
});

test('a statement written by hand is taken and doubted, and a second person is asked for', async ({
	page,
	browser
}) => {
	await signIn(page, 'supervisor');
	await open(page, '/books/settings');
	await page.getByLabel('Bank files are taken from').selectOption('confirmed');
	await page.locator('form[action="?/files"] button').click();
	// Within ten minutes of the last time nobody is asked again: this session is the one of the test before.
	await expect(page.getByRole('dialog')).toHaveCount(0);
	await expect(page.getByText('Saved.')).toBeVisible();
	const context = await browser.newContext();
	const clerk = await context.newPage();
	await signIn(clerk);
	await open(clerk, '/money-in');
	await clerk.locator('input[name=files]').setInputFiles({
		...{ name: 'by-hand.xml', mimeType: 'application/xml' },
		buffer: Buffer.from(byHand)
	});
	await expect(
		clerk.getByText(/by-hand\.xml: 1 new entry\. Statement HAND-1 .* begins with £5\.00/)
	).toBeVisible();
	await open(clerk, '/');
	await expect(clerk.getByText('A statement does not fit')).toBeVisible();
	await expect(clerk.getByText(/1 bank file was brought in by hand and waits/)).toBeVisible();
	await open(page, '/');
	await page.locator('li', { hasText: 'Confirm bank files' }).getByRole('link', { name: 'Look' }).click();
	await expect(page.getByRole('heading', { name: '1 bank file waits for a second person.' })).toBeVisible();
	expect(await violations(page, 'bank files')).toEqual([]);
	await page.getByRole('button', { name: 'It is the bank’s', exact: true }).click();
	await expect(page.locator('tbody tr').first()).toContainText('Hollis Greaves');
	await page.getByRole('button', { name: 'It is the bank’s all the same' }).click();
	await page.getByLabel('Why HAND-1 is the bank’s, for the record').fill('the bank sent it on paper');
	await page.getByRole('button', { name: 'Accept it' }).click();
	await expect(page.getByText('HAND-1 is taken for the bank’s.')).toBeVisible();
	await expect(page.getByText(/begins with £5\.00/)).toHaveCount(0);
	await open(clerk, '/money-in/bank-files');
	await expect(clerk.getByRole('button', { name: 'It is the bank’s', exact: true })).toHaveCount(0);
	await context.close();
});

test('what is changed in the file itself shows in the proof', async ({ page }) => {
	const client = createClient({
		url: `file:${join(process.env['E2E_FOLDER']!, 'odd-penny.db')}`,
		timeout: 20_000
	});
	await client.execute('drop trigger allocation_no_update');
	await client.execute('update allocation set amount = amount - 1 where id = 7');
	client.close();
	await signIn(page, 'reader');
	await open(page, '/books');
	await expect(page.getByRole('heading', { name: /The books do not prove/ })).toBeVisible({
		timeout: 20_000
	});
	await expect(page.getByText(/allocation \d+ to \d+ \(record \d+\) is not as it was written/)).toBeVisible();
	await expect(page.getByText('allocation no update is not guarded against changes any more')).toBeVisible();
});
