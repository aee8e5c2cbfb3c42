import { append } from '../../../core/append';
import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it, test } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { setAddress } from '../../customers/commands/set-address';
import { writeSetting, readSetting } from '../../firm/store/settings';
import type { Books } from '../../platform/db/open';
import { bankAccount, customer, manualReceipt } from '../../platform/db/schema';
import { prepareLetters } from '../../services/prepare-letters';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	payment,
	testBooks,
	TODAY
} from '../../testing';
import { sendLetters } from '../commands/send-letters';
import { lettersFor } from './letters-for';
import { letterVersions } from './letter-versions';

let books: Books;
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 10_000),
		newDocument('AK-2', 1, 2_043),
		newDocument('AK-3', 2, 500)
	);
	await bringIn(books, bankXml([credit(4_000, 'AK-1'), credit(700, 'AK-3', { account: 'ACCW2' })]));
});

const viewer = { who: CLERK, today: TODAY };
const account = { customerId: 1, currency: 'GBP' };
const mark = async () => (await letterVersions(books.db, 'statement', [account]))[0]!;
const shown = async () =>
	JSON.stringify(await lettersFor(books.db, { kind: 'statement', accounts: [account] }, TODAY));
const pay = (receiptId: number, customerId: number, itemId: number, cash: number) =>
	done(books, allocateReceipt, payment(receiptId, customerId, [itemId, cash]), CLERK);

/** What may happen between writing a letter and sending it. */
const changes: readonly (readonly [string, () => Promise<unknown>])[] = [
	['an invoice is issued', () => invoices(books, newDocument('AK-4', 1, 100))],
	['an item is paid in part', () => pay(1, 1, 1, 4_000)],
	['money comes on account', () => pay(1, 1, 2, 2_043)],
	[
		'the address changes',
		() => done(books, setAddress, { customerId: 1, kind: 'statement', email: 'new@hazel.example' }, CLERK)
	],
	[
		'the name changes',
		() =>
			books.write((tx) => tx.update(customer).set({ name: 'Hazel Hill Potteries' }).where(eq(customer.id, 1)))
	],
	[
		'the firm moves',
		() =>
			books.write(async (tx) => {
				const firm = await readSetting(tx, 'firm');
				await writeSetting(tx, 'firm', { ...firm!, address: ['Kiln Wharf'] });
			})
	],
	[
		'the bank account to pay into changes',
		() =>
			books.write((tx) =>
				tx.update(bankAccount).set({ bic: 'ZZAMGB2L' }).where(eq(bankAccount.currency, 'GBP'))
			)
	],
	[
		'a cheque with a later date is recorded',
		() =>
			books.write((tx) =>
				tx.insert(manualReceipt).values({
					...{ customerId: 1, currency: 'GBP', amount: minor(500), reference: '101', method: 'cheque' },
					...{ date: day('2026-12-01'), pays: 'oldest', typedBy: 'u1' }
				})
			)
	]
];

describe('what a letter shows', () => {
	test.each(changes)('has another mark once %s, and the letter is not sent', async (_, change) => {
		const [before, letter] = [await mark(), await shown()];
		const prepared = await prepareLetters(
			books,
			{ kind: 'statement', accounts: [account] },
			viewer,
			as(CLERK).now()
		);
		await change();
		expect(await shown()).not.toBe(letter);
		expect(await mark()).not.toBe(before);
		const letters = prepared.ok ? prepared.value : [];
		expect(letters).toHaveLength(1);
		const sent = await perform(books, sendLetters, { kind: 'statement', letters }, as(CLERK));
		expect(sent).toEqual({
			ok: false,
			problems: [{ code: 'letter-changed', customer: letters[0]!.letter.customer.name }]
		});
	});

	it('has the same mark while others pay, and where nothing was done', async () => {
		const before = await mark();
		await pay(2, 2, 3, 500);
		await invoices(books, newDocument('AK-9', 3, 100));
		expect(await mark()).toBe(before);
	});

	it('has another mark once a letter before it is not so any more', async () => {
		const { actId } = (await pay(1, 1, 1, 4_000)) as { actId: number };
		const send = async () => {
			const letters = await prepareLetters(
				books,
				{ kind: 'statement', accounts: [account] },
				viewer,
				as(CLERK).now()
			);
			return done(books, sendLetters, { kind: 'statement', letters: letters.ok ? letters.value : [] }, CLERK);
		};
		await send();
		const before = await mark();
		await done(books, undoPosting, { actId }, CLERK);
		expect(await mark()).not.toBe(before);
		expect(await shown()).toContain('corrects');
		expect((await send()).sent).toBe(1);
	});

	it('is marked for many accounts as for each alone, in their order', async () => {
		const accounts = [{ customerId: 2, currency: 'GBP' }, account, { customerId: 3, currency: 'EUR' }];
		const each: Awaited<ReturnType<typeof letterVersions>>[number][] = [];
		for (const one of accounts) append(each, await letterVersions(books.db, 'statement', [one]));
		expect(await letterVersions(books.db, 'statement', accounts)).toEqual(each);
		expect(new Set(each).size).toBe(3);
	});
});
