import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { problemSentence } from '../../../words';
import type { Books } from '../../platform/db/open';
import { itemState, receiptState, reduction } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import { proveBooks } from '../../ledger/queries/proof';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	READER,
	SUPERVISOR,
	testBooks
} from '../../testing';
import { perform } from '../../act/perform';
import { undoActs } from '../../allocation/commands/undo-acts';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { onItsWay } from '../store/on-its-way';
import { lookAtManualReceipts } from '../queries/manual-receipts';
import { whereReceiptIs } from '../queries/where-receipt-is';
import { setLimits } from '../../firm/commands/set-limits';
import { makeSlip } from './make-paying-in-slip';
import { keepManualReceipts } from './manual-receipts';
import { matchBankEntry } from './match-bank-entry';
import { postManualReceipts } from './post-manual-receipts';
import { voidReceipt } from './void-receipt';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000), newDocument('AK-2', 1, 2000));
});
afterEach(() => books.close());

const viewer = { who: CLERK, today: '2026-10-30' as never };
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const stateOf = async (id: number) =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;

/** A cheque, recorded and posted. @returns its receipt */
async function cheque(amount: number, pays = 'oldest'): Promise<number> {
	const row = {
		...{ id: null, customerId: 1, date: '2026-10-29', method: 'cheque', reference: '100412' },
		...{ amount, currency: 'GBP', pays }
	};
	const { ids } = await done(books, keepManualReceipts, { rows: [row] }, CLERK);
	await done(books, postManualReceipts, { ids }, CLERK);
	return Math.max(...(await books.db.select().from(receiptState)).map((one) => one.receiptId));
}
async function voiding(receiptId: number, reason = 'typed twice') {
	const { version } = await stateOf(receiptId);
	return perform(books, voidReceipt, { receiptId, receiptVersion: version, reason }, as(CLERK));
}
const said = (result: Awaited<ReturnType<typeof voiding>>) =>
	result.ok ? [] : result.problems.map(problemSentence);

describe('a receipt recorded by mistake', () => {
	it('is voided: what it paid is open again, and nobody waits for it', async () => {
		const id = await cheque(1500);
		expect(await open()).toEqual([0, 1500]);
		expect((await voiding(id)).ok).toBe(true);
		expect(await open()).toEqual([1000, 2000]);
		expect(await onItsWay(books.db)).toEqual([]);
		expect((await answeredPile(books.db)).receipts).toEqual([]);
		expect(await stateOf(id)).toMatchObject({ state: 'voided', customerId: null, onAccount: 0 });
		const gone = await whereReceiptIs(books.db, id, viewer);
		expect(gone!.done!.said).toMatchObject({ kind: 'void-receipt', facts: { reason: 'typed twice' } });
		await proves();
	});
	it('is voided where its allocation was undone before, and waits', async () => {
		const id = await cheque(1000);
		await done(books, undoPosting, { actId: (await stateOf(id)).actId! }, CLERK);
		expect((await voiding(id)).ok).toBe(true);
		expect((await stateOf(id)).state).toBe('voided');
		await proves();
	});
	it('counts against the limits of whoever does it, and no more once it is undone', async () => {
		const byRole = { clerk: { set_aside: 1200 }, supervisor: {} };
		await done(books, setLimits, { tolerance: null, byRole, byPerson: {} }, SUPERVISOR);
		const [first, second] = [await cheque(1000), await cheque(1500)];
		expect(said(await voiding(second))[0]).toMatch(/above your limit of £12\.00/);
		expect((await stateOf(second)).state).toBe('allocated');
		const result = await voiding(first);
		const counted = async () =>
			(await books.db.select().from(reduction)).reduce((sum, one) => sum + one.base, 0);
		expect(await counted()).toBe(1000);
		await done(books, undoActs, { actIds: [result.ok ? result.value.actId : 0] }, CLERK);
		expect(await counted()).toBe(0);
		await proves();
	});
	it('and its voiding is undone: it waits again', async () => {
		const id = await cheque(1000);
		const result = await voiding(id);
		const actId = result.ok ? result.value.actId : 0;
		await done(books, undoActs, { actIds: [actId] }, CLERK);
		expect((await stateOf(id)).state).toBe('waiting');
		expect((await answeredPile(books.db)).receipts.map((one) => one.id)).toEqual([id]);
		await proves();
		const again = await perform(books, undoActs, { actIds: [actId] }, as(CLERK));
		expect(again.ok).toBe(false);
	});
	it('is not voided twice, by somebody who may not, without a reason, or as it was before', async () => {
		const id = await cheque(1000);
		const { version } = await stateOf(id);
		const given = { receiptId: id, receiptVersion: version, reason: 'x' };
		const codes = async (who: typeof CLERK, over: object) => {
			const result = await perform(books, voidReceipt, { ...given, ...over }, as(who));
			return result.ok ? [] : result.problems.map((one) => one.code);
		};
		expect(await codes(READER, {})).toEqual(['not-allowed']);
		expect(await codes(CLERK, { reason: ' ' })).toEqual(['field']);
		expect(await codes(CLERK, { receiptVersion: version - 1 })).toEqual(['receipt-taken']);
		expect(await codes(CLERK, { receiptId: 999 })).toEqual(['not-found']);
		expect(await codes(CLERK, {})).toEqual([]);
		expect(await codes(CLERK, {})).toEqual(['receipt-taken']);
		expect((await voiding(id)).ok).toBe(false);
		await proves();
	});
});

describe('what hangs on it is named', () => {
	it('a paying-in slip', async () => {
		const id = await cheque(1000);
		const { banks } = await lookAtManualReceipts(books.db, null, viewer);
		await done(books, makeSlip, { bankAccountId: banks[0]!.id, receiptIds: [id] }, CLERK);
		expect(said(await voiding(id))[0]).toContain('paying-in slip 1');
		expect(await open()).toEqual([0, 2000]);
	});
	it('the bank’s entry', async () => {
		const id = await cheque(1000);
		await bringIn(books, bankXml([credit(1000, 'PAID IN', { account: 'X' })]));
		const entry = (await answeredPile(books.db)).receipts[0]!;
		const to = { kind: 'receipt' as const, id };
		await done(books, matchBankEntry, { receiptId: entry.id, receiptVersion: entry.version, to }, CLERK);
		expect(said(await voiding(id))[0]).toContain('the bank’s entry');
	});
	it('what of it was allocated since', async () => {
		const id = await cheque(1500, 'account');
		const { version } = await stateOf(id);
		const item = (await books.db.select().from(itemState))[0]!;
		await done(
			books,
			allocateReceipt,
			{
				...{ receiptId: null, receiptVersion: null, customerId: 1 },
				credits: [{ receiptId: id, version, use: 1000 }],
				lines: [{ itemId: item.itemId, version: item.version, cash: 1000, differences: [] }]
			},
			CLERK
		);
		expect(said(await voiding(id))[0]).toContain('what of this money lay on account');
		expect(await open()).toEqual([0, 2000]);
		await proves();
	});
	it('that the bank shows it by itself', async () => {
		await bringIn(books, bankXml([credit(1000, 'PAID IN', { account: 'X' })]));
		const entry = (await answeredPile(books.db)).receipts[0]!;
		expect(said(await voiding(entry.id))).toEqual([
			'The bank shows this money: it came. What it was allocated to can be undone, but the receipt itself stays.'
		]);
	});
});
