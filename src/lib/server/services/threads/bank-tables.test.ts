import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import { SheetDay, xlsx } from '../../../tables/testing-xlsx';
import type { TableAnswer } from '../../../tables/table-seen';
import { proveBooks } from '../../ledger/queries/proof';
import type { Books } from '../../platform/db/open';
import { bankAccount, bankEntry, bankFile } from '../../platform/db/schema';
import { as, bankXml, bringIn, CLERK, credit, IBAN, testBooks } from '../../testing';
import { statementFaults } from '../../receipts/store/statement-faults';
import { previewBankTable } from './bank-tables';
import { runAct } from './perform-in-thread';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});

const CSV =
	'Date,Details,Paid out,Paid in,Balance\n2026-10-28,HAZEL HILL AK-1,,10.00,10.00\n2026-10-28,CHARGES,2.00,,8.00\n';
interface Over {
	readonly account?: number | null;
	readonly answers?: readonly TableAnswer[];
	readonly file?: string;
}
const asked = (text: string, { account = null, answers = [], file = 'bank.csv' }: Over = {}) => ({
	source: { file, content: new TextEncoder().encode(text) },
	...{ answers, bankAccountId: account }
});
async function look(text: string, over: Over = {}) {
	const found = await previewBankTable(books.db, asked(text, over));
	if (!found.ok) throw new Error(found.problems.map(problemSentence).join(' '));
	return found.value;
}
async function bring(text: string, over: Over = {}): Promise<string> {
	const done = await runAct(books, 'import-bank-file', asked(text, over), as(CLERK));
	expect((await proveBooks(books.db)).breaches).toEqual([]);
	return done.ok
		? `${done.value.entriesNew}+${done.value.entriesKnown}`
		: done.problems.map(problemSentence).join(' ');
}

describe('a bank’s table', () => {
	it('that misses a line says so, though its balance tells no account', async () => {
		await bring(CSV, { account: 1 });
		const next =
			'Date,Details,Paid out,Paid in,Balance\n2026-10-29,FERN ROW,,5.00,13.00\n2026-10-29,TILES,,1.00,15.00\n';
		const found = await look(next);
		expect([found.bankAccountId, found.problems.map((one) => 'line' in one && one.line)]).toEqual([
			null,
			[3]
		]);
		expect((await look(next.replace('15.00', '14.00'))).bankAccountId).toBe(1);
	});

	it('may be a spreadsheet file, which is kept as it came', async () => {
		const content = xlsx({
			Bewegungen: [
				['Date', 'Details', 'Paid out', 'Paid in', 'Balance'],
				[new SheetDay('2026-10-28'), 'HAZEL HILL AK-1', null, 10, 10],
				[new SheetDay('2026-10-28'), 'CHARGES', 2, null, 8]
			]
		});
		const given = { source: { file: 'bank.xlsx', content }, answers: [], bankAccountId: 1 };
		const done = await runAct(books, 'import-bank-file', given, as(CLERK));
		expect(done).toMatchObject({ ok: true, value: { entriesNew: 2 } });
		// The same as text brings nothing new.
		expect(await bring(CSV, { account: 1 })).toBe('0+2');
		const files = await books.db.select().from(bankFile).orderBy(bankFile.id).all();
		expect([files[0]!.name, files[0]!.bytes]).toEqual(['bank.xlsx', content.length]);
	});

	it('asks of which account it is, unless it says so, or there is one of its number', async () => {
		expect((await look(CSV)).bankAccountId).toBeNull();
		expect(await bring(CSV)).toContain('not known yet how to read this table');
		expect((await look(`Account ${IBAN}\n${CSV}`)).bankAccountId).toBe(1);
		expect((await look(CSV, { account: 1 })).statement).toMatchObject({
			...{ count: 2, paidIn: 1000, paidOut: -200, opening: 0, closing: 800, currency: 'GBP' }
		});
		expect((await look(CSV, { account: 99 })).bankAccountId).toBeNull();
	});
	it('is brought in once, and how it is read is known the next time', async () => {
		expect(await bring(CSV, { account: 1 })).toBe('2+0');
		expect(await bring(CSV, { account: 1 })).toBe('0+0');
		const next = CSV.replace('2.00,,8.00\n', '2.00,,8.00\n2026-10-29,MORE AK-2,,1.00,9.00\n');
		const seen = await look(next);
		expect([seen.bankAccountId, seen.seen.answer !== null, seen.otherColumns]).toEqual([1, true, false]);
		expect(await bring(next)).toBe('1+2');
		expect(await statementFaults(books.db)).toEqual([]);
	});
	it('is of no account that only an entry names: money between the firm’s own accounts names the other', async () => {
		const [other] = await books.db.select().from(bankAccount).where(eq(bankAccount.id, 2));
		const text = `Date,Amount,Name,Their account\n2026-10-28,5.00,OUR OTHER ONE,${other!.number}\n`;
		expect((await look(text)).bankAccountId).toBeNull();
		const named = `Own account,Date,Amount,Name\n${IBAN},2026-10-28,5.00,X\n`;
		expect((await look(named)).bankAccountId).toBe(1);
	});
	it('like one of an account is not therefore of it: another account of that bank has the same columns', async () => {
		await bring(CSV, { account: 1 });
		// It begins with a balance that the known account never had.
		const foreign = CSV.replace('10.00,10.00', '10.00,770.00').replace('8.00\n', '768.00\n');
		expect((await look(foreign)).bankAccountId).toBeNull();
		const silent = CSV.replace(/,[\d.]+\n/g, ',\n');
		expect((await look(silent)).bankAccountId).toBeNull();
		await bring(foreign.replaceAll('2026-10-28', '2026-10-27'), { account: 2 });
		expect((await look(CSV)).bankAccountId).toBe(1);
	});
	it('that has other columns than the account’s last one says so', async () => {
		await bring(CSV, { account: 1 });
		const other = await look('Date,Amount,Name\n2026-10-29,1.00,A\n', { account: 1 });
		expect([other.otherColumns, other.statement!.count]).toEqual([true, 1]);
	});
	it('brings nothing twice that a statement brought, nor the other way round', async () => {
		const camt = bankXml([credit(1000, 'HAZEL HILL AK-1'), { ...credit(200, 'CHARGES'), amount: -200 }]);
		await bringIn(books, camt);
		expect(await bring(CSV, { account: 1 })).toBe('0+2');
		expect(await books.db.$count(bankEntry)).toBe(2);
		expect(await statementFaults(books.db)).toEqual([]);
	});
	it('is refused whole where a line is wrong, with its place, and changes nothing', async () => {
		expect(await bring(CSV.replace('8.00', '9.00'), { account: 1 })).toBe(
			'Line 3: the balance 9.00 does not follow from the line before: it should be 8.00. Lines may be missing or there twice; export the table again.'
		);
		expect(await bring('one cell only', { account: 1 })).not.toBe('');
		expect(await books.db.$count(bankEntry)).toBe(0);
	});
	it('is of an account in its own currency', async () => {
		const euro = await look(CSV, { account: 2 });
		expect(euro.statement).toMatchObject({ currency: 'EUR' });
		const said = await look(CSV.replace('Balance\n', 'Balance,Currency\n').replace(/(\.00)\n/g, '$1,GBP\n'), {
			account: 2
		});
		expect(said.problems.map(problemSentence).join(' ')).toContain('the account is kept in EUR');
	});
});
