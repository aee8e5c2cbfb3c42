import { beforeEach, describe, expect, it } from 'vitest';
import { proveBooks } from '../ledger/queries/proof';
import type { Books } from '../platform/db/open';
import { bankEntry, receipt, receiptState, reportedEntry } from '../platform/db/schema';
import { as, bankXml, bringIn, CLERK, credit, done, READER, TODAY, testBooks } from '../testing';
import { perform } from '../act/perform';
import { bookReported } from './commands/book-reported';
import { dismissReported } from './commands/dismiss-reported';
import { joinParts } from './commands/split-receipt';
import { lookAtReported } from './queries/reported-entries';
import { countReported } from './store/count-reported';
import { statementFaults } from './store/statement-faults';
import { mt940Text } from './testing-mt940';
import { asReport } from './testing-reports';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});

const batch = { amount: 7550, booked: '2026-10-28', reference: 'BATCH-1', info: 'BULK CREDIT' };
const payments = [
	{ amount: 5000, name: 'HAZEL HILL', account: 'ACCH1', text: 'AK-1' },
	{ amount: 2550, name: 'WICKER LANE', account: 'ACCW1', text: 'AK-2' }
];
/** The statement, on which the sum stands alone, and the bank's notification of what it is made of. */
const statement = bankXml([{ ...batch, details: [] }]);
const notification = asReport(bankXml([{ ...batch, details: payments }], { reference: 'N1' }), 'camt.054');
const intraday = asReport(bankXml([{ ...batch, details: [] }], { reference: 'R1' }), 'camt.052');

const came = async (...files: readonly string[]) => {
	const said = [];
	for (const [at, file] of files.entries()) {
		const result = await bringIn(books, file, `file-${at}`);
		if (!result.ok) throw new Error(JSON.stringify(result.problems));
		const { entriesNew, entriesKnown, reports } = result.value;
		said.push(reports ? { ...reports } : { fresh: entriesNew, known: entriesKnown });
	}
	expect((await proveBooks(books.db)).breaches).toEqual([]);
	expect(await statementFaults(books.db)).toEqual([]);
	return said;
};
/** Receipts that are to be allocated: amount and payer. */
const waiting = async () => {
	const rows = await books.db.select().from(receipt);
	const states = new Map(
		(await books.db.select().from(receiptState)).map((one) => [one.receiptId, one.state])
	);
	return rows
		.filter(({ id }) => states.get(id) === 'waiting')
		.map(({ amount, payerName }) => `${amount} ${payerName ?? '-'}`);
};
const listed = async (older = false) => lookAtReported(books.db, { older }, { who: READER, today: TODAY });

describe('what a bank reports before its statement', () => {
	it('is no money of the books, and is listed until a statement has it', async () => {
		expect(await came(intraday)).toEqual([{ fresh: 1, known: 0, met: 0, divided: 0 }]);
		expect([await waiting(), await books.db.$count(bankEntry)]).toEqual([[], 0]);
		expect((await listed()).rows).toMatchObject([
			{ amount: 7550, format: 'camt.052', payments: 1, payer: null, text: 'BULK CREDIT', leftOut: false }
		]);
		await came(statement);
		expect([await waiting(), (await listed()).rows.length]).toEqual([['7550 -'], 0]);
	});
	it('is known when the bank reports it again, an hour later and with more', async () => {
		const later = asReport(
			bankXml([{ ...batch, details: [] }, credit(100, 'AK-9')], { reference: 'R2' }),
			'camt.052'
		);
		expect(await came(intraday, later)).toMatchObject([{ fresh: 1 }, { fresh: 1, known: 1 }]);
		expect((await listed()).rows.length).toBe(2);
	});
	it('is listed once where reports of two kinds tell it', async () => {
		expect(await came(intraday, notification)).toMatchObject([{ fresh: 1 }, { fresh: 1, met: 0 }]);
		expect([(await listed()).rows.length, await books.db.$count(reportedEntry)]).toEqual([1, 2]);
		await came(statement);
		expect([(await listed()).rows.length, await waiting()]).toEqual([
			0,
			['5000 HAZEL HILL', '2550 WICKER LANE']
		]);
	});
	it('is marked where statements of its day leave it out', async () => {
		await came(asReport(bankXml([credit(100, 'AK-9')], { reference: 'R1' }), 'camt.052'));
		await came(
			bankXml([credit(900, 'AK-8', { booked: '2026-10-29' })], { closingOn: '2026-10-29' as never })
		);
		expect((await listed()).rows).toMatchObject([{ amount: 100, leftOut: true }]);
	});
	it('is counted, and of months ago only looked for where somebody asks', async () => {
		const counted = () => countReported(books.db, TODAY);
		expect(await counted()).toEqual({ waiting: 0, leftOut: 0 });
		const old = credit(100, 'AK-9', { booked: '2026-07-01' });
		await came(asReport(bankXml([credit(200, 'AK-8'), old], { reference: 'R1' }), 'camt.052'));
		expect(await counted()).toEqual({ waiting: 1, leftOut: 0 });
		expect([(await listed()).rows.length, (await listed(true)).rows.length]).toEqual([1, 2]);
		await came(
			bankXml([credit(900, 'AK-7', { booked: '2026-10-29' })], { closingOn: '2026-10-29' as never })
		);
		expect(await counted()).toEqual({ waiting: 1, leftOut: 1 });
	});
	it('is told by an interim report of lines as well', async () => {
		const text = mt940Text([{ amount: 500, text: 'HAZEL HILL AK-3' }]);
		const interim = text
			.replace(/:60F:[^\r]*/, ':34F:GBP0,\r\n:13D:2610281130+0000')
			.replace(/:62F:[^\r]*\r\n/, '');
		expect(await came(interim, text)).toEqual([
			{ fresh: 1, known: 0, met: 0, divided: 0 },
			{ fresh: 1, known: 0 }
		]);
		expect([(await listed()).rows.length, await waiting()]).toEqual([0, ['500 -']]);
	});
});

describe('what a sum is made of', () => {
	it.each([
		['before the statement', [notification, statement]],
		['after it', [statement, notification]],
		['twice', [notification, statement, `${notification}\n`]]
	])('divides it into receipts, told %s', async (_, files) => {
		await came(...files);
		expect(await waiting()).toEqual(['5000 HAZEL HILL', '2550 WICKER LANE']);
		expect([await books.db.$count(bankEntry), (await listed()).rows.length]).toEqual([1, 0]);
	});
	it('can be joined again, as any payment that was split', async () => {
		expect(await came(statement, notification)).toMatchObject([{}, { fresh: 1, met: 1, divided: 1 }]);
		const part = (await books.db.select().from(receipt)).find(({ parentId }) => parentId !== null)!;
		await done(books, joinParts, { receiptId: part.id }, CLERK);
		expect(await waiting()).toEqual(['7550 -']);
		expect((await proveBooks(books.db)).breaches).toEqual([]);
	});
	it('changes nothing that the statement divides itself', async () => {
		await came(bankXml([{ ...batch, details: payments }]), notification);
		expect(await waiting()).toEqual(['5000 HAZEL HILL', '2550 WICKER LANE']);
	});
	it('that does not come to the sum leaves it whole', async () => {
		const wrong = asReport(
			bankXml([{ ...batch, details: payments.slice(0, 1) }], { reference: 'N1' }),
			'camt.054'
		);
		await came(statement, wrong.replace('>ACCH1<', '><'));
		expect(await waiting()).toEqual(expect.arrayContaining([expect.stringMatching(/^7550/)]));
	});
});

describe('entries booked without a statement', () => {
	const bookAll = async () =>
		done(books, bookReported, { reported: (await listed()).rows.map(({ id }) => id) }, CLERK);

	it('are receipts, and a statement that comes later brings them no second time', async () => {
		await came(intraday, notification);
		// One of them is listed; what the other tells of its payments is used.
		expect(await bookAll()).toMatchObject({ count: 1 });
		expect([await waiting(), (await listed()).rows.length]).toEqual([
			['5000 HAZEL HILL', '2550 WICKER LANE'],
			0
		]);
		expect(await came(statement)).toEqual([{ fresh: 0, known: 1 }]);
		expect(await books.db.$count(bankEntry)).toBe(1);
	});
	it('are divided as the bank tells', async () => {
		await came(notification);
		await bookAll();
		expect(await waiting()).toEqual(['5000 HAZEL HILL', '2550 WICKER LANE']);
		expect((await proveBooks(books.db)).breaches).toEqual([]);
	});
	it('are refused once a statement has one of them', async () => {
		await came(notification);
		const reported = (await listed()).rows.map(({ id }) => id);
		await came(statement);
		const refused = await perform(books, bookReported, { reported }, as(CLERK));
		expect(refused).toMatchObject({ ok: false, problems: [{ code: 'reported-met' }] });
		expect(await books.db.$count(bankEntry)).toBe(1);
	});
	it('or are taken off the list, and come all the same if a statement has them', async () => {
		await came(intraday, notification);
		const reported = (await listed()).rows.map(({ id }) => id);
		await done(books, dismissReported, { reported, reason: 'recalled' }, CLERK);
		expect([(await listed()).rows.length, await waiting()]).toEqual([0, []]);
		expect(await perform(books, bookReported, { reported }, as(CLERK))).toMatchObject({ ok: false });
		expect(await came(statement)).toEqual([{ fresh: 1, known: 0 }]);
	});
	it('are not a reader’s to book', async () => {
		await came(notification);
		const reported = (await listed()).rows.map(({ id }) => id);
		expect(await perform(books, bookReported, { reported }, as(READER))).toMatchObject({ ok: false });
	});
});
