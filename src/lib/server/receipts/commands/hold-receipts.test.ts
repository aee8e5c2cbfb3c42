import { afterEach, beforeEach, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { receiptState } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	letIn,
	newDocument,
	proves,
	READER,
	testBooks,
	codesOf
} from '../../testing';
import { perform } from '../../act/perform';
import { undoActs } from '../../allocation/commands/undo-acts';
import { putOnAccount } from '../../allocation/commands/put-on-account';
import { holdReceipt, holdReceipts } from './hold-receipt';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000));
	await bringIn(books, bankXml([credit(500, 'one'), credit(600, 'two'), credit(700, 'three')]));
});
afterEach(() => books.close());

const waiting = async () => (await answeredPile(books.db)).receipts;
const marked = async () => (await waiting()).map(({ id, version }) => ({ id, version }));

it('several are handed to somebody with one note, all of them or none', async () => {
	const receipts = await marked();
	await letIn(books, 'Hollis', 'supervisor');
	const given = { receipts, because: 'no advice yet', heldFor: 'Hollis' };
	expect(codesOf(await perform(books, holdReceipts, { ...given, heldFor: 'Nobody' }, as(CLERK)))).toEqual([
		'field'
	]);
	const stale = receipts.map((one, i) => (i === 2 ? { ...one, version: 9 } : one));
	expect(codesOf(await perform(books, holdReceipts, { ...given, receipts: stale }, as(CLERK)))).toEqual([
		'receipt-taken'
	]);
	expect((await waiting()).map((row) => row.heldBecause)).toEqual([null, null, null]);
	expect(codesOf(await perform(books, holdReceipts, given, as(READER)))).toEqual(['not-allowed']);
	await done(books, holdReceipts, given, CLERK);
	expect((await waiting()).map((row) => [row.heldBecause, row.heldFor])).toEqual(
		Array.from({ length: 3 }, () => ['no advice yet', 'Hollis'])
	);
	// Taken off hold it is nobody's any more.
	const [first] = await waiting();
	const release = { receiptId: first!.id, receiptVersion: first!.version, because: '' };
	await done(books, holdReceipt, release, CLERK);
	expect((await waiting())[0]).toMatchObject({ heldBecause: null, heldFor: null });
});

it('several are put on one account, and taken off it again together', async () => {
	const receipts = await marked();
	const { actId, count } = await done(books, putOnAccount, { receipts, customerId: 1 }, CLERK);
	expect(count).toBe(3);
	const lies = async () =>
		(await books.db.select().from(receiptState)).map((row) => [row.state, row.customerId, row.onAccount]);
	expect(await lies()).toEqual([
		['allocated', 1, 500],
		['allocated', 1, 600],
		['allocated', 1, 700]
	]);
	await proves(books);
	await done(books, undoActs, { actIds: [actId] }, CLERK);
	expect(await lies()).toEqual(Array.from({ length: 3 }, () => ['waiting', null, 0]));
	await proves(books);
	expect(codesOf(await perform(books, putOnAccount, { receipts, customerId: 1 }, as(CLERK)))).toEqual([
		'receipt-taken'
	]);
	expect(codesOf(await perform(books, putOnAccount, { receipts, customerId: 99 }, as(CLERK)))).toEqual([
		'not-found'
	]);
});
