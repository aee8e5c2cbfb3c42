import { expect, test } from '@playwright/test';
import { strToU8, zipSync } from 'fflate';
import { complaints, desk, dropFile, expectAccessible, pick, signIn } from './helpers';
import { ownBooks } from './own-books';

ownBooks('fresh');

// What a bank gives beside camt.053. Each goes on from the one before.
test.describe.configure({ mode: 'serial' });

const ACCOUNT = 'GB89ZZAM30990114402817';
const MT940 = [
	...[':20:ODDPENNY', `:25:${ACCOUNT}`, ':28C:301/1', ':60F:C261029GBP1000,00'],
	...[':61:2610301030C77,70NTRFNONREF//X-1', ':86:/NAME/QUILLON WORKS//REMI/USTD//ADVANCE FOR CLAY/'],
	...[':62F:C261030GBP1077,70', '-', '']
].join('\r\n');
const CSV = [
	'Umsätze;Stand 31.10.2026',
	'Buchungstag;Auftraggeber;Verwendungszweck;Betrag;Saldo',
	'31.10.2026;Thimble Lane Kilns;Anzahlung Ofen;1.088,80;2.166,50',
	'30.10.2026;QUILLON WORKS;ADVANCE FOR CLAY;77,70;1.077,70',
	''
].join('\r\n');

test('MT940 is brought in like any bank file, and what does not go on from before is doubted', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await desk(page);
	await dropFile(page, 'statement.sta', MT940);
	await expect(page.getByText(/statement.sta: 1 new entry/)).toBeVisible();
	await pick(page, 'QUILLON WORKS');
	await expect(page.getByText('ADVANCE FOR CLAY').first()).toBeVisible();
	expect(heard).toEqual([]);
});

test('a bank’s own table is led to where it is read, and its entries are shown before they come in', async ({
	page
}) => {
	const heard = complaints(page);
	await signIn(page);
	await page.getByRole('navigation').getByRole('link', { name: 'Customers' }).click();
	await page.waitForURL('**/customers');
	await dropFile(page, 'umsaetze.csv', CSV);
	await page.waitForURL('**/money-in/bank-table');
	await expect(page.getByText('names none of the firm’s accounts')).toBeVisible();
	await page.getByLabel('Of which account?').selectOption({ label: 'Current account (GBP)' });
	await expect(
		page.getByRole('heading', { name: '2 entries, £1,166.50 paid in and £0.00 paid out.' })
	).toBeVisible();
	await expect(page.getByText('from £1,000.00 to £2,166.50')).toBeVisible();
	await expectAccessible(page);
	await page.getByRole('button', { name: 'Bring in 2 entries' }).click();
	await page.waitForURL('**/money-in');
	// The bank's other format brought one of them before.
	await expect(page.getByText(/1 new entry. 1 entry was in the books already/)).toBeVisible();
	await pick(page, 'Thimble Lane Kilns');
	expect(heard).toEqual([]);
});

test('the next table of that bank needs nothing said; one that misses a line is refused with the line', async ({
	page
}) => {
	await signIn(page);
	await desk(page);
	const next = CSV.replace(
		'31.10.2026;Thimble',
		'31.10.2026;Fern Row Tiles;Rechnung;10,00;2.176,50\r\n31.10.2026;Thimble'
	);
	await dropFile(page, 'umsaetze.csv', next.replace(/31.10.2026;Thimble[^\r]*\r\n/, ''));
	await expect(
		page.getByText(/Line 3: the balance 2,176.50 does not follow from the line before/)
	).toBeVisible();
	await dropFile(page, 'umsaetze.csv', next);
	await expect(page.getByText('Read as was said before')).toBeVisible();
	await page.getByRole('button', { name: 'Bring in 3 entries' }).click();
	await expect(page.getByText(/1 new entry. 2 entries were in the books already/)).toBeVisible();
});

test('rows are pasted, and what the table does not tell is asked', async ({ page }) => {
	await signIn(page);
	await desk(page);
	await page.getByRole('link', { name: 'Bank table' }).click();
	await page
		.getByLabel('or rows pasted here')
		.fill('When\tWhat\tHow much\n02/11/2026\tWATTLE HALL DEPOSIT\t55.50');
	await page.getByLabel('Of which account?').selectOption({ label: 'Current account (GBP)' });
	await page.getByRole('button', { name: 'Show the entries' }).click();
	await expect(page.getByText('Say which column is the booking date and amount.')).toBeVisible();
	await page.getByLabel('What When is').selectOption({ label: 'booking date *' });
	await expect(page.getByText('Say which column is the amount.')).toBeVisible();
	await page.getByLabel('What How much is').selectOption({ label: 'amount' });
	await page.getByLabel('What What is').selectOption({ label: 'details' });
	await expect(page.getByLabel(/Which comes first/)).toBeVisible();
	await page.getByLabel(/Which comes first/).selectOption({ label: 'the day' });
	await expect(page.getByRole('heading', { name: /1 entry, £55.50 paid in/ })).toBeVisible();
	await expect(page.getByText('2 Nov 2026')).toBeVisible();
	await page.getByRole('button', { name: 'Bring in 1 entry' }).click();
	await expect(page.getByText(/1 new entry/)).toBeVisible();
});

test('what the bank tells before its statement waits for it, or is booked without, divided as it tells', async ({
	page
}) => {
	const heard = complaints(page);
	const payment = (amount: string, name: string, text: string) =>
		`<TxDtls><Amt Ccy="GBP">${amount}</Amt><CdtDbtInd>CRDT</CdtDbtInd><RltdPties><Dbtr><Nm>${name}</Nm></Dbtr></RltdPties><RmtInf><Ustrd>${text}</Ustrd></RmtInf></TxDtls>`;
	const recalled =
		'<Ntry><Amt Ccy="GBP">12.30</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts>BOOK</Sts><BookgDt><Dt>2026-11-02</Dt></BookgDt><AcctSvcrRef>RECALL-9</AcctSvcrRef><AddtlNtryInf>SENT IN ERROR</AddtlNtryInf></Ntry>';
	const notification = `<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.054.001.04"><BkToCstmrDbtCdtNtfctn><GrpHdr><MsgId>N1</MsgId></GrpHdr><Ntfctn><Id>N1</Id><Acct><Id><IBAN>${ACCOUNT}</IBAN></Id></Acct><Ntry><Amt Ccy="GBP">90.40</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts>BOOK</Sts><BookgDt><Dt>2026-11-02</Dt></BookgDt><AcctSvcrRef>SUM-1102</AcctSvcrRef><NtryDtls>${payment('50.10', 'OAST AND SONS', 'DEPOSIT WHEEL')}${payment('40.30', 'FENWORTHY GLAZES', 'DEPOSIT KILN')}</NtryDtls></Ntry>${recalled}</Ntfctn></BkToCstmrDbtCdtNtfctn></Document>`;
	await signIn(page);
	await desk(page);
	await dropFile(page, 'notification.xml', notification);
	await expect(
		page.getByText('2 entries are reported by the bank and wait for its statement.')
	).toBeVisible();
	await page.getByRole('link', { name: '2 · list' }).click();
	await page.waitForURL('**/money-in/reported');
	await expect(
		page.getByRole('heading', { name: '2 entries reported by the bank, on no statement yet.' })
	).toBeVisible();
	await expectAccessible(page);
	await page.getByLabel('Tick £12.30 of no name').check();
	await page.getByLabel('The bank never booked them, because').fill('recalled by the payer’s bank');
	await page.getByRole('button', { name: 'Take off the list' }).click();
	await expect(page.getByText('SENT IN ERROR')).toHaveCount(0);
	await page.getByLabel('Tick £90.40 of 2 payments').check();
	await page.getByRole('button', { name: 'Book 1 entry without a statement' }).click();
	await expect(
		page.getByRole('heading', { name: 'Everything that the bank reported is on a statement.' })
	).toBeVisible();
	await desk(page);
	await pick(page, 'OAST AND SONS');
	await pick(page, 'FENWORTHY GLAZES');
	// The statement comes all the same, and shows the sum alone.
	const statement = [
		...[':20:ODDPENNY', `:25:${ACCOUNT}`, ':28C:306/1', ':60F:C261031GBP2166,50'],
		...[':61:2611021102C90,40NTRFNONREF//SUM-1102', ':86:BULK CREDIT 2 ITEMS'],
		...[':62F:C261102GBP2256,90', '-', '']
	].join('\r\n');
	await dropFile(page, 'later.sta', statement);
	await expect(page.getByText(/later.sta: 0 new entries. 1 entry was in the books already/)).toBeVisible();
	expect(heard).toEqual([]);
});

test('an archive of bank files is taken file by file, and one that is broken stops no other', async ({
	page
}) => {
	const heard = complaints(page);
	const statement = (number: string, opening: string, closing: string) =>
		[
			...[':20:ODDPENNY', `:25:${ACCOUNT}`, `:28C:${number}`, `:60F:C261102GBP${opening}`],
			...[':61:2611031103C11,10NTRFNONREF//Z-1', ':86:BRACKEN TILES', `:62F:C261103GBP${closing}`, '-', '']
		].join('\r\n');
	const archive = zipSync({
		'one.sta': strToU8(statement('307/1', '2256,90', '2268,00')),
		'two.sta': strToU8(statement('308/1', '2268,00', '2269,00'))
	});
	await signIn(page);
	await desk(page);
	await dropFile(page, 'november.zip', Buffer.from(archive));
	await expect(page.getByText('november.zip: one.sta: 1 new entry.')).toBeVisible();
	await expect(page.getByText('november.zip: two.sta was not taken')).toBeVisible();
	await pick(page, 'BRACKEN TILES');
	expect(heard).toEqual([]);
});

test('an entry that may be in the books already is asked about, and nothing comes in before', async ({
	page
}) => {
	const heard = complaints(page);
	const table = [
		'Umsätze;Stand 04.11.2026',
		'Buchungstag;Auftraggeber;Verwendungszweck;Betrag;Saldo',
		'04.11.2026;Copper Beech College;Rechnung;22,20;2.290,20',
		'03.11.2026;Jemima Orr;Zahlung;11,10;2.268,00',
		''
	].join('\r\n');
	await signIn(page);
	await desk(page);
	await dropFile(page, 'umsaetze-4.csv', table);
	await page.waitForURL('**/money-in/bank-table');
	await page.getByRole('button', { name: 'Bring in 2 entries' }).click();
	const asked = page.getByRole('region', { name: 'Entries that may be in the books already' });
	await expect(asked).toContainText('1 entry of the file may be in the books already');
	await expectAccessible(page);
	await expect(asked.getByRole('button', { name: '1 to say' })).toBeDisabled();
	await asked
		.getByRole('combobox', { name: 'Whether £11.10 of 3 Nov' })
		.selectOption({ label: 'the same as BRACKEN TILES (november.zip: one.sta)' });
	await asked.getByRole('button', { name: 'Bring it in' }).click();
	await page.waitForURL('**/money-in');
	await expect(page.getByText(/1 new entry. 1 entry was in the books already/)).toBeVisible();

	const letter = [
		...[':20:ODDPENNY', `:25:${ACCOUNT}`, ':28C:309/1', ':60F:C261103GBP2268,00'],
		...[':61:2611041104C22,20NTRFNONREF', ':86:SEE LETTER', ':62F:C261104GBP2290,20', '-', '']
	].join('\r\n');
	await dropFile(page, 'fourth.sta', letter);
	await expect(asked).toContainText('SEE LETTER');
	await asked
		.getByRole('combobox')
		.selectOption({ label: 'the same as Copper Beech College Rechnung (umsaetze-4.csv)' });
	await asked.getByRole('button', { name: 'Bring it in' }).click();
	await expect(page.getByText('fourth.sta: 0 new entries. 1 entry was in the books already')).toBeVisible();
	await expect(asked).toBeHidden();
	expect(heard).toEqual([]);
});
