import { beforeAll, expect, it } from 'vitest';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import type { Books } from '../../platform/db/open';
import {
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	payment,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { searchBooks } from './search';

const viewer = { who: READER, today: TODAY };
let books: Books;

/** A settled invoice, an open one with an order, and money that waits. */
beforeAll(async () => {
	books = await testBooks(
		newDocument('AK-40233', 1, 188_920),
		newDocument('AK-40240', 2, 50_000, { purchaseOrder: 'PO77123', paymentReference: 'RF18AK40240' })
	);
	await bringIn(
		books,
		bankXml([
			credit(188_920, 'AK-40233', { name: 'HAZEL HILL', reference: 'B1' }),
			credit(12_345, 'for the kiln', { name: 'A STRANGER', account: 'X', reference: 'B2' })
		])
	);
	await done(books, allocateReceipt, payment(1, 1, [1, 188_920]), CLERK);
});

const CASES: readonly (readonly [string, readonly string[]])[] = [
	['hazel', ['customer Hazel Hill Pottery /customers/H1', 'receipt HAZEL HILL /books/journal?act=']],
	['w2', ['customer Wicker Lane Ceramics /customers/W2']],
	['40233', ['document AK-40233 /customers/H1?item=1', 'receipt HAZEL HILL /books/journal?act=']],
	['PO771', ['document AK-40240 /customers/W2?item=2']],
	['rf18', ['document AK-40240 /customers/W2?item=2']],
	['1,889.20', ['document AK-40233 /customers/H1?item=1', 'receipt HAZEL HILL /books/journal?act=']],
	['£500', ['document AK-40240 /customers/W2?item=2']],
	['kiln', ['receipt A STRANGER /money-in?receipt=2']],
	['B2', ['receipt A STRANGER /money-in?receipt=2']],
	['%%', []],
	['nothing of the kind', []]
];

it.each(CASES)('finds %s', async (text, wanted) => {
	const found = await searchBooks(books.db, text, viewer);
	expect(found.map((one) => `${one.kind} ${one.name} ${one.href.replace(/act=\d+$/, 'act=')}`)).toEqual(
		wanted
	);
});
