import { afterEach, beforeEach, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { usualLine } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
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
	testBooks,
	TODAY
} from '../../testing';
import { undoActs } from '../../allocation/commands/undo-acts';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { postCertain } from '../../allocation/commands/post-certain';
import { setLimits } from '../../firm/commands/set-limits';
import { perform } from '../../act/perform';
import { lookAtUsualLines } from '../queries/usual-lines';
import { changeUsualLine } from './change-usual-line';
import { setAside } from './set-aside';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 1000));
	const entries = TEXTS.map((text, i) =>
		credit(100 + i, text, { name: 'Mere & Marches Bank', account: 'MM1' })
	);
	await bringIn(books, bankXml(entries));
});
afterEach(() => books.close());

/** Interest of the bank, month after month, and a rebate of it; in one file, so that its balances are as they should be. */
const TEXTS = ['INTEREST 1', 'INTEREST 2', 'INTEREST 3', 'INTEREST 4', 'REBATE', 'INTEREST 5'];
async function waiting(text: string) {
	const { receipts, answers } = await answeredPile(books.db);
	const row = receipts.find((one) => one.text === text)!;
	return { row, answer: answers.get(row.id)! };
}
async function book(text: string, account = '4310'): Promise<number> {
	const { row } = await waiting(text);
	const given = { receiptId: row.id, receiptVersion: row.version, account };
	return (await done(books, setAside, given, CLERK)).actId!;
}
const lines = async () =>
	(await books.db.select().from(usualLine)).map(({ account, times }) => [account, times]);

it('what was booked twice the same way is proposed, three times it is certain, and posted with what else is', async () => {
	await book('INTEREST 1');
	expect((await waiting('INTEREST 4')).answer).toMatchObject({ band: 'none' });
	await book('INTEREST 2');
	expect((await waiting('INTEREST 4')).answer).toMatchObject({
		band: 'likely',
		usual: { account: '4310', name: 'Bank interest received', times: 2 },
		reasons: [{ code: 'usual-line', times: 2 }]
	});
	await book('INTEREST 3');
	const { receipts, answers } = await answeredPile(books.db);
	expect(receipts.map((row) => [row.text, answers.get(row.id)!.band])).toEqual([
		['INTEREST 4', 'certain'],
		['REBATE', 'none'],
		['INTEREST 5', 'certain']
	]);
	const asked = receipts.map(({ id, version }) => ({ id, version }));
	const { actId, posted, left } = await done(books, postCertain, { receipts: asked }, CLERK);
	expect([posted, left]).toEqual([2, 1]);
	expect(await lines()).toEqual([['4310', 5]]);
	await proves(books);
	await done(books, undoActs, { actIds: [actId!] }, CLERK);
	expect((await answeredPile(books.db)).receipts).toHaveLength(3);
	expect(await lines()).toEqual([['4310', 3]]);
	await proves(books);
});

it('another kind of entry of the same bank is another line; booked elsewhere it begins anew; undone it is forgotten', async () => {
	await book('INTEREST 1');
	await book('INTEREST 2');
	await book('REBATE', '4900');
	expect(await lines()).toEqual([
		['4310', 2],
		['4900', 1]
	]);
	const other = await book('INTEREST 3', '4900');
	expect((await lines())[0]).toEqual(['4900', 1]);
	await done(books, undoPosting, { actId: other }, CLERK);
	expect((await lines())[0]).toEqual(['4900', 0]);
	expect((await waiting('INTEREST 4')).answer.band).toBe('none');
});

it('one that is switched off is not proposed, and learns on', async () => {
	await book('INTEREST 1');
	await book('INTEREST 2');
	const [line] = await books.db.select().from(usualLine);
	await done(books, changeUsualLine, { id: line!.id, account: '4310', off: true }, CLERK);
	expect((await waiting('INTEREST 4')).answer.band).toBe('none');
	await book('INTEREST 3');
	await done(books, changeUsualLine, { id: line!.id, account: '4310', off: false }, CLERK);
	expect((await waiting('INTEREST 4')).answer.band).toBe('certain');
	// Led to another account it is proposed there, and has to prove itself.
	await done(books, changeUsualLine, { id: line!.id, account: '4900', off: false }, CLERK);
	expect((await waiting('INTEREST 4')).answer).toMatchObject({
		band: 'likely',
		usual: { account: '4900', times: 0, setBy: 'Wren' }
	});
	const refused = await perform(
		books,
		changeUsualLine,
		{ id: line!.id, account: '1100', off: false },
		as(CLERK)
	);
	expect(refused.ok).toBe(false);
	expect((await perform(books, changeUsualLine, { id: 99, account: '4310', off: true }, as(CLERK))).ok).toBe(
		false
	);
});

it('a rule for a counterparty is proposed for all of its entries, and stands on the list, to be switched off', async () => {
	const { row } = await waiting('REBATE');
	const given = { receiptId: row.id, receiptVersion: row.version, account: '4900', remember: true };
	await done(books, setAside, given, CLERK);
	expect((await waiting('INTEREST 1')).answer).toMatchObject({
		band: 'likely',
		reasons: [{ code: 'usual-rule', account: 'Other income', by: 'Wren' }]
	});
	const { lines: listed } = await lookAtUsualLines(books.db, null, { who: CLERK, today: TODAY });
	const rule = listed.find((one) => one.kind === '')!;
	expect(rule).toMatchObject({ name: 'Mere & Marches Bank', account: '4900', setBy: 'Wren', times: 0 });
	// What is booked elsewhere twice in a row counts before the rule.
	await book('INTEREST 1');
	await book('INTEREST 2');
	expect((await waiting('INTEREST 3')).answer.usual).toMatchObject({ account: '4310', times: 2 });
	await done(books, changeUsualLine, { id: rule.id, account: '4900', off: true }, CLERK);
	expect((await waiting('INTEREST 3')).answer.usual).toMatchObject({ account: '4310' });
});

it('money that comes in counts against the limits of whoever posts it', async () => {
	for (const text of ['INTEREST 1', 'INTEREST 2', 'INTEREST 3']) await book(text);
	const byRole = { clerk: { set_aside: 10 }, supervisor: {} };
	await done(books, setLimits, { tolerance: null, byRole, byPerson: {} }, SUPERVISOR);
	const { row, answer } = await waiting('INTEREST 4');
	expect(answer.band).toBe('certain');
	const receipts = [{ id: row.id, version: row.version }];
	expect(await done(books, postCertain, { receipts }, CLERK)).toMatchObject({ posted: 0, left: 1 });
	expect(await done(books, postCertain, { receipts }, SUPERVISOR)).toMatchObject({ posted: 1 });
	await proves(books);
});
