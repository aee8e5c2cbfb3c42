import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import type { Books } from '../../platform/db/open';
import { act, manualReceipt, itemState, journalLine, receiptState } from '../../platform/db/schema';
import { lookAtAccount } from '../../customers/queries/account';
import { lookAtManualReceipts } from '../queries/manual-receipts';
import { proveBooks } from '../../ledger/queries/proof';
import { onItsWay } from '../store/on-its-way';
import { as, CLERK, done, partsOf, SUPERVISOR, TODAY, codesOf } from '../../testing';
import { dropManualReceipts, keepManualReceipts } from './manual-receipts';
import { handBooks, handRow, postedByHand } from '../testing-by-hand';
import { perform } from '../../act/perform';
import { postManualReceipts } from './post-manual-receipts';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
beforeEach(async () => void (books = await handBooks()));
afterEach(() => books.close());

const viewer = { who: CLERK, today: TODAY };
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);
const posted = (...rows: ReturnType<typeof handRow>[]) => postedByHand(books, ...rows);
describe('rows', () => {
	it('wait unposted, may be taken away, and are posted together by somebody else', async () => {
		const { ids } = await done(
			books,
			keepManualReceipts,
			{ rows: [handRow(1, 1500), handRow(2, 300), handRow(2, 1)] },
			CLERK
		);
		await done(books, dropManualReceipts, { ids: [ids[2]!] }, CLERK);
		expect(await open()).toEqual([1000, 2000, 300]);
		const { actId } = await done(books, postManualReceipts, { ids: ids.slice(0, 2) }, SUPERVISOR);
		const actIds = await partsOf(books, actId);
		expect(await open()).toEqual([0, 1500, 0]);
		expect(await books.db.$count(manualReceipt)).toBe(0);
		const lines = await books.db.select().from(journalLine).where(eq(journalLine.actId, actIds[0]!));
		expect(lines.map((line) => [line.account, line.amount])).toEqual([
			['1230', 1500],
			['1100', -1500]
		]);
		await proves();
	});
	it.each([
		['account', [1000, 2000, 300], 1500],
		['AK-2', [1000, 500, 300], 0],
		['ak2, AK-1', [1000, 500, 300], 0]
	])('pay what they say: %s', async (pays, want, onAccount) => {
		await posted(handRow(1, 1500, { pays }));
		expect(await open()).toEqual(want);
		expect((await books.db.select().from(receiptState).get())!.onAccount).toBe(onAccount);
		await proves();
	});
	it('one that names a document that is not open there is refused when it is typed', async () => {
		const rows = [handRow(1, 100), handRow(1, 200, { pays: 'AK-3 AK-1 AK-9' })];
		const refused = await perform(books, keepManualReceipts, { rows }, as(CLERK));
		expect(refused.ok ? [] : refused.problems.map(problemSentence)).toEqual([
			'AK-3 is not open on the account of Hazel Hill Pottery.',
			'AK-9 is not open on the account of Hazel Hill Pottery.'
		]);
		expect(await books.db.$count(manualReceipt)).toBe(0);
	});
	it.each([
		['names a document that was settled since', { pays: 'AK-1' }, 'not-open'],
		['is dated later', { date: '2026-12-14' }, 'draft-dated']
	])('one that %s is not posted, nor any with it', async (_, over, code) => {
		const { ids } = await done(
			books,
			keepManualReceipts,
			{ rows: [handRow(1, 100, { pays: 'AK-2' }), handRow(1, 200, over)] },
			CLERK
		);
		if (code === 'not-open') {
			const [first] = await posted(handRow(1, 1000, { pays: 'AK-1' }));
			expect(codesOf(await perform(books, postManualReceipts, { ids }, as(CLERK)))).toEqual([code]);
			await done(books, undoPosting, { actId: first! }, CLERK);
		} else expect(codesOf(await perform(books, postManualReceipts, { ids }, as(CLERK)))).toEqual([code]);
		expect(await open()).toEqual([1000, 2000, 300]);
		expect(await books.db.$count(manualReceipt)).toBe(2);
		await proves();
	});
	it('not posted yet stand on the account, not in its balance', async () => {
		await done(
			books,
			keepManualReceipts,
			{ rows: [handRow(1, 100), handRow(1, 200, { date: '2026-12-14' })] },
			CLERK
		);
		const account = await lookAtAccount(books.db, 'H1', viewer);
		expect(account!.notCounted.map((one) => [one.amount, one.dated])).toEqual([
			[100, false],
			[200, true]
		]);
		expect(account!.standing[0]!.credit).toBe(0);
	});
	it('are posted once, whoever presses first', async () => {
		const { ids } = await done(books, keepManualReceipts, { rows: [handRow(1, 100)] }, CLERK);
		await done(books, postManualReceipts, { ids }, CLERK);
		expect(codesOf(await perform(books, postManualReceipts, { ids }, as(SUPERVISOR)))).toEqual([
			'draft-gone'
		]);
	});
	it('of petty cash stay there', async () => {
		const [actId] = await posted(handRow(2, 300, { method: 'cash', paidInto: 'petty cash' }));
		const lines = await books.db.select().from(journalLine).where(eq(journalLine.actId, actId!));
		expect(lines[0]!.account).toBe('1240');
		expect(await onItsWay(books.db)).toEqual([]);
		await proves();
	});
	it('say into which account they are paid: the bank shows them there, and another account is pointed out', async () => {
		await posted(handRow(2, 300, { paidInto: 1 }), handRow(2, 200));
		expect((await onItsWay(books.db)).map((one) => [one.amount, one.bankAccountId])).toEqual([
			[300, 1],
			[200, null]
		]);
		const { ids } = await done(
			books,
			keepManualReceipts,
			{ rows: [handRow(1, 100, { paidInto: 1 })] },
			CLERK
		);
		const known = { ...handRow(1, 100, { paidInto: 1 }), id: ids[0]! };
		const acts = await books.db.$count(act);
		await done(books, keepManualReceipts, { rows: [known] }, CLERK);
		expect(await books.db.$count(act)).toBe(acts);
		await done(books, keepManualReceipts, { rows: [{ ...known, paidInto: 'petty cash' }] }, CLERK);
		const [kept] = (await lookAtManualReceipts(books.db, null, viewer)).due;
		expect([kept!.paidInto, kept!.paidIntoId]).toEqual(['petty cash', null]);
	});
	it.each([
		['an account that is not there', 99, 'not-found'],
		['an account in another currency', 2, 'other-currency']
	])('are refused for %s', async (_, paidInto, code) => {
		const rows = [handRow(1, 100, { paidInto })];
		expect(codesOf(await perform(books, keepManualReceipts, { rows }, as(CLERK)))).toEqual([code]);
		expect(await books.db.$count(manualReceipt)).toBe(0);
	});
});
