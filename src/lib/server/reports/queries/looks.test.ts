import { beforeAll, describe, expect, it, test } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { addRates } from '../../firm/commands/add-rates';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { Books } from '../../platform/db/open';
import {
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtAccount } from '../../customers/queries/account';
import { lookAtLedger } from '../../customers/queries/account-ledger';
import { lookAtCustomers } from '../../customers/queries/customers';
import { lookAtDesk, lookAtDeskItems } from '../../allocation/queries/desk';
import { findCustomers } from '../../customers/queries/find-customers';
import { lookAtItem } from '../../documents/queries/item-life';
import { lookAtBalances, lookAtJournal } from '../../ledger/queries/journal';
import { lookAtOpenItems, type Facet } from '../../documents/queries/open-items';
import { lookAtPile } from '../../receipts/queries/pile';
import { WHOLE_PILE } from '../../services/answers/order-pile';
import { sumPile } from '../../services/answers/sum-pile';
import { lookAtToday } from './today';

const viewer = { who: READER, today: TODAY };
let books: Books;

/** Two sterling accounts and one in euro; one invoice part paid, one paid and taken back, one credit note, money waiting. */
beforeAll(async () => {
	books = await testBooks();
	await done(books, addRates, [{ currency: 'EUR', day: day('2026-08-01'), millionths: 800_000 }], CLERK);
	const due = (on: string, amount: number) => ({ instalments: [{ due: day(on), amount: minor(amount) }] });
	await invoices(
		books,
		newDocument('AK-1', 1, 1000, due('2026-07-01', 1000)),
		newDocument('AK-2', 1, 2000, { ...due('2026-10-20', 2000), purchaseOrder: 'PO77' }),
		newDocument('AK-3', 2, 700, due('2026-11-20', 700)),
		newDocument('AC-1', 1, 300, { kind: 'credit_note', ...due('2026-09-01', 300) }),
		newDocument('AK-5', 3, 10_000, { currency: 'EUR', ...due('2026-09-20', 10_000) })
	);
	await bringIn(
		books,
		bankXml(
			[
				credit(400, 'AK-1'),
				credit(700, 'AK-3', { account: 'ACCW2', booked: '2026-10-29' }),
				credit(2000, 'AK-2', { booked: '2026-10-30' }),
				credit(-50, 'charge')
			],
			{ closingOn: day('2026-10-30') }
		)
	);
	const line = (itemId: number, cash: number) => [{ itemId, version: 1, cash, differences: [] }];
	await done(
		books,
		allocateReceipt,
		{ receiptId: 1, receiptVersion: 1, customerId: 1, lines: line(1, 400) },
		CLERK
	);
	const { actId } = await done(
		books,
		allocateReceipt,
		{ receiptId: 2, receiptVersion: 1, customerId: 2, lines: line(3, 700) },
		CLERK
	);
	await done(books, undoPosting, { actId: actId! }, CLERK);
});

it('Today adds up: owed, late and waiting, in base currency', async () => {
	const today = await lookAtToday(books.db, await sumPile(books.db), viewer);
	expect(today.owed).toBe(600 + 2000 + 700 - 300 + 8000);
	expect(today.late).toBe(600 + 2000 + 8000);
	expect(today.waiting).toEqual({ GBP: 2700 });
	expect([today.bands.certain, today.out, today.waitingCount]).toEqual([2, 1, 2]);
	expect(today.month.at(-1)).toEqual({ day: TODAY, collected: 400, fellDue: 2000 });
	expect(today.lateAccounts.map((row) => [row.code, row.late, row.owed])).toEqual([
		['E3', 8000, 8000],
		['H1', 2600, 2300]
	]);
	expect(today.banks[0]).toMatchObject({ closingOn: '2026-10-30' });
});

describe('open items', () => {
	const ask = (facet: Facet, text = '') => lookAtOpenItems(books.db, { facet, text, page: 0 }, viewer);
	test.each<[Facet, string, string[]]>([
		['all', '', ['AK-1', 'AC-1', 'AK-5', 'AK-2', 'AK-3']],
		['late', '', ['AK-1', 'AK-5', 'AK-2']],
		['late-30', '', ['AK-1', 'AK-5']],
		['late-90', '', ['AK-1']],
		['part-paid', '', ['AK-1']],
		['credits', '', ['AC-1']],
		['all', 'po77', ['AK-2']],
		['all', 'wicker', ['AK-3']],
		['all', '20.00', ['AK-2']],
		['late', 'wicker', []],
		['all', '100%', []]
	])('%s “%s”', async (facet, text, want) =>
		expect((await ask(facet, text)).rows.map((row) => row.number)).toEqual(want)
	);
	it('counts what each facet would show, and sums each currency', async () => {
		const { counts, sums } = await ask('all');
		for (const facet of ['all', 'late', 'late-30', 'late-90', 'part-paid', 'credits'] as const)
			expect([facet, counts[facet]]).toEqual([facet, (await ask(facet)).rows.length]);
		expect(Object.fromEntries(sums.map((one) => [one.currency, one.open]))).toEqual({
			GBP: 3000,
			EUR: 10_000
		});
	});
});

it('customers: most late first, found by name, code or a document’s number', async () => {
	const { rows } = await lookAtCustomers(books.db, { text: '', page: 0 }, viewer);
	expect(rows.map((row) => [row.code, row.late, row.owed, row.items])).toEqual([
		['E3', 8000, 8000, 1],
		['H1', 2600, 2300, 3],
		['W2', 0, 700, 1]
	]);
	const found = async (text: string) => (await findCustomers(books.db, text, viewer)).map((row) => row.code);
	expect([
		await found('hazel'),
		await found('W2'),
		await found('AK-5'),
		await found(''),
		await found('nobody')
	]).toEqual([['H1'], ['W2'], ['E3'], [], []]);
});

it('a ledger runs to what is owed, undone payments struck and threads gone', async () => {
	const account = await lookAtLedger(books.db, { code: 'W2', before: null }, viewer);
	expect(
		account!.rows.map((row) => [row.kind, row.amount, row.balance, row.undone, row.threads.length])
	).toEqual([
		['invoice', 700, 700, false, 0],
		['allocate-receipt', -700, 0, true, 0],
		['undo-posting', 700, 700, false, 0]
	]);
	const hazel = await lookAtLedger(books.db, { code: 'H1', before: null }, viewer);
	expect(hazel!.rows.at(-1)!.balance).toBe(2300);
	const standing = (await lookAtAccount(books.db, 'H1', viewer))!.standing;
	expect(standing[0]).toMatchObject({ open: 2300, late: 2600, credit: 0 });
	expect(hazel!.rows.find((row) => row.label === 'AK-1')!.threads).toMatchObject([
		{ date: '2026-10-28', amount: 400 }
	]);
	expect(await lookAtAccount(books.db, 'NOBODY', viewer)).toBeNull();
});

it('an item’s life tells what was paid, and what was taken back', async () => {
	const life = await lookAtItem(books.db, 3, viewer);
	expect(life!.events.map((event) => [event.what, event.amount, event.by])).toEqual([
		['issued', 700, 'Wren'],
		['paid', 700, 'Wren'],
		['taken-back', -700, 'Wren']
	]);
	expect(await lookAtItem(books.db, 99, viewer)).toBeNull();
});

it('the pile and the desk agree', async () => {
	const pile = await lookAtPile(books.db, { most: 100, filter: WHOLE_PILE }, viewer);
	expect(
		pile.groups.flatMap((group) => group.rows).map((row) => [row.band, row.who, row.numbers, row.gap])
	).toEqual([
		['certain', 'Wicker Lane Ceramics', ['AK-3'], 0],
		['certain', 'Hazel Hill Pottery', ['AK-2'], 0],
		['none', 'Unnamed payer', [], 0]
	]);
	expect(pile.day).toEqual({ all: 4, done: 1 });
	const numbersOn = async ({ itemsOf }: { itemsOf: { accounts: readonly number[] } }) =>
		(await lookAtDeskItems(books.db, itemsOf.accounts, viewer)).map((item) => item.number).sort();
	const desk = await lookAtDesk(books.db, { receiptId: 3, customerId: null, also: [] }, viewer);
	expect([desk!.customer!.code, desk!.customer!.owes, await numbersOn(desk!), desk!.habit]).toEqual([
		'H1',
		[{ amount: 2_300, currency: 'GBP' }],
		['AC-1', 'AK-1', 'AK-2'],
		[119]
	]);
	const other = await lookAtDesk(books.db, { receiptId: 3, customerId: 2, also: [] }, viewer);
	expect([other!.customer!.code, await numbersOn(other!)]).toEqual(['W2', ['AK-3']]);
	expect(await lookAtDesk(books.db, { receiptId: 1, customerId: null, also: [] }, viewer)).toBeNull();
});

it('the journal shows acts with their lines; balances come to nothing and the bank agrees', async () => {
	const { entries } = await lookAtJournal(books.db, { before: null, account: '1200', actId: null }, viewer);
	expect(entries.map((entry) => entry.kind)).toEqual([
		'undo-posting',
		'allocate-receipt',
		'allocate-receipt'
	]);
	expect(entries[0]!.undoesId).toBe(entries[1]!.id);
	const { balances, banks, control } = await lookAtBalances(books.db, null, viewer);
	expect(balances.reduce((sum, row) => sum + row.base, 0)).toBe(0);
	expect(control.map((row) => [row.currency, row.amount])).toEqual([
		['EUR', 10_000],
		['GBP', 3000]
	]);
	const [bank] = banks;
	expect([bank!.ledgerBalance, bank!.waiting, bank!.closing]).toEqual([400, 2650, 3050]);
	expect(bank!.opening + bank!.ledgerBalance + bank!.waiting).toBe(bank!.closing);
});

describe('lists in the order that was asked for', () => {
	const openItems = async (by: string, down: boolean) => {
		const query = { facet: 'all' as const, text: '', page: null, sorting: { by, down } };
		return (await lookAtOpenItems(books.db, query, viewer)).rows;
	};
	test.each([
		['number', (row: { number: string }) => row.number],
		['customer', (row: { customer: string }) => row.customer.toLowerCase()],
		['due', (row: { due: string }) => row.due],
		['total', (row: { total: number }) => row.total],
		['open', (row: { open: number; kind: string }) => (row.kind === 'credit_note' ? -row.open : row.open)]
	] as const)('open items by %s, up and down', async (by, value) => {
		const up = (await openItems(by, false)).map(value as never) as (string | number)[];
		const down = (await openItems(by, true)).map(value as never);
		expect(up.length).toBeGreaterThan(2);
		expect(up).toEqual([...up].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)));
		expect(down).toEqual([...up].reverse());
	});
	it('open items by nothing that is a column are in their usual order, and all of them are there', async () => {
		const usual = (await lookAtOpenItems(books.db, { facet: 'all', text: '', page: 0 }, viewer)).rows;
		expect(await openItems('password', true)).toEqual(usual.length > 0 ? [...usual].reverse() : []);
	});
	test.each(['code', 'name', 'items', 'late', 'owed'] as const)(
		'customers by %s, up and down',
		async (by) => {
			const list = async (down: boolean) =>
				(await lookAtCustomers(books.db, { text: '', page: null, sorting: { by, down } }, viewer)).rows;
			const values = (rows: Awaited<ReturnType<typeof list>>) => rows.map((row) => row[by]);
			const up = values(await list(false));
			expect(up).toHaveLength(3);
			expect(up).toEqual([...up].sort((a, b) => (a < b ? -1 : a > b ? 1 : 0)));
			expect(values(await list(true))).toEqual([...up].reverse());
		}
	);
	it('an amount is found as it is typed, with a point or a comma', async () => {
		for (const text of ['100.00', '100,00', '1.00']) {
			const { rows } = await lookAtOpenItems(books.db, { facet: 'all', text, page: 0 }, viewer);
			expect(rows.map((row) => row.number)).toEqual(text === '1.00' ? [] : ['AK-5']);
		}
	});
});
