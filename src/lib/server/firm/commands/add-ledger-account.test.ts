import { afterEach, beforeEach, expect, it } from 'vitest';
import { gt } from 'drizzle-orm';
import type { Books } from '../../platform/db/open';
import { journalLine } from '../../platform/db/schema';
import { perform } from '../../act/perform';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { setAside } from '../../receipts/commands/set-aside';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	proves,
	SUPERVISOR,
	testBooks
} from '../../testing';
import { accountsForAside } from '../store/accounts-for-aside';
import { addLedgerAccount } from './add-ledger-account';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000));
});
afterEach(() => books.close());

const hire = { code: '4950', name: 'Kiln hire', vatBasisPoints: 2000 };
const refused = async (over: object, who = SUPERVISOR) => {
	const result = await perform(books, addLedgerAccount, { ...hire, ...over }, as(who));
	return result.ok ? [] : result.problems.map((one) => (one.code === 'field' ? one.field : one.code));
};

it('what is posted to an account of one’s own has its VAT apart, and is undone with it', async () => {
	await done(books, addLedgerAccount, hire, SUPERVISOR);
	expect(await accountsForAside(books.db)).toContainEqual(hire);
	await bringIn(books, bankXml([credit(12_000, 'KILN HIRE MAY')]));
	const before = Math.max(0, ...(await books.db.select().from(journalLine)).map((line) => line.id));
	const given = { receiptId: 1, receiptVersion: 1, account: '4950', remember: false };
	const { actId } = await done(books, setAside, given, CLERK);
	const lines = async () =>
		(await books.db.select().from(journalLine).where(gt(journalLine.id, before))).map((line) => [
			line.account,
			line.amount
		]);
	expect(await lines()).toEqual([
		['1200', 12_000],
		['4950', -10_000],
		['2200', -2_000]
	]);
	await proves(books);
	await done(books, undoPosting, { actId: actId! }, CLERK);
	const sums = new Map<string, number>();
	for (const [account, amount] of await lines())
		sums.set(String(account), (sums.get(String(account)) ?? 0) + Number(amount));
	expect([...sums.values()].every((sum) => sum === 0)).toBe(true);
	await proves(books);
});

it('an account that is there, a rate that is none, and a clerk are refused', async () => {
	expect(await refused({ code: '1100' })).toEqual(['number-taken']);
	expect(await refused({ code: 'no code' })).toEqual(['code']);
	expect(await refused({ vatBasisPoints: Number.NaN })).toEqual(['vatBasisPoints']);
	expect(await refused({ vatBasisPoints: 0 })).toEqual(['vatBasisPoints']);
	expect(await refused({ name: ' ' })).toEqual(['name']);
	expect(await refused({}, CLERK)).toEqual(['not-allowed']);
});
