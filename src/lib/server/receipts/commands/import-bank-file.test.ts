import { sql } from 'drizzle-orm';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { Books } from '../../platform/db/open';
import { bankEntry } from '../../platform/db/schema';
import { proveBooks } from '../../ledger/queries/proof';
import { bankXml, bringIn, credit, testBooks, codesOf } from '../../testing';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);

describe('bank files', () => {
	const a = credit(1000, 'AK-1', { reference: 'B1' });
	const b = credit(2000, 'AK-2', { reference: 'B2', booked: '2026-10-29' });
	it('come in once: the same file changes nothing and says so', async () => {
		const xml = bankXml([a, b]);
		const first = await bringIn(books, xml);
		const again = await bringIn(books, xml);
		expect(first.ok && first.value.entriesNew).toBe(2);
		expect(again.ok && again.value.before?.who).toBe('Wren');
		expect(await books.db.$count(bankEntry)).toBe(2);
	});
	it('may overlap: what is there stays, what is new is added, both statements prove', async () => {
		await bringIn(books, bankXml([a, b]));
		const next = await bringIn(
			books,
			bankXml([b, credit(3000, 'AK-3', { reference: 'B3' })], { reference: 'S2', opening: 1000 })
		);
		expect(next.ok && [next.value.entriesNew, next.value.entriesKnown]).toEqual([1, 1]);
		await proves();
	});
	it('keep two payments that look alike in one statement', async () => {
		const twin = credit(500, 'same words');
		await bringIn(books, bankXml([twin, twin]));
		expect(await books.db.$count(bankEntry)).toBe(2);
		const other = await bringIn(books, bankXml([twin, twin, credit(1, 'x')], { reference: 'S1b' }));
		expect(other.ok && [other.value.entriesNew, other.value.entriesKnown]).toEqual([1, 2]);
	});
	it('take an entry alike in a statement that goes on from the last for another payment', async () => {
		const twin = credit(500, 'same words');
		await bringIn(books, bankXml([twin]));
		const second = await bringIn(books, bankXml([twin], { reference: 'S2', opening: 500 }));
		expect(second.ok && second.value.entriesNew).toBe(1);
		const again = await bringIn(books, `${bankXml([twin], { reference: 'S2', opening: 500 })}\n`);
		expect(again.ok && [again.value.entriesNew, again.value.entriesKnown]).toEqual([0, 1]);
		await proves();
	});
	it('tell alike ones apart however many an earlier statement had', async () => {
		const twin = credit(500, 'same words');
		await bringIn(books, bankXml(Array(9).fill(twin)));
		const second = await bringIn(books, bankXml([twin], { reference: 'S2', opening: 4500 }));
		expect(second.ok && [second.value.entriesNew, second.value.entriesKnown]).toEqual([1, 0]);
		const again = await bringIn(books, `${bankXml(Array(9).fill(twin))}\n`);
		expect(again.ok && [again.value.entriesNew, again.value.entriesKnown]).toEqual([0, 9]);
		await proves();
	});
	test.each([
		['another account', { account: 'GB99' }, 'account-unknown'],
		['another currency', { currency: 'EUR' }, 'account-currency']
	])('of %s are refused whole', async (_, over, code) => {
		expect(codesOf(await bringIn(books, bankXml([a], over)))).toEqual([code]);
		expect(await books.db.$count(bankEntry)).toBe(0);
	});
	it('are kept exactly', async () => {
		const xml = bankXml([a]);
		await bringIn(books, xml);
		const { gunzipSync } = await import('node:zlib');
		const parts = await books.db.all<{ gzip: ArrayBuffer }>(
			sql`select gzip from bank_file_part order by part`
		);
		expect(Buffer.concat(parts.map((part) => gunzipSync(Buffer.from(part.gzip)))).toString()).toBe(xml);
	});
});
