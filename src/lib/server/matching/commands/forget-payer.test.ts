import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import type { Books } from '../../platform/db/open';
import { answeredPile } from '../../services/answers/answers';
import { lookAtAccount } from '../../customers/queries/account';
import {
	as,
	asAnswered,
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
import { forgetPayer } from './forget-payer';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
/** Five invoices of one account, and a payment for each by its number from a club that nobody knows, each time with the same words. */
beforeEach(async () => {
	books = await testBooks();
	const amount = (i: number) => 20_007 + i * 1_313;
	await invoices(books, ...Array.from({ length: 5 }, (_, i) => newDocument(`AK-4020${i}`, 1, amount(i))));
	await bringIn(
		books,
		bankXml(
			Array.from({ length: 5 }, (_, i) =>
				credit(amount(i), `AK-4020${i} summer kiln fund`, {
					...{ reference: `P${i}`, account: 'CLUB1', name: 'MERE CLUB' }
				})
			)
		)
	);
});
afterEach(async () => {
	await proves(books);
	await books.close();
});

const answer = async (receiptId: number) => (await answeredPile(books.db)).answers.get(receiptId)!;
const place = async (receiptId: number) => {
	const order = { ...(await asAnswered(books, receiptId)), customerId: 1 };
	return (await done(books, allocateReceipt, order, CLERK)).actId!;
};
const seen = async () => {
	const { learned } = (await lookAtAccount(books.db, 'H1', { who: CLERK, today: TODAY }))!;
	return learned.map(({ trait, key, times }) => `${trait} ${key} ${times}`);
};
const forget = (kind: 'account' | 'name' | 'words', text: string, who = CLERK) =>
	perform(books, forgetPayer, { customerId: 1, kind, text }, as(who));

describe('who pays for a customer', () => {
	it('is learned from what is allocated: after one payment nothing is certain by it, after two it is', async () => {
		expect([(await answer(5)).band, await seen()]).toEqual(['likely', []]);
		await place(1);
		expect((await answer(5)).reasons[0]).toMatchObject({ code: 'account-taught', times: 1 });
		expect([(await answer(5)).band, await seen()]).toEqual([
			'likely',
			['account CLUB1 1', 'name MERE CLUB 1']
		]);
		const second = await place(2);
		expect((await answer(5)).band).toBe('certain');
		expect(await seen()).toEqual(['account CLUB1 2', 'name MERE CLUB 2', 'words SUMMER KILN FUND 2']);
		await done(books, undoPosting, { actId: second }, CLERK);
		expect((await answer(5)).band).toBe('likely');
	});
	it('can be forgotten, each for itself; what comes after may teach it again', async () => {
		for (const id of [1, 2]) await place(id);
		expect(await forget('account', 'CLUB1')).toMatchObject({ ok: true });
		expect(await seen()).toEqual(['name MERE CLUB 2', 'words SUMMER KILN FUND 2']);
		expect((await answer(5)).reasons[0]).toMatchObject({ code: 'name-taught' });
		expect((await answer(5)).band).toBe('likely');
		expect(await forget('account', 'CLUB1')).toMatchObject({ ok: false, problems: [{ code: 'not-found' }] });
		await forget('name', 'Mere Club');
		await forget('words', 'SUMMER KILN FUND');
		expect(await seen()).toEqual([]);
		expect((await answer(5)).reasons[0]).toMatchObject({ code: 'payer-unknown' });
		for (const id of [3, 4]) await place(id);
		expect((await answer(5)).band).toBe('certain');
	});
	it('is not for a reader to forget, and nobody forgets a customer’s own name', async () => {
		for (const id of [1, 2]) await place(id);
		expect(await forget('account', 'CLUB1', READER)).toMatchObject({ ok: false });
		const { customer } = (await lookAtAccount(books.db, 'H1', { who: CLERK, today: TODAY }))!;
		expect(await forget('name', customer.name)).toMatchObject({ ok: false });
		expect((await seen()).length).toBe(3);
	});
});
