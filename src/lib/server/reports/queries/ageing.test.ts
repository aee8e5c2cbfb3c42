import { sql } from 'drizzle-orm';
import fc from 'fast-check';
import { describe, expect, it, test } from 'vitest';
import { addDays, daysBetween } from '../../../core/day/arithmetic';
import { day, type Day } from '../../../core/day/day';
import type { Report } from '../../../core/model/report';
import { lockPeriod } from '../../periods/commands/lock-period';
import type { Books } from '../../platform/db/open';
import {
	CLERK,
	done,
	newCustomer,
	newDocument,
	proves,
	READER,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { addCustomers } from '../../customers/commands/add-customers';
import type { ReportParams } from '../store/asked-fields';
import { DAYS, FIRST, historyBooks, historySteps, live, nothingHappened } from '../testing-history';
import { lookAtReport, type ReportAnswer } from './report';

const LAST = addDays(FIRST, DAYS);
const ask = (books: Books, params: ReportParams, today = LAST): Promise<ReportAnswer> =>
	lookAtReport(books.db, { id: 'ageing', params, order: null, page: null }, { who: READER, today });
async function made(books: Books, params: ReportParams, today = LAST): Promise<Report> {
	const answer = await ask(books, params, today);
	if (!answer.ok) throw new Error(JSON.stringify(answer.problems));
	return answer.report;
}

interface Open {
	readonly customer: string;
	readonly currency: string;
	readonly issued: Day;
	readonly due: Day;
	readonly open: number;
}

/** What was open at the end of a day: every record read, and added up one by one. */
async function plainly(books: Books, on: Day): Promise<Open[]> {
	const all = <Row>(text: string) => books.db.all<Row>(sql.raw(text));
	const found: Open[] = [];
	const items = await all<{
		id: number;
		kind: string;
		total: number;
		issued: Day;
		due: Day;
		currency: string;
		customer: string;
	}>(
		`select i.id, d.kind, i.total, d.issued, i.due, d.currency, c.code as customer
		from item i join document d on d.id = i.document_id join customer c on c.id = i.customer_id`
	);
	const allocations = await all<{
		itemId: number;
		creditItemId: number | null;
		receiptId: number | null;
		amount: number;
		creditAmount: number;
		creditCustomer: string;
		date: Day;
	}>(
		`select item_id as itemId, credit_item_id as creditItemId, receipt_id as receiptId, amount, credit_amount as creditAmount, c.code as creditCustomer, date
		from allocation join customer c on c.id = credit_customer_id`
	);
	const differences = await all<{ itemId: number; amount: number; date: Day }>(
		'select item_id as itemId, amount, date from difference'
	);
	for (const item of items) {
		let open = item.issued <= on ? item.total : 0;
		for (const one of allocations) {
			if (one.date > on) continue;
			if (one.itemId === item.id) open -= one.amount;
			if (one.creditItemId === item.id) open -= one.creditAmount;
		}
		for (const one of differences) if (one.itemId === item.id && one.date <= on) open -= one.amount;
		if (open !== 0) found.push({ ...item, open: item.kind === 'credit_note' ? -open : open });
	}
	// Money: what was posted of each receipt, by the journal, less what was allocated of it.
	const receipts = await all<{ id: number; booked: Day; currency: string }>(
		'select id, booked, currency from receipt'
	);
	const lines = await all<{ receiptId: number; date: Day; amount: number; customer: string; kind: string }>(
		`select receipt_id as receiptId, date, amount, c.code as customer, source_kind as kind from journal_line join customer c on c.id = customer_id
		where account = '1100' and source_kind in ('receipt', 'receipt-adjustment')`
	);
	for (const { id, booked, currency } of receipts)
		for (const customer of ['H1', 'W2', 'E3']) {
			let open = 0;
			for (const line of lines)
				if (line.receiptId === id && line.customer === customer && line.date <= on) open += line.amount;
			for (const one of allocations)
				if (one.receiptId === id && one.creditCustomer === customer && one.date <= on)
					open += one.creditAmount;
			if (open !== 0) found.push({ customer, currency, issued: booked, due: booked, open });
		}
	return found;
}

/** What an ageing should have, by account and currency: its buckets, credits, balance. */
function aged(open: readonly Open[], on: Day, since: 'due' | 'issued', credit: 'apart' | 'within') {
	const rows: Record<string, number[]> = {};
	for (const one of open) {
		const row = (rows[`${one.customer} ${one.currency}`] ??= [0, 0, 0, 0, 0, 0]);
		const late = daysBetween(since === 'due' ? one.due : one.issued, on);
		const at = credit === 'apart' && one.open < 0 ? 4 : late <= 0 ? 0 : late <= 7 ? 1 : late <= 14 ? 2 : 3;
		row[at]! += one.open;
		row[5]! += one.open;
	}
	return rows;
}

/** The control account by currency at the end of a day. */
const ledgerOn = async (books: Books, on: Day) =>
	Object.fromEntries(
		(
			await books.db.all<{ currency: string; sum: number }>(sql`
				select currency, sum(amount) as sum from journal_line where account = '1100' and date <= ${on} group by 1`)
		).map((row) => [row.currency, row.sum])
	);

const asRecord = (report: Report, credit: 'apart' | 'within') =>
	Object.fromEntries(
		report.rows.map(({ account, currency, cells }) => {
			const figures = cells.slice(3) as number[];
			const [n0, n1, n2, n3, ...rest] = figures;
			return [`${account} ${currency}`, [n0, n1, n2, n3, ...(credit === 'apart' ? rest : [0, ...rest])]];
		})
	);

describe('over random histories', () => {
	const happened = nothingHappened();
	test('the ageing of any day is what a plain recomputation says, and comes to the control account', async () => {
		await fc.assert(
			fc.asyncProperty(historySteps, async (history) => {
				const books = await historyBooks();
				await live(books, history, happened);
				await proves(books);
				for (let n = -1; n <= DAYS; n += 7) {
					const on = addDays(FIRST, n);
					const open = await plainly(books, on);
					for (const since of ['due', 'issued'] as const)
						for (const credit of ['apart', 'within'] as const) {
							const report = await made(books, { 'as-of': on, buckets: '7, 14', since, credit });
							const want = aged(open, on, since, credit);
							const found = asRecord(report, credit);
							// An account whose items and money come to nothing in every bucket stands there with its noughts.
							expect(found).toEqual(want);
							for (const sum of report.sums)
								expect(sum.cells.at(-1)).toBe((await ledgerOn(books, on))[sum.currency] ?? 0);
						}
					const detail = await made(books, { 'as-of': on, show: 'detail' });
					const sums = Object.fromEntries(detail.sums.map((sum) => [sum.currency, sum.cells.at(-1)]));
					for (const [currency, sum] of Object.entries(await ledgerOn(books, on)))
						expect(sums[currency] ?? 0).toBe(sum);
				}
				await books.close();
			}),
			{ numRuns: 12, seed: 18, endOnFailure: true }
		);
		// Histories in which nothing happens would show nothing.
		expect(Math.min(...Object.values(happened))).toBeGreaterThan(1);
	}, 240_000);

	test('a locked period has the same figures, whatever is posted in later years', async () => {
		const later = nothingHappened();
		await fc.assert(
			fc.asyncProperty(historySteps, historySteps, async (before, after) => {
				const books = await historyBooks();
				await live(books, before, nothingHappened());
				await done(books, lockPeriod, { through: LAST, reason: '' }, SUPERVISOR);
				const all = async () => {
					const told: unknown[] = [];
					for (let n = 0; n <= DAYS; n += 14)
						for (const show of ['summary', 'detail']) {
							const { rows, sums } = await made(books, { 'as-of': addDays(FIRST, n), show });
							told.push(rows.map(({ cells }) => cells).sort(), sums);
						}
					return told;
				};
				const told = await all();
				await live(books, after, later, DAYS + 1);
				await live(books, after.toReversed(), later, 800);
				expect(await all()).toEqual(told);
				await proves(books);
				await books.close();
			}),
			{ numRuns: 6, seed: 19, endOnFailure: true }
		);
		expect(later.allocated).toBeGreaterThan(1);
	}, 240_000);
});

describe('the ageing', () => {
	it('sums up by head office and by tag; who has several tags counts once', async () => {
		const books = await testBooks(newDocument('AK-1', 1, 1_000));
		await done(
			books,
			addCustomers,
			[
				newCustomer('B4', 'Branch Four', { parentCode: 'H1', tags: ['export', 'kiln'] } as never),
				newCustomer('B5', 'Branch Five', { parentCode: 'B4' } as never)
			],
			CLERK
		);
		await done(
			books,
			(await import('../../documents/commands/issue-documents')).issueDocuments,
			[newDocument('AK-2', 4, 500), newDocument('AK-3', 5, 200)],
			CLERK
		);
		const by = async (params: ReportParams) =>
			(await made(books, params, TODAY)).rows.map(({ cells }) => [cells[0], cells.at(-1)]);
		expect(await by({ by: 'parent' })).toEqual([['H1', 1_700]]);
		expect(await by({ by: 'tag' })).toEqual([
			['', 1_200],
			['export', 500],
			['kiln', 500]
		]);
		expect((await made(books, { by: 'tag' }, TODAY)).sums.map(({ cells }) => cells.at(-1))).toEqual([1_700]);
		expect(await by({ tag: 'kiln' })).toEqual([['B4', 500]]);
		expect(await by({ parent: 'h1' })).toEqual([
			['H1', 1_000],
			['B4', 500],
			['B5', 200]
		]);
		expect(await by({ customer: 'B5', show: 'detail' })).toEqual([['B5', 200]]);
		await books.close();
	});
	it.each<[string, ReportParams, string]>([
		[
			'a day that has not come',
			{ 'as-of': '2026-12-24' },
			'24 Dec 2026 has not come yet. Choose a day up to 30 Oct 2026.'
		],
		['a day that there is not', { 'as-of': '2026-02-29' }, '“2026-02-29” is not a date.'],
		[
			'buckets that overlap',
			{ buckets: '60, 30' },
			'Give the days in order, each later than the one before: buckets must not overlap.'
		],
		[
			'200 buckets',
			{ buckets: Array.from({ length: 200 }, (_, n) => n + 1).join(',') },
			'Give 12 days at the most: more columns fit no page.'
		],
		['no buckets', { buckets: ',' }, 'Give the days at which each bucket ends, such as 30, 60, 90.'],
		['an account that there is not', { customer: 'ZZ' }, 'There is no account “ZZ”.'],
		['a choice that there is not', { by: 'moon' }, '“moon” is none of the choices here.'],
		['a currency that nothing is in', { currency: 'JPY' }, '“JPY” is none of the choices here.']
	])('refuses %s', async (_, params, says) => {
		const books = await testBooks(newDocument('AK-1', 1, 1_000));
		const answer = await ask(books, params, TODAY);
		expect(answer.ok ? [] : answer.problems).toEqual([
			{ code: 'field', field: Object.keys(params)[0], message: says }
		]);
		await books.close();
	});
	it('is of nothing before the first day, and on 29 February of a leap year', async () => {
		const books = await testBooks(newDocument('AK-1', 1, 1_000));
		for (const on of ['2024-02-29', '1900-01-01']) {
			const { rows, sums, count } = await made(books, { 'as-of': on }, TODAY);
			expect([rows, sums, count]).toEqual([[], [], 0]);
		}
		await books.close();
	});
	it('in base currency asks for a rate where there is none', async () => {
		const books = await historyBooks();
		const sums = async (on: string) =>
			(await made(books, { 'as-of': on, money: 'base' })).sums.map(({ currency, cells }) => [
				currency,
				cells.at(-1)
			]);
		// 27.00 EUR at 0.86, then at 0.885, beside 9.00 and 18.00.
		expect(await sums('2026-09-01')).toEqual([['GBP', 2_700 + 2_322]]);
		expect(await sums('2026-09-21')).toEqual([['GBP', 2_700 + 2_390]]);
		await books.close();
	});
	it('is paged in its order', async () => {
		const books = await testBooks(newDocument('AK-1', 1, 1_000), newDocument('AK-2', 2, 3_000));
		const page = async (by: string, down: boolean) => {
			const asked = { id: 'ageing' as const, params: {}, order: { by, down }, page: 0 };
			const answer = await lookAtReport(books.db, asked, { who: READER, today: day('2026-10-30') });
			return answer.ok ? answer.report.rows.map(({ account }) => account) : [];
		};
		expect(await page('balance', true)).toEqual(['W2', 'H1']);
		expect(await page('customer', false)).toEqual(['H1', 'W2']);
		expect(await page('no such column', false)).toEqual(['W2', 'H1']);
		await books.close();
	});
});
