import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { itemState, bankMatch } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import { lookAtManualReceipts, lookAtSlip } from '../queries/manual-receipts';
import { lookAtDesk } from '../../allocation/queries/desk';
import { proveBooks } from '../../ledger/queries/proof';
import { onItsWay } from '../store/on-its-way';
import { as, bankXml, bringIn, CLERK, credit, done, TODAY, codesOf } from '../../testing';
import { makeSlip } from './make-paying-in-slip';
import { handBooks, handRow, postedByHand } from '../testing-by-hand';
import { perform } from '../../act/perform';
import { matchBankEntry } from './match-bank-entry';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
beforeEach(async () => void (books = await handBooks()));
afterEach(() => books.close());

const viewer = { who: CLERK, today: TODAY };
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);
const posted = (...rows: ReturnType<typeof handRow>[]) => postedByHand(books, ...rows);
const shown = async (amount: number) => {
	await bringIn(books, bankXml([credit(amount, 'PAID IN', { account: 'X' })]));
	const pile = await answeredPile(books.db);
	return pile.receipts.find((one) => one.bankEntryId !== null)!;
};

describe('the bank shows it', () => {
	it('entry and receipt are tied, and the money counted once', async () => {
		await posted(handRow(1, 1000));
		const entry = await shown(1000);
		const pile = await answeredPile(books.db);
		expect(pile.answers.get(entry.id)).toMatchObject({
			band: 'likely',
			lines: [],
			reasons: [{ code: 'recorded-before', label: 'cheque 100412', date: '2026-10-29' }]
		});
		const desk = await lookAtDesk(books.db, { receiptId: entry.id, customerId: null, also: [] }, viewer);
		expect(desk!.bankMatches.map((one) => one.amount)).toEqual([1000]);
		const to = { kind: 'receipt' as const, id: desk!.bankMatches[0]!.id };
		const order = { receiptId: entry.id, receiptVersion: entry.version, to };
		const { actId } = await done(books, matchBankEntry, order, CLERK);
		expect(await open()).toEqual([0, 2000, 300]);
		expect(await onItsWay(books.db)).toEqual([]);
		await proves();
		expect(codesOf(await perform(books, matchBankEntry, order, as(CLERK)))).toEqual(['receipt-taken']);
		await done(books, undoPosting, { actId }, CLERK);
		expect((await onItsWay(books.db)).length).toBe(1);
		expect(await books.db.$count(bankMatch)).toBe(2);
		await proves();
	});
	it('a receipt that is tied cannot be taken back before its tie', async () => {
		const [placed] = await posted(handRow(1, 1000));
		const entry = await shown(1000);
		const [way] = await onItsWay(books.db);
		await done(
			books,
			matchBankEntry,
			{ receiptId: entry.id, receiptVersion: entry.version, to: { kind: 'receipt', id: way!.id } },
			CLERK
		);
		expect(codesOf(await perform(books, undoPosting, { actId: placed! }, as(CLERK)))).toEqual([
			'credit-in-use'
		]);
	});
	it('a slip of several meets its one entry; another sum is refused', async () => {
		await posted(handRow(1, 700), handRow(2, 300, { reference: '9' }));
		const hand = await lookAtManualReceipts(books.db, null, viewer);
		const ids = hand.loose.map((one) => one.id);
		const { slipId } = await done(books, makeSlip, { bankAccountId: 1, receiptIds: ids }, CLERK);
		expect(codesOf(await perform(books, makeSlip, { bankAccountId: 1, receiptIds: ids }, as(CLERK)))).toEqual(
			['draft-gone']
		);
		const slip = await lookAtSlip(books.db, slipId, viewer);
		expect([slip!.slip.total, slip!.rows.map((one) => one.reference)]).toEqual([1000, ['100412', '9']]);
		const entry = await shown(999);
		const order = {
			receiptId: entry.id,
			receiptVersion: entry.version,
			to: { kind: 'slip' as const, id: slipId }
		};
		expect(codesOf(await perform(books, matchBankEntry, order, as(CLERK)))).toEqual(['match-differs']);
		await bringIn(
			books,
			bankXml([credit(1000, 'CHQS', { account: 'Y', reference: 'B2' })], { reference: 'S2', opening: 999 }),
			'b.xml'
		);
		const pile = await answeredPile(books.db);
		const right = pile.receipts.find((one) => one.amount === 1000)!;
		await done(
			books,
			matchBankEntry,
			{ ...order, receiptId: right.id, receiptVersion: right.version },
			CLERK
		);
		expect(await onItsWay(books.db)).toEqual([]);
		await proves();
	});
	it('what does not arrive within days is pointed out', async () => {
		await posted(handRow(1, 700, { date: '2026-10-20' }), handRow(1, 100));
		const hand = await lookAtManualReceipts(books.db, null, viewer);
		expect(hand.way.filter((one) => one.date < hand.lateSince).map((one) => one.amount)).toEqual([700]);
	});
});
