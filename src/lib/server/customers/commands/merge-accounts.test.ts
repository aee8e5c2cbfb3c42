import fc from 'fast-check';
import { sql } from 'drizzle-orm';
import { beforeEach, describe, expect, it, test } from 'vitest';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import { bringInDocuments } from '../../documents/commands/bring-in-documents';
import { itemsById } from '../../documents/store/open-items';
import type { Books } from '../../platform/db/open';
import { customerName, itemState, payerAccount, receiptState } from '../../platform/db/schema';
import { lookAtCustomers } from '../queries/customers';
import { answeredPile } from '../../services/answers/answers';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtAccount } from '../queries/account';
import { lookAtAccountNow } from '../queries/account-now';
import { lookAtLedger } from '../queries/account-ledger';
import { lookAtTimeline } from '../queries/timeline';
import { addNote } from './notes';
import { closeAccount, reopenAccount } from './close-account';
import { mergeAccounts, partAccounts } from './merge-accounts';
import { recordPromise } from './promises';

/** H1 (1) is the account that stays, W2 (2) the other; each with an invoice of its own. */
let books: Books & { file: string };
const viewer = { who: READER, today: TODAY };
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000), newDocument('AK-2', 2, 6_000));
});
const versionOf = async (id: number) =>
	(await books.db.all<{ version: number }>(sql`select version from customer where id = ${id}`))[0]!.version;
const merge = async (over: { customerId?: number; otherId?: number; who?: typeof CLERK } = {}) => {
	const { customerId = 1, otherId = 2, who = SUPERVISOR } = over;
	const given = { customerId, version: await versionOf(customerId), otherId };
	return perform(books, mergeAccounts, given, as(who));
};
const merged = async () => {
	const result = await merge();
	if (!result.ok) throw new Error(JSON.stringify(result.problems));
	return String(result.value.actId);
};
const part = (actId: string) => perform(books, partAccounts, { actId }, as(SUPERVISOR));
const receive = (amount: number, text: string, reference: string, opening = 0) =>
	bringIn(
		books,
		bankXml([credit(amount, text, { reference })], { reference: `S-${reference}`, opening }),
		`${reference}.xml`
	);
async function allocate(receiptId: number, customerId: number, pays: readonly (readonly [number, number])[]) {
	const items = await itemsById(
		books.db,
		pays.map(([id]) => id)
	);
	const [state] = await books.db.all<{ version: number }>(
		sql`select version from receipt_state where receipt_id = ${receiptId}`
	);
	return perform(
		books,
		allocateReceipt,
		{
			...{ receiptId, receiptVersion: state!.version, customerId, surplus: [] },
			lines: pays.map(([itemId, cash]) => ({
				...{ itemId, cash, differences: [] },
				version: items.find(({ id }) => id === itemId)!.version
			}))
		},
		as(CLERK)
	);
}
/** Whose everything is, as it is kept. */
const kept = async () => ({
	items: await books.db.select({ id: itemState.itemId, whose: itemState.customerId }).from(itemState),
	receipts: await books.db
		.select({ id: receiptState.receiptId, whose: receiptState.customerId })
		.from(receiptState),
	names: (await books.db.select().from(customerName))
		.map(({ customerId, name }) => `${customerId} ${name}`)
		.sort(),
	payers: (await books.db.select().from(payerAccount))
		.map(({ customerId, account }) => `${customerId} ${account}`)
		.sort(),
	customers: await books.db.all(
		sql`select id, parent_id, merged_into_id, closed_on from customer order by id`
	)
});
const account = async (code = 'H1') => (await lookAtAccount(books.db, code, viewer))!;

describe('two accounts that are one', () => {
	it('owe together, and are read together: ledger, timeline, notes and promises', async () => {
		await receive(1_000, 'W2 on account', 'P1');
		await allocate(1, 2, []);
		await done(books, addNote, { customerId: 2, text: 'Rang Ada' }, CLERK);
		await done(books, recordPromise, { customerId: 2, amount: 500, promisedFor: '2026-11-06' }, CLERK);
		await merged();
		const { standing, notes, promises, merged: others } = await account();
		expect(standing).toMatchObject([{ currency: 'GBP', open: 16_000, credit: 1_000 }]);
		expect([notes.map(({ text }) => text), promises.map(({ amount }) => amount)]).toEqual([
			['Rang Ada'],
			[500]
		]);
		expect(others).toMatchObject([{ code: 'W2' }]);
		const ledger = (await lookAtLedger(books.db, { code: 'H1', before: null }, viewer))!;
		expect(ledger.rows.at(-1)!.balance).toBe(15_000);
		expect(ledger.rows).toHaveLength(3);
		const timeline = (await lookAtTimeline(books.db, { code: 'H1', before: null }, viewer))!;
		expect(timeline.rows.some(({ isNote }) => isNote)).toBe(true);
		expect(await lookAtAccountNow(books.db, 'W2', viewer)).toBe('H1');
		const list = await lookAtCustomers(books.db, { text: '', page: 0 }, viewer);
		expect(list.rows.map(({ code }) => code)).not.toContain('W2');
		await proves(books);
	});

	it('what the other was known by leads to the one: a payment of theirs is proposed for its invoice', async () => {
		await merged();
		await bringIn(books, bankXml([credit(6_000, 'AK-2', { account: 'ACCW2' })]));
		const { answers } = await answeredPile(books.db);
		expect([...answers.values()][0]).toMatchObject({ customerId: 1, lines: [{ itemId: 2 }] });
	});

	it('are posted to as one: no value moves between them, and only then can they not be told apart', async () => {
		const mergeId = await merged();
		await receive(16_000, 'AK-1 AK-2', 'P1');
		const posted = await allocate(1, 1, [
			[1, 10_000],
			[2, 6_000]
		]);
		expect(posted.ok).toBe(true);
		const lines = await books.db.all(
			sql`select customer_id, amount from journal_line where act_id = ${posted.ok && posted.value.actId} and account = '1100'`
		);
		expect(lines).toEqual([{ customer_id: 1, amount: -16_000 }]);
		await proves(books);
		const refused = await part(mergeId);
		expect(refused.ok ? [] : refused.problems).toEqual([
			{ code: 'accounts-used-as-one', customer: 'Hazel Hill Pottery', other: expect.any(String), postings: 1 }
		]);
		await done(books, undoPosting, { actId: String(posted.ok && posted.value.actId) }, CLERK);
		expect((await part(mergeId)).ok).toBe(true);
		expect((await account('W2')).standing).toMatchObject([{ open: 6_000 }]);
		await proves(books);
	});

	it('taken back, everything is whose it was', async () => {
		await receive(2_500, 'W2', 'P1');
		await allocate(1, 2, [[2, 2_000]]);
		await books.write((tx) => tx.run(sql`update customer set parent_id = 2 where id = 3`));
		const before = await kept();
		const mergeId = await merged();
		expect(await kept()).not.toEqual(before);
		await proves(books);
		expect((await part(mergeId)).ok).toBe(true);
		expect(await kept()).toEqual(before);
		expect(codesOf(await part(mergeId))).toEqual(['already-undone']);
		await proves(books);
	});

	it('a branch of the other is what the other was a branch of, and its branch again', async () => {
		await books.write((tx) => tx.run(sql`update customer set parent_id = 2 where id = 1`));
		await books.write((tx) => tx.run(sql`update customer set parent_id = 3 where id = 2`));
		const before = await kept();
		const mergeId = await merged();
		expect((await account()).parent).toMatchObject({ code: 'E3' });
		expect((await part(mergeId)).ok).toBe(true);
		expect(await kept()).toEqual(before);
	});

	it('is not a branch of its own branch: one between them is named', async () => {
		await books.write((tx) => tx.run(sql`update customer set parent_id = 3 where id = 1`));
		await books.write((tx) => tx.run(sql`update customer set parent_id = 2 where id = 3`));
		expect(JSON.stringify(await merge())).toMatch(/E3 is a branch of W2, and above H1/);
	});

	it('the other, where it was a branch, is none that is shown', async () => {
		await books.write((tx) => tx.run(sql`update customer set parent_id = 1 where id = 2`));
		await merged();
		expect((await account()).branches).toEqual([]);
	});

	it('what was posted before can be undone, and its money is the one’s from then on', async () => {
		await receive(6_000, 'AK-2', 'P1');
		const posted = await allocate(1, 2, [[2, 6_000]]);
		await merged();
		await done(books, undoPosting, { actId: String(posted.ok && posted.value.actId) }, CLERK);
		await proves(books);
		expect((await allocate(1, 1, [[2, 6_000]])).ok).toBe(true);
		expect((await account()).standing).toMatchObject([{ open: 10_000 }]);
		await proves(books);
	});

	it('a list of the firm’s that goes on with the other’s code books to the one', async () => {
		await merged();
		const row = {
			...{ line: 2, kind: 'invoice', number: 'AK-9', customerCode: 'W2', customerName: null, issued: TODAY },
			...{ due: null, currency: 'GBP', total: 700, open: 700, purchaseOrder: null, orderReference: null },
			...{ paymentReference: null, text: '', lines: [], instalments: [], discount: null }
		};
		const brought = await perform(books, bringInDocuments, [row] as never, as(CLERK));
		expect(brought).toMatchObject({ ok: true, value: { added: 1 } });
		expect((await account()).standing).toMatchObject([{ open: 16_700 }]);
		await proves(books);
	});

	it('nothing is posted to the other any more, by hand or past the acts', async () => {
		await merged();
		await receive(1_000, 'W2', 'P1');
		expect(codesOf(await allocate(1, 2, []))).toEqual(['account-merged']);
		await expect(invoices(books, newDocument('AK-8', 2, 100))).rejects.toThrow(/account-merged/);
		const reopened = await perform(
			books,
			reopenAccount,
			{ customerId: 2, version: await versionOf(2) },
			as(CLERK)
		);
		expect(codesOf(reopened)).toEqual(['account-merged']);
		await expect(
			books.write((tx) => tx.run(sql`update item_state set customer_id = 2 where item_id = 1`))
		).rejects.toThrow();
		await expect(books.db.run(sql`delete from account_merge`)).rejects.toThrow();
	});

	test.each<[string, () => Promise<unknown>, RegExp]>([
		['the account itself', () => merge({ otherId: 1 }), /That is this account/],
		['one in another currency', () => merge({ otherId: 3 }), /kept in EUR/],
		['one that is not there', () => merge({ otherId: 99 }), /not-found/],
		['by a clerk', () => merge({ who: CLERK }), /not-allowed/]
	])('%s is not merged', async (_, act, why) => {
		expect(JSON.stringify(await act())).toMatch(why);
		expect((await account('W2')).standing).toMatchObject([{ open: 6_000 }]);
	});

	it('one that is seen as another is not merged again, nor is one that others are seen as', async () => {
		await merged();
		expect(JSON.stringify(await merge())).toMatch(/seen as another account already/);
		await books.write((tx) => tx.run(sql`update customer set currency = 'GBP' where id = 3`));
		expect(JSON.stringify(await merge({ customerId: 3, otherId: 1 }))).toMatch(/W2 is seen as H1/);
	});

	it('a closed one stays closed once it is apart again', async () => {
		await receive(6_000, 'AK-2', 'P1');
		await allocate(1, 2, [[2, 6_000]]);
		const given = { customerId: 2, version: await versionOf(2), reason: 'sold' };
		await done(books, closeAccount, given, CLERK);
		const before = await kept();
		await part(await merged());
		expect(await kept()).toEqual(before);
	});
});

it('whatever is done while they are one or apart, the books prove', async () => {
	const step = fc.record({
		what: fc.constantFrom('invoice', 'money', 'allocate', 'undo', 'merge', 'part'),
		of: fc.constantFrom(1, 2),
		amount: fc.integer({ min: 100, max: 5_000 }),
		pick: fc.nat(20)
	});
	await fc.assert(
		fc.asyncProperty(fc.array(step, { minLength: 6, maxLength: 14 }), async (steps) => {
			books = await testBooks(newDocument('AK-1', 1, 10_000), newDocument('AK-2', 2, 6_000));
			let mergeId: string | null = null;
			let balance = 0;
			const standing: string[] = [];
			for (const [n, { what, of, amount, pick }] of steps.entries()) {
				const whose: number = mergeId === null ? of : 1;
				if (what === 'invoice') await invoices(books, newDocument(`AK-1${n}0`, whose, amount));
				if (what === 'money') {
					await receive(amount, `text ${n}`, `P${n}`, balance);
					balance += amount;
				}
				if (what === 'allocate') {
					const waiting = await books.db.all<{ id: number; amount: number }>(
						sql`select r.id, r.amount from receipt r join receipt_state s on s.receipt_id = r.id where s.state = 'waiting'`
					);
					const open = await books.db.all<{ id: number; open: number }>(
						sql`select item_id as id, open from item_state where open > 0`
					);
					const receipt = waiting[pick % (waiting.length || 1)];
					const item = open[pick % (open.length || 1)];
					if (!receipt || !item) continue;
					const cash = Math.min(receipt.amount, item.open);
					const result = await allocate(receipt.id, whose, [[item.id, cash]]);
					if (result.ok && result.value.actId !== null) standing.push(String(result.value.actId));
				}
				if (what === 'undo' && standing.length > 0)
					await perform(
						books,
						undoPosting,
						{ actId: standing.splice(pick % standing.length, 1)[0]! },
						as(CLERK)
					);
				if (what === 'merge' && mergeId === null) mergeId = await merged();
				if (what === 'part' && mergeId !== null && (await part(mergeId)).ok) mergeId = null;
			}
			await proves(books);
		}),
		{ numRuns: 12 }
	);
});
