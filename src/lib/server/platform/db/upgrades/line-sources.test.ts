import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { proveBooks } from '../../../ledger/queries/proof';
import { olderBooks } from '../older-books';
import { openBooks, type Books } from '../open';
import { upgrade } from '../schema';

/**
 * Books that the version of twelve migrations wrote: receipts in parts, equal claims in one payment, currency differences of
 * several items together, returned payments and their undoings, documents that were settled in part before.
 */
async function booksOfBefore(): Promise<{ url: string; balances: unknown }> {
	const older = await olderBooks(12);
	const rows = readFileSync('fixtures/books-of-the-twelfth-tables.sql', 'utf8');
	await older.script(rows);
	const balances = await older.all(BALANCES);
	await older.close();
	return { url: older.url, balances };
}
const BALANCES = `select account, customer_id, currency, sum(amount) as amount, sum(base) as base
	from journal_line group by 1, 2, 3 order by 1, 2, 3`;
const all = (books: Books, text: string) => books.db.all<Record<string, unknown>>(sql.raw(text));

it('books of before open, prove by every rule, and have the same balances; each line knows its source', async () => {
	const { url, balances } = await booksOfBefore();
	const books = await openBooks(url, { migrations: 'drizzle' });
	expect(await all(books, BALANCES)).toEqual(balances);
	expect(await books.db.select().from(upgrade)).toContainEqual({ name: 'line-sources', left: 0 });
	// Its statements were made one by one and do not go on from each other.
	expect((await proveBooks(books.db)).breaches.filter((one) => one.rule !== 10)).toEqual([]);
	const kinds = await all(books, 'select distinct source_kind as kind from journal_line order by 1');
	expect(kinds.map((row) => row['kind'])).toEqual([
		null,
		'allocation',
		'currency-difference',
		'deduction',
		'document',
		'receipt',
		'receipt-adjustment'
	]);
	await expect(books.db.run(sql`update journal_line set amount = 0`)).rejects.toThrow();
	await books.close();
});

it('two equal claims in one payment are told apart, each with its own document', async () => {
	const { url } = await booksOfBefore();
	const books = await openBooks(url, { migrations: 'drizzle' });
	const rows = await all(
		books,
		`select l.source_id as document, l.item_id as item from journal_line l join document d on d.id = l.source_id
		where l.source_kind = 'document' and d.kind = 'claim' and l.amount = 500 order by l.id`
	);
	expect(rows).toHaveLength(2);
	expect(new Set(rows.map((row) => row['document'])).size).toBe(2);
	expect(new Set(rows.map((row) => row['item'])).size).toBe(2);
	await books.close();
});

it('a line that no record accounts for is left, counted, and named by the proof', async () => {
	const older = await olderBooks(12);
	await older.script(readFileSync(join('fixtures', 'books-of-the-twelfth-tables.sql'), 'utf8'));
	await older.script(
		`insert into journal_line (act_id, date, account, customer_id, currency, amount, base) values
		(2, '2026-10-30', '1100', 1, 'GBP', 7, 7);
		insert into journal_line (act_id, date, account, currency, amount, base) values
		(2, '2026-10-30', '4000', 'GBP', -7, -7);`
	);
	await older.close();
	const books = await openBooks(older.url, { migrations: 'drizzle' });
	expect(await books.db.select().from(upgrade)).toContainEqual({ name: 'line-sources', left: 1 });
	const { breaches } = await proveBooks(books.db);
	expect(breaches.filter((one) => one.rule === 7)).toMatchObject([
		{ about: 'act 2: a line on 1100 without its source' }
	]);
	await books.close();
});
