import { eq, sql } from 'drizzle-orm';
import { beforeEach, describe, expect, it, test } from 'vitest';
import { problemsText } from '../../../words';
import type { Books } from '../../platform/db/open';
import { allocation, itemState, journalLine } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import { lookAtAccount } from '../../customers/queries/account';
import { lookAtLedger } from '../../customers/queries/account-ledger';
import { lookAtPile } from '../../receipts/queries/pile';
import { WHOLE_PILE } from '../../services/answers/order-pile';
import { proveBooks } from '../../ledger/queries/proof';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	READER,
	SUPERVISOR,
	testBooks,
	TODAY,
	partsOf,
	codesOf
} from '../../testing';
import { addRates } from '../../firm/commands/add-rates';
import { holdReceipt } from '../../receipts/commands/hold-receipt';
import { lockPeriod } from '../../periods/commands/lock-period';
import { perform } from '../../act/perform';
import { postCertain } from './post-certain';
import type { AllocationInput } from '../allocation-input';
import { allocateReceipt } from './allocate-receipt';
import { setAside } from '../../receipts/commands/set-aside';
import { undoPosting } from './undo-posting';
import { day } from '../../../core/day/day';

let books: Books & { file: string };
beforeEach(async () => {
	books = await testBooks();
});
const proves = async () => expect((await proveBooks(books.db)).breaches).toEqual([]);
const place = (order: AllocationInput, who = CLERK, key?: string) =>
	perform(books, allocateReceipt, order, as(who, key));
const order = (
	receiptId: number,
	lines: [number, number, AllocationInput['lines'][number]['differences']?][],
	over: Partial<AllocationInput> = {}
): AllocationInput => ({
	receiptId,
	receiptVersion: 1,
	customerId: 1,
	lines: lines.map(([itemId, cash, differences = []]) => ({ itemId, version: 1, cash, differences })),
	...over
});
const open = async () =>
	(await books.db.select().from(itemState).orderBy(itemState.itemId)).map((row) => row.open);

describe('placing', () => {
	beforeEach(async () => {
		await invoices(
			books,
			newDocument('AK-1', 1, 1000),
			newDocument('AK-2', 1, 2000),
			newDocument('AK-3', 2, 700),
			newDocument('AC-1', 1, 300, { kind: 'credit_note' })
		);
		await bringIn(books, bankXml([credit(2500, 'AK-1 AK-2'), credit(700, 'x'), credit(-50, 'charge')]));
	});
	it('settles one, part of another, and posts a balanced journal', async () => {
		expect(
			(
				await place(
					order(1, [
						[1, 1000],
						[2, 1500]
					])
				)
			).ok
		).toBe(true);
		expect(await open()).toEqual([0, 500, 700, 300]);
		const lines = await books.db
			.select()
			.from(journalLine)
			.where(sql`act_id = (select max(act_id) from journal_line)`);
		expect(lines.map((line) => [line.account, line.customerId, line.amount])).toEqual([
			['1200', null, 2500],
			['1100', 1, -2500]
		]);
		await proves();
	});
	it('uses a credit note and names a difference', async () => {
		expect(
			(
				await place(
					order(1, [
						[1, 980, [{ kind: 'bank_charge', amount: 20 }]],
						[2, 1820],
						[4, -300]
					])
				)
			).ok
		).toBe(true);
		expect(await open()).toEqual([0, 180, 700, 0]);
		await proves();
	});
	it('leaves the rest on account and shows threads both ways', async () => {
		await place(order(1, [[1, 1000]]));
		const account = await lookAtLedger(books.db, { code: 'H1', before: null }, { who: READER, today: TODAY });
		const whole = await lookAtAccount(books.db, 'H1', { who: READER, today: TODAY });
		expect(whole!.standing[0]).toMatchObject({ open: 1700, credit: 1500 });
		const receipt = account!.rows.find((row) => row.kind === 'allocate-receipt')!;
		const invoice = account!.rows.find((row) => row.label === 'AK-1')!;
		expect([receipt.threads[0]!.label, receipt.onAccount, invoice.threads[0]!.amount]).toEqual([
			'AK-1',
			1500,
			1000
		]);
		await proves();
	});
	it('undoes to the state before, and can be done and undone again', async () => {
		for (let round = 0; round < 3; round++) {
			const placed = await place(
				order(
					1,
					[
						[1, 980, [{ kind: 'small_difference', amount: 20 }]],
						[4, -300],
						[2, 1820]
					].map((l) => l) as never,
					{
						receiptVersion: 1 + 2 * round,
						lines: [1, 4, 2].map((itemId, i) => ({
							itemId,
							version: 1 + 2 * round,
							cash: [980, -300, 1820][i]!,
							differences: i === 0 ? [{ kind: 'small_difference' as const, amount: 20 }] : []
						}))
					}
				)
			);
			if (!placed.ok) throw new Error(problemsText(placed.problems));
			await proves();
			expect((await perform(books, undoPosting, { actId: placed.value.actId! }, as(CLERK))).ok).toBe(true);
			expect(await open()).toEqual([1000, 2000, 700, 300]);
			expect(codesOf(await perform(books, undoPosting, { actId: placed.value.actId! }, as(CLERK)))).toEqual([
				'already-undone'
			]);
			await proves();
		}
	});
	test.each<[string, AllocationInput, string]>([
		['more than is open', order(1, [[1, 1001]]), 'over-item'],
		[
			'more than came',
			order(1, [
				[1, 1000],
				[2, 1501]
			]),
			'over-receipt'
		],
		['an item that is none', order(1, [[99, 1]]), 'not-found'],
		['no customer', order(1, [], { customerId: null }), 'no-customer'],
		['money that went out', order(3, []), 'not-a-credit-entry'],
		['a receipt that is none', order(99, []), 'not-found'],
		['a stale receipt', order(1, [[1, 1000]], { receiptVersion: 7 }), 'receipt-taken']
	])('refuses %s and writes nothing', async (_, wrong, code) => {
		expect(codesOf(await place(wrong))).toContain(code);
		expect(await open()).toEqual([1000, 2000, 700, 300]);
		expect(await books.db.$count(allocation)).toBe(0);
		await proves();
	});
	it('lets one of two have the receipt, and tells the other who has it', async () => {
		const both = await Promise.all([place(order(1, [[1, 1000]])), place(order(1, [[2, 2000]]), SUPERVISOR)]);
		expect(both.map((one) => one.ok)).toEqual([true, false]);
		expect(both[1]!.ok ? '' : problemsText(both[1]!.problems)).toContain('Wren dealt with this receipt');
		await proves();
	});
	it('lets one of two have the invoice, and tells the other what is open now', async () => {
		await bringIn(books, bankXml([credit(1000, 'y')], { reference: 'S2', opening: 3150 }));
		const both = await Promise.all([place(order(1, [[1, 1000]])), place(order(4, [[1, 1000]]), SUPERVISOR)]);
		expect(both[1]!.ok ? '' : problemsText(both[1]!.problems)).toContain('Wren changed AK-1');
		expect(await open()).toEqual([0, 2000, 700, 300]);
		await proves();
	});
	it('does once what is sent twice with the same key', async () => {
		const [first, second] = [
			await place(order(1, [[1, 1000]]), CLERK, 'k1'),
			await place(order(1, [[1, 1000]]), CLERK, 'k1')
		];
		expect(first.ok && second.ok && first.value.actId === second.value.actId).toBe(true);
		await proves();
	});
	it('holds with a note, and sets money aside and back', async () => {
		await done(books, holdReceipt, { receiptId: 2, receiptVersion: 1, because: 'asked them' }, CLERK);
		const pile = await lookAtPile(books.db, { most: 100, filter: WHOLE_PILE }, { who: READER, today: TODAY });
		expect(pile.groups.flatMap((group) => group.rows).find((row) => row.id === 2)!.held).toBe('asked them');
		const { actId } = await done(
			books,
			setAside,
			{ receiptId: 3, receiptVersion: 1, account: '7100' },
			CLERK
		);
		await proves();
		await done(books, undoPosting, { actId: actId! }, CLERK);
		await proves();
		expect(
			codesOf(await perform(books, setAside, { receiptId: 3, receiptVersion: 3, account: '1100' }, as(CLERK)))
		).toEqual(['not-found']);
	});
	it('posts on the first open day where the bank’s day is locked, and says no to documents there', async () => {
		await done(books, lockPeriod, { through: day('2026-10-28') }, SUPERVISOR);
		await place(order(1, [[1, 1000]]));
		const last = await books.db
			.select({ date: journalLine.date })
			.from(journalLine)
			.where(eq(journalLine.account, '1200'))
			.get();
		expect(last!.date).toBe('2026-10-29');
		await expect(invoices(books, newDocument('AK-9', 1, 5))).rejects.toThrow('period-locked');
		await proves();
	});
	it('realises currency differences in base currency, and takes them back', async () => {
		const eur = (on: string, millionths: number) => ({ currency: 'EUR', day: day(on), millionths });
		await done(books, addRates, [eur('2026-08-01', 850_000), eur('2026-10-28', 870_000)], CLERK);
		await invoices(books, newDocument('AK-5', 3, 10_001, { currency: 'EUR' }));
		await bringIn(books, bankXml([credit(10_001, 'AK-5')], { account: 'GB00ZZAM2', currency: 'EUR' }));
		const placed = await place(order(4, [[5, 10_001]], { customerId: 3 }));
		const gain = await books.db.select().from(journalLine).where(eq(journalLine.account, '4400')).get();
		expect([gain!.amount, gain!.base]).toEqual([0, -200]);
		await proves();
		await done(books, undoPosting, { actId: placed.ok ? placed.value.actId! : 0 }, CLERK);
		await proves();
	});
	it('posts all that are certain at once, each a part of one decision', async () => {
		await bringIn(
			books,
			bankXml([credit(700, 'AK-3', { account: 'ACCW2' })], { reference: 'S2', opening: 3150 })
		);
		const pile = await answeredPile(books.db);
		const certain = [...pile.answers.values()]
			.filter((answer) => answer.band === 'certain')
			.map((answer) => ({ id: answer.receiptId, version: 1 }));
		const posted = await done(books, postCertain, { receipts: certain }, CLERK);
		expect([certain.length, posted.posted, (await partsOf(books, posted.actId!)).length]).toEqual([1, 1, 1]);
		expect(await open()).toEqual([1000, 2000, 0, 300]);
		await proves();
	});
});
