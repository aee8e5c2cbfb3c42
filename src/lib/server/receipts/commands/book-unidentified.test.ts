import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { CHART } from '../../../core/5-journal/chart';
import type { Books } from '../../platform/db/open';
import { findCustomers, whoOwes } from '../../customers/queries/find-customers';
import { whoCouldOwe, type FittingSet } from '../../matching/queries/who-could-owe';
import { lookAtBalances } from '../../ledger/queries/journal';
import { answeredPile } from '../../services/answers/answers';
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
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { addRates } from '../../firm/commands/add-rates';
import { bookUnidentified } from './book-unidentified';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { setAside } from './set-aside';
import { splitReceipt } from './split-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
const viewer = { who: READER, today: TODAY };
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000));
	await bringIn(books, bankXml([credit(10_000, 'thank you', { account: 'NEW', name: 'A STRANGER' })]));
});
afterEach(() => books.close());

const book = (version = 1) =>
	perform(books, bookUnidentified, { receiptId: 1, receiptVersion: version }, as(CLERK));
const balance = async (code: string) => {
	const { balances } = await lookAtBalances(books.db, null, viewer);
	return balances.filter((row) => row.code === code).map((row) => [row.amount, row.base]);
};
const onInvoice = (version: number) => ({
	...{ receiptId: 1, receiptVersion: version, customerId: 1 },
	lines: [{ itemId: 1, version: 1, cash: 10_000, differences: [] }]
});

describe('money whose payer nobody knows', () => {
	it('is booked, goes on waiting, and comes from there when its payer is found; taken back, it lies there again', async () => {
		expect(await book()).toMatchObject({ ok: true });
		expect(await balance(CHART.unidentified.code)).toEqual([[-10_000, -10_000]]);
		expect((await answeredPile(books.db)).receipts).toMatchObject([
			{ id: 1, unidentifiedActId: expect.any(Number) }
		]);
		await proves(books);
		const { actId } = await done(books, allocateReceipt, onInvoice(2), CLERK);
		expect((await balance(CHART.unidentified.code))[0]?.[0] ?? 0).toBe(0);
		await proves(books);
		await done(books, undoPosting, { actId: actId! }, CLERK);
		expect(await balance(CHART.unidentified.code)).toEqual([[-10_000, -10_000]]);
		await proves(books);
	});
	it('the booking itself is taken back while it waits, and not after', async () => {
		const first = await book();
		const actId = first.ok ? first.value.actId : 0;
		const placed = await done(books, allocateReceipt, onInvoice(2), CLERK);
		expect(await perform(books, undoPosting, { actId }, as(CLERK))).toMatchObject({
			ok: false,
			problems: [{ code: 'credit-in-use' }]
		});
		await done(books, undoPosting, { actId: placed.actId! }, CLERK);
		await done(books, undoPosting, { actId }, CLERK);
		expect((await balance(CHART.unidentified.code))[0]?.[0] ?? 0).toBe(0);
		await proves(books);
	});
	it('is not booked twice, nor split while it lies there; it may be set aside', async () => {
		await book();
		expect(await book(2)).toMatchObject({ ok: false, problems: [{ code: 'unidentified-first' }] });
		const parts = [
			{ payerName: 'a', text: '', gross: 5_000, fee: 0, customerId: null },
			{ payerName: 'b', text: '', gross: 5_000, fee: 0, customerId: null }
		];
		const split = { receiptId: 1, receiptVersion: 2, parts };
		expect(await perform(books, splitReceipt, split, as(CLERK))).toMatchObject({
			ok: false,
			problems: [{ code: 'unidentified-first' }]
		});
		await done(books, setAside, { receiptId: 1, receiptVersion: 2, account: CHART.otherIncome.code }, CLERK);
		await proves(books);
	});
	it('in another currency it keeps the value that it was booked with', async () => {
		const rate = (on: string, millionths: number) => ({ currency: 'EUR', day: day(on), millionths });
		await done(books, addRates, [rate('2026-10-01', 800_000), rate('2026-10-30', 900_000)], CLERK);
		await bringIn(
			books,
			bankXml([credit(1_000, 'hello', { account: 'NEW' })], { account: 'GB00ZZAM2', currency: 'EUR' }),
			'euro.xml'
		);
		await done(books, bookUnidentified, { receiptId: 2, receiptVersion: 1 }, CLERK);
		expect(await balance(CHART.unidentified.code)).toEqual([[-1_000, -800]]);
		const onAccount = { receiptId: 2, receiptVersion: 2, customerId: 3, lines: [] };
		await done(books, allocateReceipt, onAccount, CLERK);
		expect((await balance(CHART.unidentified.code))[0] ?? [0, 0]).toEqual([0, 0]);
		await proves(books);
	});
});

describe('who owes just this', () => {
	it('by one item, by all that is open, by two items; other currencies and settled ones are left out', async () => {
		await invoices(
			books,
			newDocument('AK-2', 2, 4_000),
			newDocument('AK-3', 2, 6_000),
			newDocument('AK-4', 2, 500),
			newDocument('AC-1', 1, 1_000, { kind: 'credit_note' })
		);
		const by = async (amount: number, currency?: string) =>
			(await whoOwes(books.db, amount, currency)).map((one) => `${one.code} ${one.by!.number}`);
		expect(await by(10_000)).toEqual(['H1 AK-1', 'W2 AK-2 and AK-3']);
		expect(await by(9_000)).toEqual(['H1 all 2 open items']);
		expect(await by(10_500)).toEqual(['W2 all 3 open items']);
		expect(await by(10_000, 'EUR')).toEqual([]);
		expect((await findCustomers(books.db, '100.00', viewer)).map((one) => one.code)).toEqual(['H1', 'W2']);
	});

	it('by sets of one account, and by two items of two accounts', async () => {
		await invoices(
			books,
			newDocument('AK-2', 2, 4_000),
			newDocument('AK-3', 2, 2_500),
			newDocument('AK-4', 2, 3_500),
			newDocument('AC-1', 1, 1_000, { kind: 'credit_note' })
		);
		const named = async (amount: number, currency = 'GBP') => {
			const found = await whoCouldOwe(books.db, { amount, currency }, viewer);
			const words = (sets: readonly FittingSet[]) =>
				sets.map(
					(set) =>
						`${set.accounts.map((one) => one.code).join('+')} ${set.items.map((one) => one.number).join('+')}`
				);
			return [...words(found.within), '|', ...words(found.across)];
		};
		expect(await named(10_000)).toEqual(['H1 AK-1', 'W2 AK-2+AK-3+AK-4', '|']);
		expect(await named(12_500)).toEqual(['|', 'H1+W2 AK-1+AK-3']);
		expect(await named(9_000)).toEqual(['H1 AK-1+AC-1', '|']);
		expect(await named(10_000, 'EUR')).toEqual(['|']);
	});
});
