import { sql } from 'drizzle-orm';
import { beforeEach, expect, test } from 'vitest';
import { day } from '../../../core/day/day';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { Books } from '../../platform/db/open';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtAccount } from '../queries/account';
import { recordPromise, takeOffPromise } from './promises';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000));
});
const BY = '2026-11-06';
const record = (over: { amount?: number; promisedFor?: string; customerId?: number } = {}) =>
	perform(
		books,
		recordPromise,
		{ customerId: 1, amount: 10_000, promisedFor: BY, saidBy: 'Ada Reed', ...over },
		as(CLERK)
	);
const shown = async (today = TODAY) =>
	(await lookAtAccount(books.db, 'H1', { who: READER, today }))!.promises.map(({ state, came }) => [
		state,
		came
	]);

test('a promise waits, and is broken once its day is over', async () => {
	await record();
	expect(await shown()).toEqual([['open', 0]]);
	expect(await shown(day('2026-11-07'))).toEqual([['broken', 0]]);
	await proves(books);
});

test('what is allocated keeps it, and no more once that is undone', async () => {
	await record();
	await bringIn(books, bankXml([credit(10_000, 'AK-1', { booked: '2026-10-30' })], { closingOn: TODAY }));
	const order = { receiptId: 1, receiptVersion: 1, customerId: 1 };
	const posted = await done(
		books,
		allocateReceipt,
		{ ...order, lines: [{ itemId: 1, version: 1, cash: 10_000, differences: [] }], surplus: [] },
		CLERK
	);
	expect(await shown()).toEqual([['kept', 10_000]]);
	await done(books, undoPosting, { actId: String(posted.actId) }, CLERK);
	expect(await shown()).toEqual([['open', 0]]);
	await proves(books);
});

test('it is taken off once, and what was recorded stands', async () => {
	const made = await record();
	const actId = String(made.ok && made.value.actId);
	await done(books, takeOffPromise, { actId }, CLERK);
	expect(await shown()).toEqual([]);
	expect(codesOf(await perform(books, takeOffPromise, { actId }, as(CLERK)))).toEqual(['already-undone']);
	await expect(books.db.run(sql`update promise set amount = 1`)).rejects.toThrow();
	await expect(books.db.run(sql`delete from promise`)).rejects.toThrow();
	await proves(books);
});

test.each([
	['nothing', { amount: 0 }, ['field']],
	['a day that is over', { promisedFor: '2026-10-29' }, ['field']],
	['a customer who is not there', { customerId: 99 }, ['not-found']]
])('%s is refused', async (_, over, codes) => {
	expect(codesOf(await record(over))).toEqual(codes);
	expect(await shown()).toEqual([]);
});

test('what is no promise is not taken off as one, and whoever only reads records none', async () => {
	expect(codesOf(await perform(books, takeOffPromise, { actId: '1' }, as(CLERK)))).toEqual(['not-found']);
	const given = { customerId: 1, amount: 1, promisedFor: BY, saidBy: '' };
	expect(codesOf(await perform(books, recordPromise, given, as(READER)))).toEqual(['not-allowed']);
});
