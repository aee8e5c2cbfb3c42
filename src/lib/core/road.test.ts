import { expect, it } from 'vitest';
import { readBankText } from './1-bank-files/read-bank-text';
import { receiptsOfEntry } from './2-receipts/receipts-of-entry';
import { answerReceipts } from './3-matching';
import { allocate } from './4-allocation/allocate';
import { imbalance } from './5-journal/imbalance';
import { journalOfDocument } from './5-journal/journal-of-document';
import { numberPosting } from './5-journal/number-posting';
import { journalOfPosting } from './5-journal/journal-of-posting';
import { accountLedger } from './6-reports/account-ledger';
import { age } from './6-reports/age';
import { writeLetter } from './7-letters/write-letter';
import { day } from './day/day';
import type { Customer } from './model/records';
import { minor } from './money/minor';
import { sampleItem } from './model/sample-item';

/** The newcomer's map: one payment from the bank's file to a reminder for what it left open. */
it('takes money down the whole road', () => {
	const today = day('2026-10-30');
	const hazel: Customer = {
		id: 1,
		code: 'H1042',
		name: 'Hazel Hill Pottery',
		otherNames: [],
		payerAccounts: ['GB11HAZEL'],
		parentId: null,
		currency: 'GBP'
	};
	const invoice = (id: number, number: string, open: number) =>
		sampleItem(id, open, { number, text: 'stoneware clay' });
	const items = [invoice(1, 'AK-40233', 75000), invoice(2, 'AK-40251', 70460)];

	// 1. The bank's file: 1,400.00 came, with words.
	const file = readBankText(
		`<Document xmlns="urn:iso:std:iso:20022:tech:xsd:camt.053.001.02"><BkToCstmrStmt><Stmt><Id>S1</Id><Acct><Id><IBAN>GB00ASHLOCK</IBAN></Id><Ccy>GBP</Ccy></Acct>
		<Ntry><Amt Ccy="GBP">1400.00</Amt><CdtDbtInd>CRDT</CdtDbtInd><Sts>BOOK</Sts><BookgDt><Dt>2026-10-29</Dt></BookgDt><NtryDtls><TxDtls><RltdPties><Dbtr><Nm>HAZEL HILL POTTERY</Nm></Dbtr><DbtrAcct><Id><IBAN>GB11HAZEL</IBAN></Id></DbtrAcct></RltdPties><RmtInf><Ustrd>INV AK-40233 AK-40251 LESS BREAKAGE</Ustrd></RmtInf></TxDtls></NtryDtls></Ntry></Stmt></BkToCstmrStmt></Document>`
	);
	if (!file.ok) throw new Error('the file was refused');
	const entry = file.value[0]!.entries[0]!;

	// 2. One receipt of that entry.
	const [draft] = receiptsOfEntry(entry);
	expect(draft).toMatchObject({ amount: 140000, payerName: 'HAZEL HILL POTTERY' });

	// 3. Whose it is, and what for: known, but 54.60 short, so not certain.
	const [answer] = answerReceipts([{ ...draft!, id: 7, booked: entry.booked, currency: entry.currency }], {
		customers: [hazel],
		items
	});
	expect([answer!.band, answer!.customerId]).toEqual(['likely', 1]);
	expect(answer!.reasons.map((reason) => reason.code)).toEqual([
		...['account-known', 'number-named', 'short', 'claim-said']
	]);
	expect(answer!.lines.map((line) => line.differences)).toEqual([[], [{ kind: 'claim', amount: 5460 }]]);

	// 4. Allocated, but left owed instead: the first invoice is settled, 54.60 of the second stays open.
	const lines = answer!.lines.map((line) => ({
		...line,
		differences: [],
		item: items.find((item) => item.id === line.itemId)!
	}));
	const posting = allocate({
		receipt: {
			id: 7,
			customerId: 1,
			amount: minor(140000),
			base: minor(140000),
			fees: [],
			surplus: []
		},
		currency: 'GBP',
		credits: [],
		tolerance: null,
		lines
	});
	if (!posting.ok) throw new Error('placing was refused');
	expect(posting.value.changes.map((change) => change.open)).toEqual([0, 5460]);

	// 5. Journals that balance.
	const sold = items.flatMap((item) =>
		journalOfDocument({
			id: 1,
			kind: 'invoice',
			customerId: 1,
			currency: 'GBP',
			net: item.total,
			tax: minor(0),
			netBase: item.total,
			taxBase: minor(0)
		})
	);
	const paid = journalOfPosting(
		{
			receiptId: 3,
			amount: minor(140000),
			base: minor(140000),
			currency: 'GBP',
			customerId: 1,
			ledger: '1200',
			bankEntryId: 3
		},
		numberPosting(posting.value, { allocation: 1, difference: 1, receiptAdjustment: 1 })
	);
	expect(imbalance([...sold, ...paid]).size).toBe(0);

	// 6. The customer's account, and its age.
	const postings = [...sold, ...paid]
		.filter((line) => line.account === '1100')
		.map((line, id) => ({
			id,
			date: id < 2 ? day('2026-09-01') : entry.booked,
			amount: line.amount,
			currency: 'GBP'
		}));
	expect(accountLedger(postings).at(-1)!.balance).toBe(5460);

	// 7. A reminder for the rest.
	const now = items.map((item) => ({
		...item,
		open: posting.value.changes.find((change) => change.itemId === item.id)!.open
	}));
	const letter = writeLetter('reminder', {
		items: now,
		credits: [],
		dated: [],
		date: today,
		currency: 'GBP',
		customer: { id: 1, code: 'H1042', name: hazel.name, address: [] },
		language: 'en',
		payments: new Map(),
		pay: { account: null, link: null },
		firm: {
			name: 'Ashlock Kiln & Clay Ltd',
			address: [],
			email: 'accounts@ashlock-kiln.example',
			phone: '',
			registration: ''
		},
		age: (rows) => age(rows, today, [30, 60, 90])
	});
	expect(
		letter.ok && [letter.value.late, letter.value.rows.map((row) => [row.number, row.open, row.late])]
	).toEqual([5460, [['AK-40251', 5460, 29]]]);
});
