import { sql } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { addCustomers } from '../../customers/commands/add-customers';
import { act } from '../../platform/db/schema';
import type { Books } from '../../platform/db/open';
import { bookUnidentified } from '../../receipts/commands/book-unidentified';
import {
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newCustomer,
	newDocument,
	payment,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import type { ReportId } from '../../../core/model/report';
import type { ReportParams } from '../store/asked-fields';
import { lookAtReport } from './report';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await done(
		books,
		addCustomers,
		[newCustomer('L4', 'Limited Four', { creditLimit: 1_000 } as never)],
		CLERK
	);
	await invoices(books, newDocument('AK-1', 1, 2_000), newDocument('AK-2', 4, 1_500));
	await bringIn(
		books,
		bankXml([
			credit(2_600, 'AK-1 and more', { booked: '2026-10-05' }),
			credit(333, 'nobody knows', { booked: '2026-10-10' }),
			credit(44, 'waits', { booked: '2026-10-20' })
		])
	);
});
afterEach(() => books.close());
async function rows(id: ReportId, params: ReportParams = {}) {
	const answer = await lookAtReport(
		books.db,
		{ id, params, order: null, page: null },
		{ who: READER, today: TODAY }
	);
	if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
	return answer.report.rows.map(({ cells }) => cells);
}

/** H1 pays 20.00 and 6.00 too much on 5 October; 3.33 that nobody knows are booked as such. */
async function aDay() {
	await done(books, allocateReceipt, payment(1, 1, [1, 2_000]), CLERK);
	await done(books, bookUnidentified, { receiptId: 2, receiptVersion: 1 }, CLERK);
}

describe('balances', () => {
	it('tell what is owed from what lies on account, as of any day, and who is beyond a limit', async () => {
		await aDay();
		expect(await rows('balances')).toEqual([
			['L4', 'Limited Four', 'GBP', 1_500, 0, 1_500, 1_500, 1_000, 500],
			['H1', 'Hazel Hill Pottery', 'GBP', 0, 600, -600, 0, null, null]
		]);
		expect(await rows('balances', { 'as-of': '2026-09-30' })).toEqual([
			['H1', 'Hazel Hill Pottery', 'GBP', 2_000, 0, 2_000, 0, null, null],
			['L4', 'Limited Four', 'GBP', 1_500, 0, 1_500, 0, 1_000, 500]
		]);
		const codes = async (only: string) => (await rows('balances', { only })).map(([code]) => code);
		expect(await codes('overdue')).toEqual(['L4']);
		expect(await codes('over-limit')).toEqual(['L4']);
		expect(await codes('in-credit')).toEqual(['H1']);
	});
});

describe('receipts', () => {
	it('are those of a period, with who allocated them and what of them is allocated', async () => {
		await aDay();
		const short = async (params: ReportParams) =>
			(await rows('receipts', params)).map((cells) => [
				cells[0],
				cells[2],
				cells[6],
				cells[8],
				...cells.slice(10)
			]);
		expect(await short({})).toEqual([
			['2026-10-20', null, 'waiting', null, 44, 0, 0],
			['2026-10-10', null, 'unidentified', null, 333, 0, 0],
			['2026-10-05', 'H1', 'allocated', 'Wren', 2_600, 2_000, 600]
		]);
		expect(await short({ from: '2026-10-06', to: '2026-10-10' })).toHaveLength(1);
		expect(await short({ customer: 'H1' })).toHaveLength(1);
		expect(await short({ person: 'Wren' })).toHaveLength(1);
		expect(await short({ bank: '2' })).toEqual([]);
	});
	it('begin before they end', async () => {
		const asked = {
			id: 'receipts' as const,
			params: { from: '2026-10-10', to: '2026-10-01' },
			order: null,
			page: null
		};
		const answer = await lookAtReport(books.db, asked, { who: READER, today: TODAY });
		expect(answer.ok ? [] : answer.problems).toMatchObject([{ code: 'field', field: 'from' }]);
	});
});

describe('unallocated money', () => {
	it('lies on account or is unidentified, and comes to what the ledger says on any day', async () => {
		await aDay();
		const [unidentified] = await books.db.all<{ sum: number }>(
			sql`select -sum(amount) as sum from journal_line where account = '2150'`
		);
		const all = await rows('unallocated');
		expect(all.map((cells) => [cells[0], cells[3], cells[5], cells[7]])).toEqual([
			['H1', 'on_account', 25, 600],
			[null, 'unidentified', 20, 333]
		]);
		expect(all.filter((cells) => cells[3] === 'unidentified').map((cells) => cells[7])).toEqual([
			unidentified!.sum
		]);
		expect(await rows('unallocated', { 'as-of': '2026-10-04' })).toEqual([]);
		expect(await rows('unallocated', { what: 'unidentified' })).toHaveLength(1);
		expect(await rows('unallocated', { customer: 'W2' })).toEqual([]);
	});
	it('is gone once it is taken back', async () => {
		await aDay();
		const [last] = await books.db
			.select({ id: act.id })
			.from(act)
			.where(sql`kind = 'allocate-receipt'`);
		await done(books, undoPosting, { actId: last!.id }, CLERK);
		const on = (day: string) => rows('unallocated', { 'as-of': day, what: 'on-account' });
		expect(await on('2026-10-30')).toEqual([]);
	});
});
