import { afterEach, beforeEach, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { lookAtAdvices } from '../queries/advices';
import { answeredPile } from '../../services/answers/answers';
import { openItemsOf } from '../../documents/store/open-items';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	partsOf,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { dropAdvice, keepAdvice } from './keep-advice';
import { perform } from '../../act/perform';
import { postCertain } from '../../allocation/commands/post-certain';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
const viewer = { who: READER, today: TODAY };
/** Three open invoices of one account that no sum could tell apart. */
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 10_000),
		newDocument('AK-2', 1, 10_000),
		newDocument('AK-3', 1, 5_000)
	);
});
afterEach(() => books.close());

const keep = (source: string, over: object = {}, key?: string) =>
	perform(books, keepAdvice, { customerId: 1, date: '2026-10-27', source, ...over }, as(CLERK, key));
const waiting = async () => (await lookAtAdvices(books.db, null, viewer)).waiting;
const receive = (amount: number, over = {}) => bringIn(books, bankXml([credit(amount, 'BACS', over)]));
const answer = async () => {
	const { receipts, answers } = await answeredPile(books.db);
	return answers.get(receipts[0]!.id)!;
};

it('is kept, and answers for its money when that comes; posted it is used up, taken back it waits again', async () => {
	expect(await keep('AK-2 100.00\nAK-3 50.00')).toMatchObject({ ok: true });
	expect(await waiting()).toMatchObject([{ total: 15_000, lines: 2, tied: 2, name: 'Hazel Hill Pottery' }]);
	await receive(15_000);
	const found = await answer();
	expect([found.band, found.adviceId, found.lines.map((line) => line.itemId)]).toEqual([
		'certain',
		1,
		[2, 3]
	]);
	expect(found.reasons.map((one) => one.code)).toContain('advice-kept');
	const posted = await done(books, postCertain, { receipts: [{ id: 1, version: 1 }] }, CLERK);
	expect(await waiting()).toEqual([]);
	expect((await openItemsOf(books.db, [1])).map((item) => item.number)).toEqual(['AK-1']);
	await done(books, undoPosting, { actId: (await partsOf(books, posted.actId!))[0]! }, CLERK);
	expect(await waiting()).toHaveLength(1);
	await proves(books);
});

it('a payer nobody knows is not certain by an advice alone', async () => {
	await keep('AK-2 100.00');
	await receive(10_000, { account: 'NEW', name: 'H. Hill' });
	expect(await answer()).toMatchObject({ band: 'likely', customerId: 1, adviceId: 1 });
});

it('with something taken off it is for a person to agree to', async () => {
	await keep('AK-2 100.00 4.50 95.50 breakage');
	await receive(9_550);
	expect(await answer()).toMatchObject({
		band: 'likely',
		lines: [{ itemId: 2, cash: 9_550, differences: [{ kind: 'claim', amount: 450 }] }]
	});
});

it('with a line that is not open any more it is only a choice', async () => {
	await keep('AK-2 100.00\nAK-99 7.00');
	expect(await waiting()).toMatchObject([{ lines: 2, tied: 1 }]);
	await receive(10_700);
	expect(await answer()).toMatchObject({ band: 'choose', adviceId: 1 });
});

it('two advices of the same sum prove nothing', async () => {
	await keep('AK-1 100.00');
	await keep('AK-2 100.00');
	await receive(10_000);
	expect((await answer()).adviceId).toBeUndefined();
});

it('words that name what is paid go before it', async () => {
	await invoices(books, newDocument('AK-40004', 1, 10_000));
	await keep('AK-1 100.00');
	await bringIn(books, bankXml([credit(10_000, 'AK-40004')]));
	expect(await answer()).toMatchObject({ band: 'certain', lines: [{ itemId: 4 }] });
	expect((await answer()).adviceId).toBeUndefined();
});

it('a line without an amount counts with what is open', async () => {
	await keep('AK-3');
	expect(await waiting()).toMatchObject([{ total: 5_000 }]);
});

it('is taken away while it waits, and only then', async () => {
	await keep('AK-2 100.00');
	await done(books, dropAdvice, { adviceId: 1 }, CLERK);
	expect(await waiting()).toEqual([]);
	expect(await perform(books, dropAdvice, { adviceId: 1 }, as(CLERK))).toMatchObject({ ok: false });
});

it('sent twice it is kept once', async () => {
	await keep('AK-2 100.00', {}, 'k');
	await keep('AK-2 100.00', {}, 'k');
	expect(await waiting()).toHaveLength(1);
});

it.each([
	['nothing in it', 'hello', {}, 'field'],
	['broken XML', '<RemittanceAdvice>', {}, 'xml-broken'],
	['a customer that is none', 'AK-1 1.00', { customerId: 99 }, 'not-found'],
	['a table with a bad amount', 'Invoice,Amount\nAK-1,ten', {}, 'amount-bad']
])('%s is refused', async (_, source, over, code) => {
	expect(await keep(source, over)).toMatchObject({ ok: false, problems: [{ code }] });
	expect(await waiting()).toEqual([]);
});
