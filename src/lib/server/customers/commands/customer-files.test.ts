import { sql } from 'drizzle-orm';
import { beforeEach, expect, test } from 'vitest';
import { KEPT_FILE_BYTES } from '../../act/kept-files';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { as, CLERK, codesOf, done, proves, READER, testBooks, TODAY } from '../../testing';
import { lookAtAccount } from '../queries/account';
import { lookAtCustomerFile } from '../queries/customer-files';
import { lookAtTimeline } from '../queries/timeline';
import { keepCustomerFiles, takeOffCustomerFiles } from './customer-files';

let books: Books;
const viewer = { who: READER, today: TODAY };
beforeEach(async () => {
	books = await testBooks();
});
const file = (name: string, content = Buffer.from([0x25, 0x50, 0, 255])) => ({
	...{ name, type: 'application/pdf', content }
});
const names = async () => (await lookAtAccount(books.db, 'H1', viewer))!.files.map(({ name }) => name);

test('files are kept as they came, listed, and on the timeline', async () => {
	const files = [file('terms.pdf'), file('order.pdf', Buffer.from('an order'))];
	expect(await done(books, keepCustomerFiles, { customerId: 1, files }, CLERK)).toMatchObject({ kept: 2 });
	const account = (await lookAtAccount(books.db, 'H1', viewer))!;
	expect(account.files.map(({ name, bytes }) => [name, bytes])).toEqual([
		['order.pdf', 8],
		['terms.pdf', 4]
	]);
	const read = await lookAtCustomerFile(books.db, account.files[1]!.id, viewer);
	expect(Buffer.compare(read!.content, files[0]!.content)).toBe(0);
	const timeline = (await lookAtTimeline(books.db, { code: 'H1', before: null }, viewer))!;
	expect(timeline.rows[0]!.files.map(({ name }) => name)).toEqual(['terms.pdf', 'order.pdf']);
	await expect(books.db.run(sql`update customer_file set name = 'x'`)).rejects.toThrow();
	await expect(books.db.run(sql`delete from customer_file`)).rejects.toThrow();
	await proves(books);
});

test('what was taken off is listed no more, and stays in the record', async () => {
	const { actId } = await done(books, keepCustomerFiles, { customerId: 1, files: [file('a.pdf')] }, CLERK);
	await done(books, takeOffCustomerFiles, { actId: String(actId) }, CLERK);
	expect(await names()).toEqual([]);
	expect(await lookAtCustomerFile(books.db, 1, viewer)).toMatchObject({ name: 'a.pdf' });
	const again = await perform(books, takeOffCustomerFiles, { actId: String(actId) }, as(CLERK));
	expect(codesOf(again)).toEqual(['already-undone']);
	const timeline = (await lookAtTimeline(books.db, { code: 'H1', before: null }, viewer))!;
	expect(timeline.rows.map(({ undoneBy }) => undoneBy !== null)).toEqual([false, true]);
	await proves(books);
});

test('all or none: an empty one and one that is too large are named', async () => {
	const files = [
		file('a.pdf'),
		file('b.pdf', Buffer.alloc(0)),
		file('c.pdf', Buffer.alloc(KEPT_FILE_BYTES + 1))
	];
	const result = await perform(books, keepCustomerFiles, { customerId: 1, files }, as(CLERK));
	expect(result.ok ? [] : result.problems).toEqual([
		{ code: 'file-empty', file: 'b.pdf' },
		{ code: 'file-too-large', file: 'c.pdf', bytes: KEPT_FILE_BYTES + 1, most: KEPT_FILE_BYTES }
	]);
	expect(await names()).toEqual([]);
});

test('nobody’s account, no file, what is no file, and whoever only reads are refused', async () => {
	const refusal = async (act: Promise<{ ok: boolean }>) => codesOf(await act);
	const files = [file('a.pdf')];
	expect(await refusal(perform(books, keepCustomerFiles, { customerId: 99, files }, as(CLERK)))).toEqual([
		'not-found'
	]);
	expect(await refusal(perform(books, keepCustomerFiles, { customerId: 1, files: [] }, as(CLERK)))).toEqual([
		'field'
	]);
	expect(await refusal(perform(books, takeOffCustomerFiles, { actId: '1' }, as(CLERK)))).toEqual([
		'not-found'
	]);
	expect(await refusal(perform(books, keepCustomerFiles, { customerId: 1, files }, as(READER)))).toEqual([
		'not-allowed'
	]);
});
