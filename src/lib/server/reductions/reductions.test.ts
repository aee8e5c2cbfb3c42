import { eq } from 'drizzle-orm';
import { describe, expect, it } from 'vitest';
import type { DocumentRow } from '../../core/1-open-items/document-row';
import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import { perform } from '../act/perform';
import { allocateReceipt } from '../allocation/commands/allocate-receipt';
import { undoActs } from '../allocation/commands/undo-acts';
import { undoPosting } from '../allocation/commands/undo-posting';
import { writeOffSmallBalances } from '../allocation/commands/write-off-small-balances';
import { decideClaims } from '../claims/commands/decide-claims';
import { bringInDocuments } from '../documents/commands/bring-in-documents';
import { issueByHand } from '../documents/commands/issue-by-hand';
import { document, receiptState } from '../platform/db/schema';
import { setAside } from '../receipts/commands/set-aside';
import { as, bankXml, bringIn, CLERK, credit, done, proves, TODAY } from '../testing';
import { limitedBooks, OTHER } from './testing-limits';

const own = limitedBooks();
const { limited, waiting, item, writeOff, creditNote, beyond, rows, answer } = own;

describe('one set of limits holds for every way of taking money off an account', () => {
	it('a credit note by hand waits beyond it, and nothing is on the account until a supervisor agrees', async () => {
		await limited({ act: { credit_price: 50_000, credit_goodwill: 100 } });
		expect(beyond(await creditNote(564_559))).toEqual(['act credit_price']);
		expect(beyond(await creditNote(101, CLERK, 1, 'goodwill'))).toEqual(['act credit_goodwill']);
		expect(beyond(await creditNote(101, CLERK, 1, 'goods'))).toEqual([]);
		expect(await own.books.db.$count(document, eq(document.kind, 'credit_note'))).toBe(1);
		expect((await answer('agree')).ok).toBe(true);
		expect(await own.books.db.$count(document, eq(document.kind, 'credit_note'))).toBe(2);
		expect((await rows()).map((row) => [row.kind, row.base, row.personId, row.askedById])).toEqual([
			['credit_goods', 101, 'u1', null],
			['credit_price', 564_559, 'u2', 'u1']
		]);
		await proves(own.books);
	});

	it('a credit note says what it is given for', async () => {
		const result = await perform(
			own.books,
			issueByHand,
			{
				...{ kind: 'credit_note', customerId: 1, number: 'CN-0', issued: TODAY },
				lines: [{ text: 'credit', net: 5, taxBasisPoints: 0 }],
				shares: [{ basisPoints: 10_000, days: 0 }],
				...{ discount: null, purchaseOrder: null, orderReference: null, paymentReference: null }
			},
			as(CLERK)
		);
		expect(result).toMatchObject({ ok: false, problems: [{ field: 'creditNoteKind' }] });
	});

	it('credit notes of a table wait, and its invoices come in', async () => {
		await limited({ act: { credit_other: 1000 } });
		const row = (kind: 'invoice' | 'credit_note', number: string, open: number): DocumentRow => ({
			...{ line: 2, number, kind, customerCode: 'H1', issued: day('2026-10-01'), due: day('2026-10-31') },
			...{ currency: 'GBP', total: minor(open), open: minor(open), purchaseOrder: null },
			...{ paymentReference: null, text: '', lines: [], instalments: [] }
		});
		const table = [
			row('invoice', 'T-1', 700),
			row('credit_note', 'T-2', 600),
			row('credit_note', 'T-3', 600)
		];
		const brought = await done(own.books, bringInDocuments, table, CLERK);
		expect(brought).toMatchObject({ added: 1, waiting: 2, waits: [{ kind: 'credit_other', amount: 1200 }] });
		const [asked] = await waiting();
		expect(asked!.about).toEqual({
			...{ code: 'bring-in-credits', count: 2, sums: [{ amount: 1200, currency: 'GBP' }] }
		});
		expect((await answer('agree')).ok).toBe(true);
		expect((await rows()).map(({ kind, base }) => [kind, base])).toEqual([['credit_other', 1200]]);
		// Brought in again they are there, and nothing is asked.
		expect(await done(own.books, bringInDocuments, table, CLERK)).toMatchObject({ skipped: 3, waiting: 0 });
		await proves(own.books);
	});

	it('money set aside waits, and its receipt is taken by nobody meanwhile', async () => {
		await limited({ act: { set_aside: 1000 } });
		await bringIn(own.books, bankXml([credit(4_000_000, 'INTEREST'), credit(-900, 'FEES')]), 'x.xml');
		const aside = (receiptId: number) =>
			done(own.books, setAside, { receiptId, receiptVersion: 1, account: '4310' }, CLERK);
		expect(await aside(1)).toMatchObject({ actId: null, waits: [{ kind: 'set_aside', amount: 4_000_000 }] });
		expect((await aside(2)).waits).toEqual([]);
		const state = () => own.books.db.select().from(receiptState).where(eq(receiptState.receiptId, 1)).get();
		expect((await state())!.state).toBe('in_approval');
		expect((await answer('agree')).ok).toBe(true);
		expect((await state())!.state).toBe('set_aside');
		await proves(own.books);
	});

	it('a claim allowed counts, and what is billed back does not', async () => {
		await limited({ act: { claim_allowed: 500, bad_debt: 0 } });
		await bringIn(own.books, bankXml([credit(95_000, 'AK-1')]), 'x.xml');
		const claim = { reason: 'damaged' as const, owner: 'Wren', deadline: TODAY, note: '' };
		await done(
			own.books,
			allocateReceipt,
			{
				...{ receiptId: 1, receiptVersion: 1, customerId: 1, date: null },
				lines: [{ ...(await item(1)), cash: 95_000, differences: [{ kind: 'claim', amount: 5_000 }], claim }]
			},
			CLERK
		);
		const decide = async (allow: number, billBack: number, writeOff = 0) =>
			done(
				own.books,
				decideClaims,
				{ claims: [{ ...(await item(4)), allow, billBack, writeOff }], note: '', date: null },
				CLERK
			);
		expect((await decide(501, 100)).waits).toMatchObject([{ kind: 'claim_allowed', amount: 501 }]);
		expect((await waiting())[0]!.about).toMatchObject({ code: 'decide-claims', writtenOff: [] });
		expect((await decide(500, 1000)).waits).toEqual([]);
		expect((await decide(0, 0, 1)).waits).toMatchObject([{ kind: 'bad_debt' }]);
		expect((await rows()).map(({ kind, base }) => [kind, base])).toEqual([
			['claim', 5_000],
			['claim_allowed', 500]
		]);
		await proves(own.books);
	});
});

describe('splitting passes no limit', () => {
	it('on one account, by whoever of the role, within 30 days', async () => {
		await limited({ customer: { all: 1000 } });
		expect(beyond(await creditNote(600))).toEqual([]);
		expect(beyond(await writeOff(1, 401, OTHER))).toEqual(['customer all']);
		expect(beyond(await writeOff(2, 401, OTHER))).toEqual([]);
		expect(beyond(await writeOff(1, 400, OTHER))).toEqual([]);
		// 30 days later it begins anew; a day before that it does not.
		const later = (n: string) => ({ ...as(CLERK), today: day(n) });
		const note = async (today: string) =>
			perform(
				own.books,
				writeOffSmallBalances,
				{ items: [await item(3)], kind: 'bad_debt', note: '', date: TODAY },
				later(today)
			);
		expect((await note('2026-11-28')).ok).toBe(true);
		expect(await waiting()).toHaveLength(2);
		await limited({ customer: { all: 100_000 } });
		expect(await note('2026-11-29')).toMatchObject({ ok: true, value: { waits: [] } });
	});

	it('on one day, over all accounts and kinds; another person has a day of their own', async () => {
		await limited({ day: { all: 1000 } });
		expect(beyond(await creditNote(500))).toEqual([]);
		expect(beyond(await writeOff(2, 500))).toEqual([]);
		expect(beyond(await writeOff(1, 1))).toEqual(['day all']);
		expect(beyond(await writeOff(1, 1, OTHER))).toEqual([]);
	});

	it('what is taken back counts no more, for whom it counted', async () => {
		await limited({ day: { all: 1000 } });
		const first = await writeOff(1, 900);
		expect(beyond(await writeOff(2, 200))).toEqual(['day all']);
		await done(own.books, undoPosting, { actId: first.ok ? first.value.actId! : 0 }, OTHER);
		expect(beyond(await writeOff(2, 200))).toEqual([]);
		expect((await rows()).map((row) => [row.base, row.personId])).toEqual([
			[900, 'u1'],
			[-900, 'u1'],
			[200, 'u1']
		]);
		// Undoing the undoing counts again, for whoever does it.
		const [, undo] = await rows();
		await done(own.books, undoActs, { actIds: [undo!.actId] }, OTHER);
		expect((await rows()).at(-1)).toMatchObject({ base: 900, personId: 'u8' });
		await proves(own.books);
	});

	it('what a supervisor agreed to does not use up the clerk’s', async () => {
		await limited({ day: { all: 1000 } }, { day: { all: 3000 } });
		expect(beyond(await writeOff(1, 2500))).toEqual(['day all']);
		expect((await answer('agree')).ok).toBe(true);
		expect(beyond(await writeOff(2, 1000))).toEqual([]);
		// The supervisor's own day has 500 left.
		expect(beyond(await writeOff(2, 501))).toEqual(['day all']);
		const again = await answer('agree');
		expect(again).toMatchObject({ ok: false, problems: [{ code: 'over-limit', scope: 'day' }] });
	});
});
