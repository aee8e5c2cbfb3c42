import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { olderBooks } from '../older-books';
import { openBooks } from '../open';
import { readFileSync } from 'node:fs';
import { readSetting } from '../../../firm/store/settings';

it('names, payers and rules are found by the keys of now in books that kept those of before', async () => {
	const older = await olderBooks(12);
	await older.script(readFileSync('fixtures/books-of-the-twelfth-tables.sql', 'utf8'));
	await older.script(`
insert into customer_name (customer_id, name, key) values (3, 'Töpferei Möwe UG', 'TOPFEREI MOWE UG');
drop trigger payer_lesson_no_update;
update payer_lesson set name = 'NORDLYS KERAMIK A S', words = 'OF BEFORE' where receipt_id = 2;
create trigger payer_lesson_no_update before update on payer_lesson begin select raise(abort, 'posted records are never changed'); end;
drop trigger document_no_update;
update document set number_key = 'OF BEFORE' where id = 1;
create trigger document_no_update before update on document begin select raise(abort, 'posted records are never changed'); end;
insert into setting (key, value) values ('asideRules', '{"MOEWE VERWALTUNG UG":{"account":"2150","by":"Ada"}}');
`);
	await older.close();
	const books = await openBooks(older.url, { migrations: 'drizzle' });
	const all = (text: string) => books.db.all<Record<string, unknown>>(sql.raw(text));
	expect(await all(`select key from customer_name where name = 'Töpferei Möwe UG'`)).toEqual([
		{ key: 'TOPFEREI MOWE' }
	]);
	// From the receipt itself: it carries no name, and what was kept of one goes.
	expect(await all('select distinct name, words from payer_lesson where receipt_id = 2')).toEqual([
		{ name: null, words: null }
	]);
	expect(await all(`select id from document where number_key = 'OF BEFORE'`)).toEqual([]);
	await expect(books.db.run(sql`update document set number = 'X'`)).rejects.toThrow();
	await expect(books.db.run(sql`update payer_lesson set words = 'X'`)).rejects.toThrow();
	// A rule of before is a usual line, found by the key of now.
	expect(await all('select name_key, kind, account, times, set_by from usual_line')).toEqual([
		{ name_key: 'MOWE VERWALTUNG', kind: '', account: '2150', times: 0, set_by: 'Ada' }
	]);
	expect(await readSetting(books.db, 'asideRules')).toBeNull();
	await books.close();
});
