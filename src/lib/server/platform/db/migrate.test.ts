import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { expect, it } from 'vitest';
import { olderBooks } from './older-books';
import { openBooks } from './open';

/** An invoice of 10.00 of which 6.00 was paid by a receipt, 0.40 kept by a bank, as the first books had it. */
const FIRST_BOOKS = [
	`insert into act values (1, 'x', '2026-10-01', 'x', 'u', 'Wren', 's', '{}', null, null, null, null, null, 'p', 'h')`,
	`insert into ledger_account (code, name) values ('1200', 'Bank')`,
	`insert into customer (id, code, name, currency, address, terms_days) values (1, 'H1', 'Hazel', 'EUR', '[]', 30)`,
	`insert into document (id, act_id, kind, number, number_key, customer_id, issued, currency, total, total_base, text)
		values (1, 1, 'credit_note', 'AC-1', 'AC1', 1, '2026-10-01', 'EUR', 1000, 900, '')`,
	`insert into item values (1, 1, 1, 1, 1, '2026-10-01', 1000, 900)`,
	`insert into item_state values (1, 1, '2026-10-01', 360, 300, 2, 1)`,
	`insert into bank_account (id, name, number, bank_name, currency, ledger, kind) values (1, 'B', 'N', 'M', 'EUR', '1200', 'current')`,
	`insert into bank_entry (id, bank_account_id, fingerprint, booked, amount, currency, reversal, text, charges, details)
		values (1, 1, 'f', '2026-10-05', 600, 'EUR', 0, '', 0, '[]')`,
	`insert into receipt (id, bank_entry_id, booked, amount, currency, text, charges) values (1, 1, '2026-10-05', 600, 'EUR', 'words', 0)`,
	`insert into receipt_state (receipt_id, state, booked, on_account, on_account_base, version, last_act_id)
		values (1, 'placed', '2026-10-05', 0, 0, 2, 1)`,
	`insert into allocation (act_id, date, receipt_id, item_id, amount, item_base, credit_base) values (1, '2026-10-05', 1, 1, 600, 540, 540)`,
	`insert into difference (act_id, date, receipt_id, item_id, kind, amount, base) values (1, '2026-10-05', 1, 1, 'bank_charge', 40, 36)`
];

it('books of the first version open, keep every record, and refuse change as before', async () => {
	const older = await olderBooks(2);
	await older.script(FIRST_BOOKS.map((statement) => `${statement};`).join('\n'));
	await older.close();
	const { url } = older;
	const books = await openBooks(url, { migrations: 'drizzle' });
	const all = (text: string) => books.db.all<Record<string, unknown>>(sql.raw(text));
	expect(await all('select kind, currency, open from item_state')).toEqual([
		{ kind: 'credit_note', currency: 'EUR', open: 360 }
	]);
	expect(await all('select amount, credit_amount, credit_customer_id from allocation')).toEqual([
		{ amount: 600, credit_amount: 600, credit_customer_id: 1 }
	]);
	expect(await all('select text, method, fee, bank_entry_id from receipt')).toEqual([
		{ text: 'words', method: 'bank', fee: 0, bank_entry_id: 1 }
	]);
	expect(await all('select kind, amount, receipt_id from difference')).toEqual([
		{ kind: 'bank_charge', amount: 40, receipt_id: 1 }
	]);
	expect(await all(`select name from ledger_account where code = '1230'`)).toEqual([
		{ name: 'Money on its way' }
	]);
	for (const table of ['allocation', 'difference', 'receipt', 'item', 'act'])
		for (const statement of [`update ${table} set id = id`, `delete from ${table}`])
			await expect(books.write((tx) => tx.run(sql.raw(statement)))).rejects.toThrow();
	await expect(
		books.write((tx) => tx.run(sql.raw('update receipt_state set on_account = 601')))
	).rejects.toThrow();
	expect(await all('pragma foreign_key_check')).toEqual([]);
	await books.close();
});

it('every posted table refuses change and removal', async () => {
	const folder = mkdtempSync(join(tmpdir(), 'odd-penny-'));
	const books = await openBooks(`file:${join(folder, 'books.db')}`, { migrations: 'drizzle' });
	const rows = await books.db.all<{ name: string }>(
		sql`select name from sqlite_master where type = 'trigger'`
	);
	const triggers = new Set(rows.map((row) => row.name));
	const POSTED = ['act', 'journal_line', 'document', 'document_line', 'item', 'bank_file', 'bank_statement'];
	POSTED.push('bank_entry', 'receipt', 'allocation', 'difference', 'receipt_adjustment', 'letter', 'message');
	POSTED.push('paying_in_slip', 'slip_receipt', 'bank_match', 'refund_file', 'refund_in_file');
	POSTED.push('allocation_lesson', 'forgotten_lesson', 'payer_lesson', 'forgotten_payer', 'past_payment');
	for (const table of POSTED)
		expect([`${table}_no_update`, `${table}_no_delete`].filter((name) => !triggers.has(name))).toEqual([]);
	await books.close();
});
