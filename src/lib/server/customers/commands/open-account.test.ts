import { beforeEach, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import type { Books } from '../../platform/db/open';
import { customer, customerName, payerAccount } from '../../platform/db/schema';
import { as, CLERK, done, READER, testBooks } from '../../testing';
import { perform } from '../../act/perform';
import { accountInput, openAccount } from './open-account';

let books: Books;
beforeEach(async () => {
	books = await testBooks();
});
const plain = { name: 'Corncrake Crafts', currency: 'GBP', termsDays: 30 };
const open = (over: Partial<Parameters<typeof accountInput.parse>[0] & object> = {}) =>
	done(books, openAccount, accountInput.parse({ ...plain, ...over }), CLERK);
const refused = async (over: object) => {
	const result = await perform(books, openAccount, { ...plain, ...over }, as(CLERK));
	return result.ok ? [] : result.problems;
};

describe('an account opened by hand', () => {
	it('has the next code, and is known by the name and the account of the payment', async () => {
		const { customerId } = await open({
			payerName: 'CORNCRAKE BOOKKEEPING',
			payerAccount: 'GB12 ZZAM 2014 5300 0123 45'
		});
		const made = await books.db.select().from(customer).where(eq(customer.id, customerId)).get();
		expect(made).toMatchObject({ code: 'E4', name: 'Corncrake Crafts', currency: 'GBP', termsDays: 30 });
		const names = await books.db.select().from(customerName).where(eq(customerName.customerId, customerId));
		expect(names.map((row) => row.name)).toEqual(['Corncrake Crafts', 'CORNCRAKE BOOKKEEPING']);
		const accounts = await books.db
			.select()
			.from(payerAccount)
			.where(eq(payerAccount.customerId, customerId));
		expect(accounts.map((row) => row.account)).toEqual(['GB12ZZAM20145300012345']);
	});

	it('is not known by an account from which another customer pays', async () => {
		await open({ payerAccount: 'GB12ZZAM20145300012345' });
		const { customerId } = await open({ name: 'Other Crafts', payerAccount: 'GB12ZZAM20145300012345' });
		expect(await books.db.select().from(payerAccount).where(eq(payerAccount.customerId, customerId))).toEqual(
			[]
		);
	});

	it('is refused under a name or a code that is there, and what is no e-mail address', async () => {
		await open({ code: 'NEW-1' });
		expect(await refused({ name: 'CORNCRAKE  Crafts' })).toMatchObject([{ field: 'name' }]);
		expect(await refused({ name: 'Somebody else', code: 'NEW-1' })).toMatchObject([{ code: 'number-taken' }]);
		expect(await refused({ name: 'Somebody else', email: 'none' })).toMatchObject([{ field: 'email' }]);
		expect(await refused({ name: 'Somebody else', termsDays: -1 })).toMatchObject([{ field: 'termsDays' }]);
	});

	it('is not for a reader', async () => {
		const result = await perform(books, openAccount, plain, as(READER));
		expect(result.ok ? '' : result.problems[0]!.code).toBe('not-allowed');
	});
});
