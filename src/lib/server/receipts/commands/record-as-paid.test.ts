import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { act, itemState, journalLine, receipt } from '../../platform/db/schema';
import { previewAct } from '../../approvals/store/preview-act';
import { perform } from '../../act/perform';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { onItsWay } from '../store/on-its-way';
import { matchBankEntry } from './match-bank-entry';
import { recordAsPaid } from './record-as-paid';

let books: Books;
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 1000),
		newDocument('AK-2', 2, 2000),
		newDocument('AK-3', 1, 500)
	);
});
afterEach(() => books.close());

const paid = {
	items: [
		{ itemId: 1, version: 1, amount: 1000 },
		{ itemId: 2, version: 1, amount: 1500 },
		{ itemId: 3, version: 1, amount: 500 }
	],
	...{ date: TODAY, method: 'cheque', reference: 'Ashlock fair', asOneSum: true, paidInto: 1 }
};
const record = (over: object = {}) => done(books, recordAsPaid, { ...paid, ...over }, CLERK);
const refused = async (over: object, who = CLERK) => {
	const result = await perform(books, recordAsPaid, { ...paid, ...over }, as(who));
	return result.ok
		? []
		: result.problems.map((one) => (one.code === 'field' ? `field ${one.field}` : one.code));
};
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);

describe('items ticked as paid over several accounts', () => {
	it('as one sum are one line for the bank, which a bank entry is matched to later', async () => {
		expect(await record()).toMatchObject({ payments: 2, slipId: 1 });
		expect(await open()).toEqual([0, 500, 0]);
		const way = await onItsWay(books.db);
		expect(way.map((one) => [one.kind, one.amount])).toEqual([['slip', 3000]]);
		await proves(books);
		await bringIn(books, bankXml([credit(3000, 'CHEQUES')]));
		const entry = (await books.db.select().from(receipt)).at(-1)!;
		await done(
			books,
			matchBankEntry,
			{ receiptId: entry.id, receiptVersion: 1, to: { kind: 'slip', id: 1 } },
			CLERK
		);
		expect(await onItsWay(books.db)).toEqual([]);
		await proves(books);
	});
	it('each by itself are as many lines as items', async () => {
		expect(await record({ asOneSum: false, paidInto: null })).toMatchObject({
			payments: 3,
			slipId: null
		});
		const way = await onItsWay(books.db);
		expect(way.map((one) => [one.kind, one.amount])).toEqual([
			['receipt', 1000],
			['receipt', 1500],
			['receipt', 500]
		]);
		await proves(books);
	});
	it('of one customer, or in petty cash, need no slip', async () => {
		expect(await record({ items: [paid.items[0], paid.items[2]] })).toMatchObject({
			payments: 1,
			slipId: null
		});
		expect(await record({ items: [paid.items[1]], method: 'cash', paidInto: 'petty cash' })).toMatchObject({
			slipId: null
		});
		await proves(books);
	});
	it('are shown before, to the line, and nothing of it stays', async () => {
		const before = await books.db.$count(act);
		const seen = await previewAct(books, recordAsPaid, paid, as(CLERK));
		if (!seen.ok) throw new Error('refused');
		expect([await books.db.$count(act), await open()]).toEqual([before, [1000, 2000, 500]]);
		await record();
		const lines = (await books.db.select().from(journalLine)).filter((row) => row.actId > before);
		expect(seen.value.lines.map((line) => [line.account, line.amount])).toEqual(
			lines.map((line) => [line.account, line.amount])
		);
		expect(seen.value.items.map((line) => [line.number, line.amount])).toEqual([
			['AK-1', 1000],
			['AK-3', 500],
			['AK-2', 1500]
		]);
	});
	it('are refused where something does not fit, all or none', async () => {
		expect(await refused({ items: [{ itemId: 1, version: 1, amount: 1001 }] })).toEqual(['more-than-open']);
		expect(await refused({ items: [{ itemId: 1, version: 2, amount: 1000 }] })).toEqual(['item-changed']);
		expect(await refused({ items: [paid.items[0], paid.items[0]] })).toEqual(['draft-gone']);
		expect(await refused({ date: '2026-10-31' })).toEqual(['field date']);
		expect(await refused({ method: 'shells' })).toEqual(['field method']);
		expect(await refused({ paidInto: null })).toEqual(['field paidInto']);
		expect(await refused({ items: [] })).toEqual(['field items']);
		expect(await refused({}, READER)).toEqual(['not-allowed']);
		const seen = await previewAct(books, recordAsPaid, { ...paid, method: 'shells' }, as(CLERK));
		expect(seen.ok).toBe(false);
		expect(await open()).toEqual([1000, 2000, 500]);
	});
});
