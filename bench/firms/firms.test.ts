import { afterEach, expect, test } from 'vitest';
import { type Answer, answerReceipts } from '../../src/lib/core/3-matching';
import { sql } from 'drizzle-orm';
import { day } from '../../src/lib/core/day/day';
import { chance } from '../../src/demo/random';
import { minor } from '../../src/lib/core/money/minor';
import { addCustomers } from '../../src/lib/server/customers/commands/add-customers';
import type { Books } from '../../src/lib/server/platform/db/open';
import { answeredPile } from '../../src/lib/server/services/answers/answers';
import { customersById } from '../../src/lib/server/matching/store/customers-by-id';
import { readSetting } from '../../src/lib/server/firm/store/settings';
import { openItemsOf } from '../../src/lib/server/documents/store/open-items';
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
} from '../../src/lib/server/testing';
import { makeBooks } from './make-books';
import { makePayments } from './make-payments';
import { scoreFirm, type Scored } from './score-firm';

const SEEDS = [401, 402, 403, 404, 405, 406, 407, 408, 409, 410];
const firms = new Map(SEEDS.map((seed) => [seed, scoreFirm(seed, 300, 0.6)]));
const share = (list: readonly Scored[], when: (one: Scored) => boolean) =>
	list.filter(when).length / list.length;

// Firms of ten lands, each with numbers of its own.
test.each(SEEDS)(
	'of the payments of firm %i none is wrong though certain, and nearly all are right',
	(seed) => {
		const all = firms.get(seed)!;
		expect(all.filter((one) => one.certain && !one.right).map((one) => one.told())).toEqual([]);
		expect(share(all, (one) => one.right)).toBeGreaterThan(0.96);
	}
);
test('of all of them together four of five are certain, and gaps get their names', () => {
	const all = [...firms.values()].flat();
	expect(share(all, (one) => one.certain)).toBeGreaterThan(0.79);
	const gaps = all.filter((one) => one.gapRight !== null);
	expect(share(gaps, (one) => one.gapRight!)).toBeGreaterThan(0.95);
});

let books: Books | null = null;
afterEach(async () => {
	await books?.close();
	books = null;
});

// The application reads of the books only what may matter to the pile; that must be all that does.
test.each([505, 506, 507, 508, 509, 510, 511, 515])(
	'in the books of firm %i what is read for a pile gives the answers that all of it would give',
	async (seed) => {
		const random = chance(seed * 7919);
		const firm = makeBooks(random, seed);
		const { pile } = makePayments(firm, random, 200, 0.8);
		// In the currency of the books, whatever the firm's own is.
		const home = <T extends { readonly currency: string }>(list: readonly T[]) =>
			list.filter((one) => one.currency === firm.home.currency);
		books = await testBooks();
		const people = home(firm.customers);
		const ids = await done(
			books,
			addCustomers,
			people.map(({ code, name, otherNames, payerAccounts, parentId }) => {
				const parentCode = people.find(({ id }) => id === parentId)?.code ?? null;
				return newCustomer(code, name, { otherNames, payerAccounts, parentCode });
			}),
			CLERK
		);
		await invoices(
			books,
			...home(firm.items).map((item) =>
				newDocument(item.number, ids[firm.customers[item.customerId - 1]!.code]!, item.open, {
					...{ kind: item.kind === 'credit_note' ? 'credit_note' : 'invoice', issued: item.issued },
					...{ purchaseOrder: item.purchaseOrder, paymentReference: item.paymentReference },
					...{ discountBasisPoints: item.discountBasisPoints, discountUntil: item.discountUntil },
					instalments: [{ due: item.due, amount: minor(item.open) }]
				})
			)
		);
		const entries = home(pile).map((one) =>
			credit(one.amount, one.text, {
				...{ reference: `E${one.id}`, booked: one.booked, name: one.payerName, account: one.payerAccount }
			})
		);
		const came = await bringIn(books, bankXml(entries, { closingOn: day('2026-10-30') }));
		expect(came.ok).toBe(true);
		const { answers, receipts } = await answeredPile(books.db, Infinity);
		const everybody = (await books.db.all<{ id: number }>(sql`select id from customer`)).map(({ id }) => id);
		const whole = answerReceipts(receipts, {
			baseCurrency: (await readSetting(books.db, 'firm'))!.baseCurrency,
			customers: await customersById(books.db, everybody),
			items: await openItemsOf(books.db, everybody)
		});
		const brief = (answer: Answer) =>
			`${receipts.find(({ id }) => id === answer.receiptId)!.payerName} ${answer.band} ${answer.customerId} ${JSON.stringify(answer.lines)}`;
		expect(receipts.length).toBe(entries.length);
		expect(receipts.map((one) => brief(answers.get(one.id)!))).toEqual(whole.map(brief));
	}
);
