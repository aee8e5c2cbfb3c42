import { afterEach, beforeEach, expect, it } from 'vitest';
import { addCustomers } from '../acts/add-customers';
import { addRates } from '../acts/add-rates';
import { day } from '../../core/day/day';
import type { Books } from '../db/open';
import { answeredPile } from './answers';
import {
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newCustomer,
	newDocument,
	testBooks
} from '../testing';

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
it('of two rates for one day the first counts, once', async () => {
	const rate = (millionths: number) => ({ currency: 'EUR', day: day('2026-10-01'), millionths });
	expect(await done(books, addRates, [rate(800_000), rate(900_000)], CLERK)).toEqual({ added: 1 });
	expect(await done(books, addRates, [rate(900_000)], CLERK)).toEqual({ added: 0 });
});
