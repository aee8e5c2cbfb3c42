import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import { proveBooks } from '../../ledger/queries/proof';
import type { Books } from '../../platform/db/open';
import { payingInSlip, receipt } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import { as, bankXml, bringIn, CLERK, credit, done, newDocument, testBooks } from '../../testing';
import { onItsWay } from '../store/on-its-way';
import { handRow, postedByHand } from '../testing-by-hand';
import { makeSlip } from './make-paying-in-slip';
import { matchBankEntry } from './match-bank-entry';

let books: Books;
beforeEach(async () => void (books = await testBooks(newDocument('AK-1', 1, 5000))));
afterEach(() => books.close());

const ids = async () => (await books.db.select({ id: receipt.id }).from(receipt)).map((row) => row.id);
const slip = async (over: object = {}) => {
	const result = await perform(
		books,
		makeSlip,
		{ bankAccountId: 1, receiptIds: await ids(), ...over },
		as(CLERK)
	);
	return result.ok ? 'made' : result.problems.map((one) => one.code).join();
};

describe('a paying-in slip', () => {
	it('goes where it is made out to, whatever was said of its payments before', async () => {
		await postedByHand(books, handRow(1, 700, { paidInto: 1 }), handRow(1, 300));
		expect(await slip()).toBe('made');
		expect((await onItsWay(books.db)).map((one) => [one.kind, one.amount, one.bank])).toEqual([
			['slip', 1000, 'Account GBP']
		]);
		expect((await proveBooks(books.db)).breaches).toEqual([]);
	});
	it('takes no money that stays in petty cash', async () => {
		await postedByHand(books, handRow(1, 700, { method: 'cash', paidInto: 'petty cash' }), handRow(1, 300));
		expect(await slip()).toBe('draft-gone');
		expect(await books.db.$count(payingInSlip)).toBe(0);
	});
	it('takes no money that came by the bank, nor what the bank has shown', async () => {
		await postedByHand(books, handRow(1, 700));
		await bringIn(books, bankXml([credit(700, 'CHEQUE', { account: 'X' })]));
		const [hand] = await ids();
		const shown = (await answeredPile(books.db)).receipts.find((one) => one.bankEntryId !== null)!;
		expect(await slip()).toBe('draft-gone');
		const to = { kind: 'receipt' as const, id: hand! };
		await done(books, matchBankEntry, { receiptId: shown.id, receiptVersion: shown.version, to }, CLERK);
		expect(await slip({ receiptIds: [hand] })).toBe('draft-gone');
	});
	it.each([
		['an account that is not there', { bankAccountId: 9 }, 'not-found'],
		['an account in another currency', { bankAccountId: 2 }, 'other-currency'],
		['a receipt that is not there', { receiptIds: [99] }, 'draft-gone'],
		['the same one twice', { receiptIds: [1, 1] }, 'draft-gone'],
		['none', { receiptIds: [] }, 'field']
	])('is refused for %s', async (_, over, code) => {
		await postedByHand(books, handRow(1, 700));
		expect(await slip(over)).toBe(code);
		expect(await books.db.$count(payingInSlip)).toBe(0);
	});
	it('is made once', async () => {
		await postedByHand(books, handRow(1, 700));
		expect([await slip(), await slip()]).toEqual(['made', 'draft-gone']);
	});
});
