import { minor } from '../../../core/money/minor';
import { beforeEach, describe, expect, it } from 'vitest';
import { and, eq, sql } from 'drizzle-orm';
import { day } from '../../../core/day/day';
import type { Books } from '../../platform/db/open';
import { CHART } from '../../../core/5-journal/chart';
import {
	claim,
	document,
	item,
	itemState,
	journalLine,
	receipt,
	receiptState
} from '../../platform/db/schema';

import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	testBooks
} from '../../testing';

import { perform } from '../../act/perform';

import { allocateReceipt } from '../../allocation/commands/allocate-receipt';

import type { z } from 'zod';
import { returnPayment, type returnInput } from './return-payment';

import { undoPosting } from '../../allocation/commands/undo-posting';
import { undoReturn } from './undo-return';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000), newDocument('AK-2', 1, 5_000));
	await bringIn(books, bankXml([credit(14_900, 'AK-1 AK-2', { reference: 'P1' })]));
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [
				{ itemId: 1, version: 1, cash: 10_000, differences: [] },
				{
					...{ itemId: 2, version: 1, cash: 4_900 },
					differences: [{ kind: 'settlement_discount', amount: 100 }]
				}
			]
		},
		CLERK
	);
});

const open = async () => {
	const rows = await books.db
		.select({ number: document.number, open: itemState.open })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.orderBy(item.id);
	return rows.map((row) => `${row.number} ${row.open}`);
};
const balance = async (account: string) => {
	const row = await books.db
		.select({ sum: sql<number>`coalesce(sum(${journalLine.amount}), 0)` })
		.from(journalLine)
		.where(eq(journalLine.account, account))
		.get();
	return row!.sum;
};
const versionOf = async (itemId: number) =>
	(await books.db.select().from(itemState).where(eq(itemState.itemId, itemId)).get())!.version;
const stateOf = async (id: number) =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;
const back = async (over: Partial<z.input<typeof returnInput>> = {}) => ({
	...{
		receiptId: 1,
		receiptVersion: (await stateOf(1)).version,
		amount: 14_900,
		date: null,
		reason: 'refer'
	},
	...over
});
/** The bank's debit, brought in on a statement of its own. */
const debit = async (amount: number, text = 'RETURNED UNPAID') => {
	await bringIn(
		books,
		bankXml([credit(-amount, text, { reference: `D${amount}`, booked: '2026-10-29' })], {
			...{ reference: `S${amount}`, opening: await balance('1200'), closingOn: day('2026-10-29') }
		}),
		`d${amount}.xml`
	);
	const row = await books.db
		.select({ id: receipt.id })
		.from(receipt)
		.where(and(eq(receipt.amount, minor(-amount))))
		.get();
	return row!.id;
};

describe('a returned payment, later', () => {
	it('a claim that went with it stays, or goes back; a decided one is refused', async () => {
		await invoices(books, newDocument('AK-7', 1, 2_000));
		await bringIn(
			books,
			bankXml([credit(1_600, 'AK-7', { reference: 'P2', booked: '2026-10-29' })], {
				...{ reference: 'S2', opening: await balance('1200'), closingOn: day('2026-10-29') }
			}),
			'two.xml'
		);
		const claimed = { reason: 'damaged', owner: 'Wren', deadline: '2026-11-10' } as const;
		await done(
			books,
			allocateReceipt,
			{
				...{ receiptId: 2, receiptVersion: 1, customerId: 1 },
				lines: [
					{
						...{ itemId: 3, version: 1, cash: 1_600, claim: claimed },
						differences: [{ kind: 'claim', amount: 400 }]
					}
				]
			},
			CLERK
		);
		const [gap] = await books.db.all<{ id: number }>(sql`select id from difference where kind = 'claim'`);
		await done(
			books,
			returnPayment,
			{
				...{ receiptId: 2, receiptVersion: 2, amount: 1_600, date: null, reason: 'AC04' },
				differencesBack: [gap!.id]
			},
			CLERK
		);
		expect((await open()).slice(2)).toEqual(['AK-7 2000', expect.stringMatching(/ 0$/)]);
		expect((await books.db.select().from(claim).get())!.state).toBe('withdrawn');
		await proves(books);
	});

	it('is taken back: everything is as it was, and the charge credited; what was paid meanwhile is left alone', async () => {
		const [gap] = await books.db.all<{ id: number }>(sql`select id from difference`);
		const returned = await done(
			books,
			returnPayment,
			await back({ fee: 850, charge: 1_500, differencesBack: [gap!.id] }),
			CLERK
		);
		const posting = (await stateOf(1)).actId!;
		const refused = await perform(books, undoPosting, { actId: posting }, as(CLERK));
		expect(refused.ok ? [] : refused.problems).toMatchObject([{ code: 'came-back' }]);
		await done(books, undoReturn, { actId: returned.actId }, CLERK);
		expect(await open()).toEqual(['AK-1 0', 'AK-2 0', 'CH-1001 0', 'CN-1001 0']);
		expect([await balance(CHART.returned.code), await balance(CHART.bankCharges.code)]).toEqual([0, 0]);
		expect(await balance(CHART.discounts.code)).toBe(100);
		await proves(books);
		const twice = await perform(books, undoReturn, { actId: returned.actId }, as(CLERK));
		expect(twice.ok ? [] : twice.problems).toMatchObject([{ code: 'already-undone' }]);
		// And it may come back after all.
		const again = await done(books, returnPayment, await back(), CLERK);
		await invoices(books, newDocument('CX-1', 1, 9_000, { kind: 'credit_note' }));
		await done(
			books,
			allocateReceipt,
			{
				...{ receiptId: null, receiptVersion: null, customerId: 1 },
				lines: [
					{ itemId: 1, version: await versionOf(1), cash: 9_000, differences: [] },
					{ itemId: 5, version: 1, cash: -9_000, differences: [] }
				]
			},
			CLERK
		);
		await done(books, undoReturn, { actId: again.actId }, CLERK);
		expect((await open()).slice(0, 2)).toEqual(['AK-1 1000', 'AK-2 0']);
		expect((await stateOf(1)).onAccount).toBe(10_000);
		await proves(books);
	});

	it('meeting the bank’s entry is taken back before the return is', async () => {
		const shown = await debit(14_900);
		const { actId } = await done(
			books,
			returnPayment,
			await back({ shown: { receiptId: shown, receiptVersion: 1, part: 'money' } }),
			CLERK
		);
		const refused = await perform(books, undoReturn, { actId }, as(CLERK));
		expect(refused.ok ? [] : refused.problems).toMatchObject([{ code: 'credit-in-use' }]);
		await done(books, undoPosting, { actId: (await stateOf(shown)).actId! }, CLERK);
		expect((await stateOf(shown)).state).toBe('waiting');
		await done(books, undoReturn, { actId }, CLERK);
		expect(await open()).toEqual(['AK-1 0', 'AK-2 0']);
		await proves(books);
	});
});
