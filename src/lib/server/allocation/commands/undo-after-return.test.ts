import { eq, sql } from 'drizzle-orm';
import { beforeEach, expect, it } from 'vitest';
import { CHART } from '../../../core/5-journal/chart';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { itemState, journalLine, receiptState, reduction } from '../../platform/db/schema';
import { returnPayment } from '../../returns/commands/return-payment';
import { undoReturn } from '../../returns/commands/undo-return';
import { as, bankXml, bringIn, CLERK, credit, done, newDocument, proves, testBooks } from '../../testing';
import { allocateReceipt } from './allocate-receipt';
import { reallocate } from './reallocate';
import { undoPosting } from './undo-posting';

/*
 * A payment was entered as returned, and that was a mistake: taking the return back allocates the money anew. From then on it is
 * taken off, or allocated otherwise, as if it had never been thought to have come back.
 */
let books: Books;
let posting: number;
beforeEach(async () => {
	books = await testBooks(
		...[newDocument('AK-1', 1, 10_000), newDocument('AK-2', 1, 5_000), newDocument('AK-3', 2, 3_000)],
		newDocument('AK-4', 1, 700)
	);
	await bringIn(books, bankXml([credit(15_500, 'AK-1 AK-2', { reference: 'P1' })]));
	const { actId } = await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [
				{ itemId: 1, version: 1, cash: 10_000, differences: [] },
				{
					...{ itemId: 2, version: 1, cash: 4_900 },
					differences: [{ kind: 'small_difference', amount: 100 }]
				}
			]
		},
		CLERK
	);
	posting = actId!;
});

const state = async () =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, 1)).get())!;
const open = async () =>
	(await books.db.select({ open: itemState.open }).from(itemState).orderBy(itemState.itemId)).map(
		(row) => row.open
	);
const counted = async () =>
	books.db.all(sql`select kind, sum(base) as base from ${reduction} group by kind having sum(base) <> 0`);
const at = async (account: string) =>
	(await books.db
		.select({ sum: sql<number>`coalesce(sum(${journalLine.base}), 0)` })
		.from(journalLine)
		.where(eq(journalLine.account, account))
		.get())!.sum;
async function thoughtReturned(amount: number, withGap: boolean): Promise<void> {
	const gaps = await books.db.all<{ id: number }>(sql`select id from standing_difference`);
	const { actId } = await done(
		books,
		returnPayment,
		{
			...{ receiptId: 1, receiptVersion: (await state()).version, amount, date: null, reason: 'refer' },
			...{ fee: 300, charge: 0, differencesBack: withGap ? gaps.map(({ id }) => id) : [] }
		},
		CLERK
	);
	await done(books, undoReturn, { actId }, CLERK);
	await proves(books);
}

it.each([
	['all of it, with its deduction', 15_500, true],
	['all of it, the deduction stays', 15_500, false],
	['a part of one invoice', 3_000, true],
	['what lay on account, and a little', 601, false]
] as const)('%s: the allocation is taken off, and everything is as before', async (_, amount, withGap) => {
	await thoughtReturned(amount, withGap);
	await thoughtReturned(amount, withGap);
	await done(books, undoPosting, { actId: posting }, CLERK);
	expect(await open()).toEqual([10_000, 5_000, 3_000, 700]);
	expect((await state()).state).toBe('waiting');
	expect((await state()).onAccount).toBe(0);
	expect(await counted()).toEqual([]);
	expect([await at(CHART.smallDifferences.code), await at(CHART.returned.code)]).toEqual([0, 0]);
	await proves(books);
});

it('it is allocated to another customer', async () => {
	await thoughtReturned(15_500, true);
	await done(
		books,
		reallocate,
		{
			actId: posting,
			order: {
				...{ receiptId: 1, receiptVersion: (await state()).version, customerId: 2, date: null },
				lines: [{ itemId: 3, version: 1, cash: 3_000, differences: [] }]
			}
		},
		CLERK
	);
	expect(await open()).toEqual([10_000, 5_000, 0, 700]);
	expect((await state()).onAccount).toBe(12_500);
	await proves(books);
});

it('what lay on account and was allocated since is taken off by itself, before', async () => {
	const { actId: since } = await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: null, receiptVersion: null, customerId: 1 },
			credits: [{ receiptId: 1, version: (await state()).version, use: 600 }],
			lines: [{ itemId: 4, version: 1, cash: 600, differences: [] }]
		},
		CLERK
	);
	expect(await open()).toEqual([0, 0, 3_000, 100]);
	await thoughtReturned(15_500, true);
	expect(await open()).toEqual([0, 0, 3_000, 100]);
	await done(books, undoPosting, { actId: since! }, CLERK);
	expect(await open()).toEqual([0, 0, 3_000, 700]);
	expect((await state()).onAccount).toBe(600);
	await proves(books);
	await done(books, undoPosting, { actId: posting }, CLERK);
	expect(await open()).toEqual([10_000, 5_000, 3_000, 700]);
	const twice = await perform(books, undoPosting, { actId: since! }, as(CLERK));
	expect(twice.ok ? [] : twice.problems).toMatchObject([{ code: 'already-undone' }]);
	await proves(books);
});
