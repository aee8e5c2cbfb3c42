import { afterEach, beforeEach, expect, it } from 'vitest';
import { addCustomers } from '../../customers/commands/add-customers';
import { addRates } from '../../firm/commands/add-rates';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { day } from '../../../core/day/day';
import type { Books } from '../../platform/db/open';
import { answeredPile } from './answers';
import { lookAtDesk } from '../../allocation/queries/desk';
import {
	asAnswered,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newCustomer,
	newDocument,
	payment,
	testBooks,
	TODAY
} from '../../testing';

let books: Books;
/** An account with a long name, and a number of the firm's own pattern. */
beforeEach(async () => {
	books = await testBooks();
	const name = 'Wicker Lane Adult Learning';
	await done(books, addCustomers, [newCustomer('A9', name, { payerAccounts: [] })], CLERK);
	await invoices(books, newDocument('AK-40233', 4, 5_000), newDocument('AK-40234', 1, 7_000));
});
afterEach(() => books.close());

const answer = async (amount: number, text: string, name: string) => {
	await bringIn(books, bankXml([credit(amount, text, { name, account: null })]));
	const { answers } = await answeredPile(books.db);
	const one = [...answers.values()][0]!;
	return [one.band, one.customerId, one.lines.map((line) => line.itemId)];
};

it('an account is found by its name as the bank cut it off', async () => {
	expect(await answer(5_000, 'inv 40233', 'WICKER LANE ADULT L')).toEqual(['certain', 4, [1]]);
});
it('a number without our prefix is found for a payer nobody knows', async () => {
	expect(await answer(7_000, 'paying 40234', 'MRS TREVENA')).toEqual(['likely', 1, [2]]);
});
it('a name that begins no other proves nobody', async () => {
	expect(await answer(5_000, 'thanks', 'WICKER LANE ADULTERATED CLAY')).toEqual(['none', null, []]);
});
it('an account is found by its name with a slip, and by what stands after T/A', async () => {
	expect(await answer(5_000, 'inv 40233', 'WICKER LAEN ADULT LEARNING')).toEqual(['certain', 4, [1]]);
});
it('a payer trading as somebody of ours is that', async () => {
	expect(await answer(5_000, 'inv 40233', 'MR J HOLM T/A WICKER LANE ADULT LEARNING')).toEqual([
		...['certain', 4, [1]]
	]);
});
it('a name that is spelled otherwise for want of a letter is the same', async () => {
	await done(books, addCustomers, [newCustomer('M1', 'Müller Töpferhof GmbH', { payerAccounts: [] })], CLERK);
	await invoices(books, newDocument('AK-40299', 5, 9_100));
	expect(await answer(9_100, '40299', 'MUELLER TOEPFERHOF')).toEqual(['certain', 5, [3]]);
});
it('earlier money on account joins, on the desk as well', async () => {
	await bringIn(books, bankXml([credit(2_000, 'on account', { reference: 'P1' })]));
	const order = payment(1, 1);
	await done(books, allocateReceipt, order, CLERK);
	const second = { reference: 'S2', opening: 2_000 };
	await bringIn(books, bankXml([credit(5_000, 'inv 40234', { reference: 'P2' })], second), 'second.xml');
	const { answers } = await answeredPile(books.db);
	expect(answers.get(2)).toMatchObject({ band: 'likely', credits: [{ receiptId: 1, use: 2_000 }] });
	const viewer = { who: CLERK, today: TODAY };
	const desk = await lookAtDesk(books.db, { receiptId: 2, customerId: null, also: [] }, viewer);
	expect(desk!.credits.map((one) => one.receiptId)).toEqual([1]);
});
it('while newer answers are made those of before are given, and what came since says so', async () => {
	await bringIn(books, bankXml([credit(7_000, 'AK-40234', { reference: 'P1' })]));
	expect((await answeredPile(books.db)).fresh).toBe(true);
	const second = { reference: 'S2', opening: 7_000 };
	await bringIn(books, bankXml([credit(100, 'new', { reference: 'P2' })], second), 'second.xml');
	const meanwhile = await answeredPile(books.db, 0);
	expect(meanwhile.fresh).toBe(false);
	expect([...meanwhile.answers.values()].map((one) => [one.band, one.reasons[0]!.code])).toEqual([
		['certain', 'account-known'],
		['none', 'not-yet']
	]);
	const newest = await answeredPile(books.db, Infinity);
	expect([newest.fresh, newest.receipts.length, newest.answers.get(2)!.reasons[0]!.code]).toEqual([
		...[true, 2, 'account-known']
	]);
});
it('of two rates for one day the first counts, once', async () => {
	const rate = (millionths: number) => ({ currency: 'EUR', day: day('2026-10-01'), millionths });
	expect(await done(books, addRates, [rate(800_000), rate(900_000)], CLERK)).toEqual({ added: 1 });
	expect(await done(books, addRates, [rate(900_000)], CLERK)).toEqual({ added: 0 });
});

it('a sum that was allocated a few days before, and fits nothing, is asked about', async () => {
	await bringIn(books, bankXml([credit(7_000, 'AK-40234', { reference: 'P1', booked: '2026-10-27' })]));
	await done(books, allocateReceipt, await asAnswered(books, 1), CLERK);
	const again = { reference: 'S2', opening: 7_000 };
	await bringIn(books, bankXml([credit(7_000, 'thanks', { reference: 'P2' })], again), 'again.xml');
	expect((await answeredPile(books.db)).answers.get(2)!.reasons.at(-1)).toEqual({
		...{ code: 'same-sum-before', booked: '2026-10-27', numbers: ['AK-40234'] }
	});
});
