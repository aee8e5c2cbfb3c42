import { minor } from '../../../core/money/minor';
import { beforeEach, describe, expect, it } from 'vitest';
import { and, eq, sql } from 'drizzle-orm';
import { day } from '../../../core/day/day';
import type { Books } from '../../platform/db/open';
import { CHART } from '../../../core/5-journal/chart';
import { document, item, itemState, journalLine, receipt, receiptState } from '../../platform/db/schema';
import { returnedPayments } from '../store/returned-payments';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	SUPERVISOR,
	testBooks
} from '../../testing';
import { keepManualReceipts } from '../../receipts/commands/manual-receipts';
import { lockPeriod } from '../../periods/commands/lock-period';
import { makeSlip } from '../../receipts/commands/make-paying-in-slip';
import { perform } from '../../act/perform';
import { reallocate } from '../../allocation/commands/reallocate';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { postManualReceipts } from '../../receipts/commands/post-manual-receipts';
import type { z } from 'zod';
import { returnPayment, type returnInput } from './return-payment';
import { matchBankEntry } from '../../receipts/commands/match-bank-entry';
import { matchBankReturn } from './match-bank-return';

let books: Books;
beforeEach(async () => {
	books = await testBooks(newDocument('AK-1', 1, 10_000), newDocument('AK-2', 1, 5_000));
	await bringIn(books, bankXml([credit(14_900, 'AK-1 AK-2', { reference: 'P1' })]));
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1 },
			lines: [
				{ itemId: 1, version: 1, cash: 10_000, differences: [] },
				{
					...{ itemId: 2, version: 1, cash: 4_900 },
					differences: [{ kind: 'settlement_discount', amount: 100 }]
				}
			]
		},
		CLERK
	);
});

const open = async () => {
	const rows = await books.db
		.select({ number: document.number, open: itemState.open })
		.from(itemState)
		.innerJoin(item, eq(item.id, itemState.itemId))
		.innerJoin(document, eq(document.id, item.documentId))
		.orderBy(item.id);
	return rows.map((row) => `${row.number} ${row.open}`);
};
const balance = async (account: string) => {
	const row = await books.db
		.select({ sum: sql<number>`coalesce(sum(${journalLine.amount}), 0)` })
		.from(journalLine)
		.where(eq(journalLine.account, account))
		.get();
	return row!.sum;
};
const stateOf = async (id: number) =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;
const back = async (over: Partial<z.input<typeof returnInput>> = {}) => ({
	...{
		receiptId: 1,
		receiptVersion: (await stateOf(1)).version,
		amount: 14_900,
		date: null,
		reason: 'refer'
	},
	...over
});
/** The bank's debit, brought in on a statement of its own. */
const debit = async (amount: number, text = 'RETURNED UNPAID') => {
	await bringIn(
		books,
		bankXml([credit(-amount, text, { reference: `D${amount}`, booked: '2026-10-29' })], {
			...{ reference: `S${amount}`, opening: await balance('1200'), closingOn: day('2026-10-29') }
		}),
		`d${amount}.xml`
	);
	const row = await books.db
		.select({ id: receipt.id })
		.from(receipt)
		.where(and(eq(receipt.amount, minor(-amount))))
		.get();
	return row!.id;
};

describe('a payment comes back', () => {
	it('whole, by hand, with fee and charge: invoices, discount and charge are owed; the bank meets it later', async () => {
		const [gap] = await books.db.all<{ id: number }>(sql`select id from difference`);
		await done(
			books,
			returnPayment,
			await back({ fee: 850, charge: 1_500, differencesBack: [gap!.id] }),
			CLERK
		);
		expect(await open()).toEqual(['AK-1 10000', 'AK-2 5000', 'CH-1001 1500']);
		expect(await balance(CHART.returned.code)).toBe(-15_750);
		expect(await balance(CHART.discounts.code)).toBe(0);
		await proves(books);
		const shown = await debit(14_900);
		await done(
			books,
			matchBankReturn,
			{ receiptId: shown, receiptVersion: 1, returnedId: 1, part: 'money' },
			CLERK
		);
		expect(await balance(CHART.returned.code)).toBe(-850);
		await proves(books);
		const fee = await debit(850, 'FEE');
		await done(
			books,
			matchBankReturn,
			{ receiptId: fee, receiptVersion: 1, returnedId: 1, part: 'fee' },
			CLERK
		);
		expect([await balance(CHART.returned.code), await balance(CHART.bankCharges.code)]).toEqual([0, 850]);
		expect(await returnedPayments(books.db)).toMatchObject([{ moneyShown: true, feeShown: true }]);
		await proves(books);
	});

	it('found on the statement: return and fee in one entry, met at once', async () => {
		const shown = await debit(15_750);
		await done(
			books,
			returnPayment,
			await back({ fee: 850, shown: { receiptId: shown, receiptVersion: 1, part: 'both' } }),
			CLERK
		);
		expect(await balance(CHART.returned.code)).toBe(0);
		expect(await balance('1200')).toBe(14_900 - 15_750);
		expect((await stateOf(shown)).state).toBe('matched');
		// The discount was left: only what was paid is owed again.
		expect(await open()).toEqual(['AK-1 10000', 'AK-2 4900']);
		await proves(books);
	});

	it('an entry that takes more is refused, or has its rest booked as a bank charge', async () => {
		await done(books, returnPayment, await back(), CLERK);
		const shown = await debit(15_500);
		const input = { receiptId: shown, receiptVersion: 1, returnedId: 1, part: 'money' as const };
		const refused = await perform(books, matchBankReturn, input, as(CLERK));
		expect(refused.ok ? [] : refused.problems).toEqual([
			{ code: 'return-differs', shown: 15_500, booked: 14_900, currency: 'GBP' }
		]);
		await done(books, matchBankReturn, { ...input, restIsCharge: true }, CLERK);
		expect([await balance(CHART.returned.code), await balance(CHART.bankCharges.code)]).toEqual([0, 600]);
		await proves(books);
	});

	it('in part: the latest due first, the rest of it stays allocated; and then the other part', async () => {
		await done(books, returnPayment, await back({ amount: 3_000, first: [1] }), CLERK);
		expect(await open()).toEqual(['AK-1 3000', 'AK-2 0']);
		await proves(books);
		await done(books, returnPayment, await back({ amount: 11_900 }), CLERK);
		expect(await open()).toEqual(['AK-1 10000', 'AK-2 4900']);
		await proves(books);
		const more = await perform(books, returnPayment, await back({ amount: 1 }), as(CLERK));
		expect(more.ok ? [] : more.problems).toMatchObject([{ code: 'over-return', most: 0 }]);
	});

	it('after the money was moved to other items and another customer', async () => {
		await invoices(books, newDocument('AK-9', 2, 14_900));
		const { actId } = await stateOf(1);
		await done(
			books,
			reallocate,
			{
				actId: actId!,
				order: {
					...{ receiptId: 1, receiptVersion: 2, customerId: 2 },
					lines: [{ itemId: 3, version: 1, cash: 14_900, differences: [] }]
				}
			},
			CLERK
		);
		await done(books, returnPayment, await back(), CLERK);
		expect(await open()).toEqual(['AK-1 10000', 'AK-2 5000', 'AK-9 14900']);
		expect(await returnedPayments(books.db, { customerIds: [2] })).toHaveLength(1);
		await proves(books);
	});

	it('after its period was locked: dated in the open one; a locked day, one before it came and an old look are refused', async () => {
		await done(books, lockPeriod, { through: day('2026-10-29') }, SUPERVISOR);
		const codes = async (over: Partial<z.input<typeof returnInput>>) => {
			const result = await perform(books, returnPayment, await back(over), as(CLERK));
			return result.ok ? [] : result.problems.map((one) => one.code);
		};
		expect(await codes({ date: '2026-10-28' })).toEqual(['period-locked']);
		expect(await codes({ receiptVersion: 1 })).toEqual(['receipt-taken']);
		expect(await codes({ amount: 14_901 })).toEqual(['over-return']);
		expect(await codes({})).toEqual([]);
		const [made] = await returnedPayments(books.db);
		expect(made!.date).toBe('2026-10-30');
		await proves(books);
	});

	it('one cheque of a slip that the bank has shown', async () => {
		await invoices(books, newDocument('AK-5', 2, 700), newDocument('AK-6', 1, 800));
		const row = (customerId: number, amount: number) => ({
			...{ id: null, customerId, date: '2026-10-28', method: 'cheque', reference: '1' },
			...{ amount, currency: 'GBP', pays: 'oldest' }
		});
		const { ids } = await done(books, keepManualReceipts, { rows: [row(2, 700), row(1, 800)] }, CLERK);
		await done(books, postManualReceipts, { ids }, CLERK);
		await done(books, makeSlip, { bankAccountId: 1, receiptIds: [2, 3] }, CLERK);
		await bringIn(
			books,
			bankXml([credit(1_500, 'PAID IN', { reference: 'IN', booked: '2026-10-29' })], {
				...{ reference: 'S9', opening: await balance('1200'), closingOn: day('2026-10-29') }
			}),
			'in.xml'
		);
		await done(
			books,
			matchBankEntry,
			{ receiptId: 4, receiptVersion: 1, to: { kind: 'slip', id: 1 } },
			CLERK
		);
		const one = { receiptId: 2, receiptVersion: (await stateOf(2)).version, amount: 700 };
		await done(books, returnPayment, { ...one, date: null, reason: 'refer' }, CLERK);
		expect(await open()).toEqual(['AK-1 0', 'AK-2 0', 'AK-5 700', 'AK-6 0']);
		await proves(books);
	});
});
