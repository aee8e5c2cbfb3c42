import { minor } from '../../../core/money/minor';
import { sql } from 'drizzle-orm';
import { beforeEach, describe, expect, it, test } from 'vitest';
import type { Books } from '../../platform/db/open';
import { itemState } from '../../platform/db/schema';
import { proveBooks } from '../../ledger/queries/proof';
import { as, bankXml, bringIn, CLERK, credit, invoices, newDocument, testBooks } from '../../testing';
import { perform } from '../../act/perform';
import type { AllocationInput } from '../allocation-input';
import { allocateReceipt } from './allocate-receipt';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
const place = (order: AllocationInput, who = CLERK, key?: string) =>
	perform(books, allocateReceipt, order, as(who, key));
const order = (
	receiptId: number,
	lines: [number, number, AllocationInput['lines'][number]['differences']?][],
	over: Partial<AllocationInput> = {}
): AllocationInput => ({
	receiptId,
	receiptVersion: 1,
	customerId: 1,
	lines: lines.map(([itemId, cash, differences = []]) => ({ itemId, version: 1, cash, differences })),
	...over
});
const open = async () =>
	(await books.db.select().from(itemState).orderBy(itemState.itemId)).map((row) => row.open);

describe('what is posted stays', () => {
	beforeEach(async () => {
		await invoices(books, newDocument('AK-1', 1, 1000));
		await bringIn(books, bankXml([credit(1000, 'AK-1')]));
		await place(order(1, [[1, 900]]));
	});
	test.each([
		'act',
		'journal_line',
		'document',
		'document_line',
		'item',
		'bank_file',
		'bank_file_part',
		'bank_statement',
		'bank_entry',
		'statement_entry',
		'receipt',
		'allocation'
	])('%s refuses change and removal', async (table) => {
		const column = { bank_file_part: 'part', statement_entry: 'place' }[table] ?? 'id';
		expect(await books.db.get<{ n: number }>(sql.raw(`select count(*) n from ${table}`))).not.toEqual({
			n: 0
		});
		await expect(
			books.write((tx) => tx.run(sql.raw(`update ${table} set ${column} = ${column}`)))
		).rejects.toThrow();
		await expect(books.write((tx) => tx.run(sql.raw(`delete from ${table}`)))).rejects.toThrow();
	});
	it('a state cannot leave its bounds', async () => {
		await expect(books.write((tx) => tx.update(itemState).set({ open: minor(1001) }))).rejects.toThrow();
		await expect(books.write((tx) => tx.update(itemState).set({ open: minor(-1) }))).rejects.toThrow();
	});
	it.each([
		['a changed state', 'update item_state set open = 99', 2],
		['a changed record', "drop trigger act_no_update; update act set user_name = 'x' where id = 3", 6],
		[
			'a changed journal',
			'drop trigger journal_line_no_update; update journal_line set amount = amount + 1 where id = 1',
			1
		],
		['a lost allocation', 'drop trigger allocation_no_delete; delete from allocation', 2]
	])('the proof finds %s', async (_, statements, rule) => {
		await books.write(async (tx) => {
			for (const statement of statements.split('; ')) await tx.run(sql.raw(statement));
		});
		expect((await proveBooks(books.db)).breaches.map((breach) => breach.rule)).toContain(rule);
	});
	it('a write inside a write is refused, and so is reading beside it', async () => {
		await expect(books.write(() => books.write(async () => 1))).rejects.toThrow('wait for itself');
		await expect(books.write(async () => books.db.select().from(itemState))).rejects.toThrow(
			'within a write'
		);
	});
	it('an error inside takes all of it back', async () => {
		await expect(
			books.write(async (tx) => {
				await tx.update(itemState).set({ open: minor(5) });
				throw new Error('stop');
			})
		).rejects.toThrow('stop');
		expect(await open()).toEqual([100]);
	});
});
