import { eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it, test } from 'vitest';
import { day } from '../../../core/day/day';
import { parseTypedDay } from '../../../core/day/parse-typed-day';
import { problemSentence } from '../../../words';
import type { Books } from '../../platform/db/open';
import {
	act,
	manualReceipt,
	itemState,
	journalLine,
	receiptState,
	bankMatch
} from '../../platform/db/schema';
import { lookAtAccount } from '../../customers/queries/account';
import { answeredPile } from '../../services/answers/answers';
import { lookAtManualReceipts, lookAtSlip } from '../queries/manual-receipts';
import { lookAtDesk } from '../../allocation/queries/desk';
import { proveBooks } from '../../ledger/queries/proof';
import { readPasted } from '../store/read-pasted';
import { onItsWay } from '../store/on-its-way';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	partsOf,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { dropManualReceipts, keepManualReceipts } from './manual-receipts';
import { makeSlip } from './make-paying-in-slip';
import { perform } from '../../act/perform';
import { postManualReceipts } from './post-manual-receipts';
import { matchBankEntry } from './match-bank-entry';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 1000),
		newDocument('AK-2', 1, 2000),
		newDocument('AK-3', 2, 300)
	);
});
afterEach(() => books.close());

const viewer = { who: CLERK, today: TODAY };
const WAYS = {
	methods: ['cheque', 'cash'],
	banks: [
		{ id: 1, name: 'Account GBP', currency: 'GBP' },
		{ id: 2, name: 'Account EUR', currency: 'EUR' }
	]
};
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const open = async () => (await books.db.select().from(itemState)).map((row) => row.open);
const row = (customerId: number, amount: number, over: object = {}) => ({
	id: null,
	customerId,
	date: '2026-10-29',
	method: 'cheque',
	reference: '100412',
	amount,
	currency: 'GBP',
	pays: 'oldest',
	...over
});
async function posted(...rows: ReturnType<typeof row>[]) {
	const { ids } = await done(books, keepManualReceipts, { rows }, CLERK);
	return partsOf(books, (await done(books, postManualReceipts, { ids }, SUPERVISOR)).actId);
}
const codes = (result: { ok: boolean; problems?: readonly { code: string }[] }) =>
	result.ok ? [] : result.problems!.map((one) => one.code);
const shown = async (amount: number) => {
	await bringIn(books, bankXml([credit(amount, 'PAID IN', { account: 'X' })]));
	const pile = await answeredPile(books.db);
	return pile.receipts.find((one) => one.bankEntryId !== null)!;
};

describe('rows', () => {
	it('wait unposted, may be taken away, and are posted together by somebody else', async () => {
		const { ids } = await done(
			books,
			keepManualReceipts,
			{ rows: [row(1, 1500), row(2, 300), row(2, 1)] },
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
		await posted(row(1, 1500, { pays }));
		expect(await open()).toEqual(want);
		expect((await books.db.select().from(receiptState).get())!.onAccount).toBe(onAccount);
		await proves();
	});
	it('one that names a document that is not open there is refused when it is typed', async () => {
		const rows = [row(1, 100), row(1, 200, { pays: 'AK-3 AK-1 AK-9' })];
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
			{ rows: [row(1, 100, { pays: 'AK-2' }), row(1, 200, over)] },
			CLERK
		);
		if (code === 'not-open') {
			const [first] = await posted(row(1, 1000, { pays: 'AK-1' }));
			expect(codes(await perform(books, postManualReceipts, { ids }, as(CLERK)))).toEqual([code]);
			await done(books, undoPosting, { actId: first! }, CLERK);
		} else expect(codes(await perform(books, postManualReceipts, { ids }, as(CLERK)))).toEqual([code]);
		expect(await open()).toEqual([1000, 2000, 300]);
		expect(await books.db.$count(manualReceipt)).toBe(2);
		await proves();
	});
	it('not posted yet stand on the account, not in its balance', async () => {
		await done(
			books,
			keepManualReceipts,
			{ rows: [row(1, 100), row(1, 200, { date: '2026-12-14' })] },
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
		const { ids } = await done(books, keepManualReceipts, { rows: [row(1, 100)] }, CLERK);
		await done(books, postManualReceipts, { ids }, CLERK);
		expect(codes(await perform(books, postManualReceipts, { ids }, as(SUPERVISOR)))).toEqual(['draft-gone']);
	});
	it('of petty cash stay there', async () => {
		const [actId] = await posted(row(2, 300, { method: 'cash', paidInto: 'petty cash' }));
		const lines = await books.db.select().from(journalLine).where(eq(journalLine.actId, actId!));
		expect(lines[0]!.account).toBe('1240');
		expect(await onItsWay(books.db)).toEqual([]);
		await proves();
	});
	it('say into which account they are paid: the bank shows them there, and another account is pointed out', async () => {
		await posted(row(2, 300, { paidInto: 1 }), row(2, 200));
		expect((await onItsWay(books.db)).map((one) => [one.amount, one.bankAccountId])).toEqual([
			[300, 1],
			[200, null]
		]);
		const { ids } = await done(books, keepManualReceipts, { rows: [row(1, 100, { paidInto: 1 })] }, CLERK);
		const known = { ...row(1, 100, { paidInto: 1 }), id: ids[0]! };
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
		const rows = [row(1, 100, { paidInto })];
		expect(codes(await perform(books, keepManualReceipts, { rows }, as(CLERK)))).toEqual([code]);
		expect(await books.db.$count(manualReceipt)).toBe(0);
	});
	it('are pasted from a spreadsheet, each line read or refused with its place', async () => {
		const good = await readPasted(
			books.db,
			'H1\t29/10\tCheque\t100412\t1,000.00\tAK-1\nAK-3\t\t\t\t3\t\tPetty cash\nwicker\t28 Oct\tcash\t\t2\taccount\taccount gbp',
			TODAY,
			WAYS
		);
		expect(
			good.ok && good.value.map((one) => [one.customerId, one.date, one.amount, one.pays, one.paidInto])
		).toEqual([
			[1, '2026-10-29', 100000, 'AK-1', null],
			[2, TODAY, 300, 'oldest', 'petty cash'],
			[2, '2026-10-28', 200, 'account', 1]
		]);
		const bad = await readPasted(books.db, 'H1\tsoon\tbarter\t\t-5\t\tmattress\nNobody\t\t\t\t5', TODAY, {
			...WAYS,
			methods: ['cheque']
		});
		expect(bad.ok ? [] : bad.problems.map(problemSentence)).toEqual([
			'Line 1: “soon” in day cannot be taken: it is not a date; write 30/10 or 2026-10-30.',
			'Line 1: “barter” in method cannot be taken: it is none of cheque.',
			'Line 1: “mattress” in paid into cannot be taken: it is none of Account GBP, petty cash.',
			'Line 1: “-5” in amount cannot be taken: it is not an amount above zero.',
			'Line 2: “Nobody” in customer cannot be taken: no customer has that code, name or document.'
		]);
	});
});

describe('the bank shows it', () => {
	it('entry and receipt are tied, and the money counted once', async () => {
		await posted(row(1, 1000));
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
		expect(codes(await perform(books, matchBankEntry, order, as(CLERK)))).toEqual(['receipt-taken']);
		await done(books, undoPosting, { actId }, CLERK);
		expect((await onItsWay(books.db)).length).toBe(1);
		expect(await books.db.$count(bankMatch)).toBe(2);
		await proves();
	});
	it('a receipt that is tied cannot be taken back before its tie', async () => {
		const [placed] = await posted(row(1, 1000));
		const entry = await shown(1000);
		const [way] = await onItsWay(books.db);
		await done(
			books,
			matchBankEntry,
			{ receiptId: entry.id, receiptVersion: entry.version, to: { kind: 'receipt', id: way!.id } },
			CLERK
		);
		expect(codes(await perform(books, undoPosting, { actId: placed! }, as(CLERK)))).toEqual([
			'credit-in-use'
		]);
	});
	it('a slip of several meets its one entry; another sum is refused', async () => {
		await posted(row(1, 700), row(2, 300, { reference: '9' }));
		const hand = await lookAtManualReceipts(books.db, null, viewer);
		const ids = hand.loose.map((one) => one.id);
		const { slipId } = await done(books, makeSlip, { bankAccountId: 1, receiptIds: ids }, CLERK);
		expect(codes(await perform(books, makeSlip, { bankAccountId: 1, receiptIds: ids }, as(CLERK)))).toEqual([
			'draft-gone'
		]);
		const slip = await lookAtSlip(books.db, slipId, viewer);
		expect([slip!.slip.total, slip!.rows.map((one) => one.reference)]).toEqual([1000, ['100412', '9']]);
		const entry = await shown(999);
		const order = {
			receiptId: entry.id,
			receiptVersion: entry.version,
			to: { kind: 'slip' as const, id: slipId }
		};
		expect(codes(await perform(books, matchBankEntry, order, as(CLERK)))).toEqual(['match-differs']);
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
		await posted(row(1, 700, { date: '2026-10-20' }), row(1, 100));
		const hand = await lookAtManualReceipts(books.db, null, viewer);
		expect(hand.way.filter((one) => one.date < hand.lateSince).map((one) => one.amount)).toEqual([700]);
	});
});

test.each([
	['', '2026-10-30'],
	['2026-10-28', '2026-10-28'],
	['28/10', '2026-10-28'],
	['28.10.26', '2026-10-28'],
	['2/1', '2027-01-02'],
	['14 Dec', '2026-12-14'],
	['14 december 2025', '2025-12-14'],
	['31/2', null],
	['soon', null],
	['10', null]
])('a typed day “%s” is %s', (text, want) => expect(parseTypedDay(text, day('2026-10-30'))).toBe(want));
