import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs';
import readXlsxFile from 'read-excel-file/node';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { layOutReport } from '../../words/reports';
import { addDays } from '../../core/day/arithmetic';
import { addCustomers } from '../customers/commands/add-customers';
import { typesetReport } from '../platform/pdf/typeset';
import type { Books } from '../platform/db/open';
import { CLERK, done, invoices, newCustomer, newDocument, READER, testBooks, TODAY } from '../testing';
import type { ReportParams } from '../reports/store/asked-fields';
import { lookAtReport } from '../reports/queries/report';
import { lookAtReportFile, type ReportFormat } from './report-file';

const viewer = { who: READER, today: TODAY };
const AT = '2026-10-30T10:00:00.000Z';
/** A name that a spreadsheet would run, if it took it for a formula. */
const FORMULA = '=HYPERLINK("https://mere.example","Pay here")';
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await done(books, addCustomers, [newCustomer('F4', FORMULA)], CLERK);
	await invoices(
		books,
		newDocument('AK-1', 4, 123_456),
		newDocument('AK-2', 1, 7, { issued: addDays(TODAY, -3) }),
		newDocument('AC-1', 1, 5_000, { kind: 'credit_note' })
	);
});
afterEach(() => books.close());
const file = (format: ReportFormat, params: ReportParams = {}) =>
	lookAtReportFile(books.db, { id: 'ageing', params, order: null, format, at: AT }, viewer);

describe('a report as a file', () => {
	it('is a workbook with true numbers, days and words, and what was asked', async () => {
		const made = await file('xlsx', { show: 'detail' });
		if (made.what !== 'xlsx') throw new Error(made.what);
		const [sheet] = await readXlsxFile(Buffer.from(made.bytes));
		const rows = sheet!.data;
		expect(rows[0]).toEqual(expect.arrayContaining(['Ageing', 'Ashlock Kiln & Clay Ltd']));
		const asked = Object.fromEntries(rows.slice(1, 8).map(([name, value]) => [name, value]));
		expect(asked).toMatchObject({
			'As of': '30 Oct 2026',
			Show: 'every item',
			'Buckets end after': '30, 60, 90 days'
		});
		const head = rows.findIndex((row) => row[0] === 'Account');
		expect(rows[head]).toEqual([
			...[
				'Account',
				'Customer',
				'Document',
				'What',
				'Their order',
				'Issued',
				'Due',
				'Days',
				'Currency',
				'Open'
			]
		]);
		expect(rows[head + 1]).toEqual([
			...[
				'F4',
				FORMULA,
				'AK-1',
				'invoice',
				null,
				new Date('2026-09-01'),
				new Date('2026-10-01'),
				29,
				'GBP',
				1234.56
			]
		]);
		expect(rows.at(-1)!.at(-1)).toBe(1184.63);
	});
	it('is a table for programs, without sums, in which no name is a formula', async () => {
		const made = await file('csv');
		if (made.what !== 'csv') throw new Error(made.what);
		const lines = made.text.split('\r\n');
		expect(lines[0]).toBe(
			'Account,Customer,Currency,Not due,1–30 days,31–60 days,61–90 days,Over 90 days,Credit,Balance'
		);
		expect(lines[1]).toBe(
			`F4,"'${FORMULA.replaceAll('"', '""')}",GBP,0.00,1234.56,0.00,0.00,0.00,0.00,1234.56`
		);
		expect(lines).toHaveLength(3);
		expect(made.name).toBe('ageing-2026-10-30');
	});
	it('is paper that says what was asked, with every row and the sum', async () => {
		const made = await file('pdf');
		if (made.what !== 'pdf') throw new Error(made.what);
		const pdf = await getDocument({ data: new Uint8Array(typesetReport(made.sheet)) }).promise;
		const page = await pdf.getPage(1);
		const text = (await page.getTextContent()).items
			.map((one) => ('str' in one ? one.str : ''))
			.join(' ')
			.replace(/\s+/g, ' ');
		for (const said of [
			'Ashlock Kiln & Clay Ltd',
			'Ageing',
			'As of 30 Oct 2026',
			'30, 60, 90 days',
			'1,234.56',
			'−50.00',
			'In all',
			'1,184.63'
		])
			expect(text).toContain(said);
		expect((await pdf.getMarkInfo())?.Marked).toBe(true);
		expect((await page.getStructTree())?.children.length).toBeGreaterThan(0);
	});
	it('of nothing says so on paper', async () => {
		const answer = await lookAtReport(
			books.db,
			{ id: 'ageing', params: { 'as-of': '2020-01-01' }, order: null, page: null },
			viewer
		);
		if (!answer.ok) throw new Error('refused');
		const sheet = layOutReport(answer.report, { firm: 'Ashlock', at: AT, day: TODAY });
		expect(sheet.nothing).toBe('Nothing was open at the end of 1 Jan 2020.');
		expect(typesetReport(sheet).subarray(0, 5).toString()).toBe('%PDF-');
	});
	it('says what is wrong with what was asked', async () => {
		expect(await file('csv', { buckets: '9, 9' })).toMatchObject({
			what: 'problems',
			problems: [{ code: 'field', field: 'buckets' }]
		});
	});
});
