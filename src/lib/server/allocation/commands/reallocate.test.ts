import { asc, eq } from 'drizzle-orm';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { Allocating } from '../../../trade/allocating/allocating.svelte';
import type { Books } from '../../platform/db/open';
import { act, itemState, journalLine, receiptState } from '../../platform/db/schema';
import { lookAtReallocation } from '../queries/reallocation';
import { keptAdvices } from '../../receipts/store/kept-advices';
import { lookAtBalances } from '../../ledger/queries/journal';
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
	proves,
	READER,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { addRates } from '../../firm/commands/add-rates';
import { keepAdvice } from '../../receipts/commands/keep-advice';
import { lockPeriod } from '../../periods/commands/lock-period';
import { perform } from '../../act/perform';
import { reallocate } from './reallocate';
import { allocateReceipt } from './allocate-receipt';
import { setLimits } from '../../firm/commands/set-limits';

let books: Books;
const viewer = { who: CLERK, today: TODAY };
/** 100.00 allocated to AK-1, of which 2.00 as discount; AK-2 of the same account and AK-3 of another are open. */
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 10_200),
		newDocument('AK-2', 1, 10_000),
		newDocument('AK-3', 2, 4_000)
	);
	await bringIn(books, bankXml([credit(10_000, 'AK-1'), credit(500, 'more', { reference: 'B2' })]));
	await done(
		books,
		allocateReceipt,
		{
			...{ receiptId: 1, receiptVersion: 1, customerId: 1, reasons: ['It names AK-1.'] },
			lines: [
				{ itemId: 1, version: 1, cash: 10_000, differences: [{ kind: 'settlement_discount', amount: 200 }] }
			]
		},
		CLERK
	);
});
afterEach(() => books.close());

const standing = async () => {
	const row = await books.db.select().from(receiptState).where(eq(receiptState.receiptId, 1)).get();
	return row!.actId!;
};
/** The allocation on the desk again, as a clerk sees it. */
const desk = async (over: object = {}) =>
	(await lookAtReallocation(
		books.db,
		{ actId: await standing(), customerId: null, also: [], ...over },
		viewer
	))!;
const open = async () =>
	(await books.db.select().from(itemState).orderBy(asc(itemState.itemId))).map((row) => row.open);
async function change(
	edit: (allocating: Allocating) => void,
	over: { date?: string; customerId?: number } = {}
) {
	const again = await desk(over.customerId ? { customerId: over.customerId } : {});
	const allocating = new Allocating(again.desk, TODAY, 'Wren');
	edit(allocating);
	const order = { ...allocating.order, date: over.date ?? null };
	return perform(books, reallocate, { actId: again.actId, order }, as(CLERK));
}

describe('a wrong allocation', () => {
	it('is on the desk again as if it were taken off, with what was laid, by whom and why', async () => {
		const again = await desk();
		expect(again.desk.items.map((item) => [item.number, item.open])).toEqual([
			['AK-1', 10_200],
			['AK-2', 10_000]
		]);
		expect([again.by, again.reasons]).toEqual(['Wren', []]);
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		expect(allocating.rows.map((row) => [row.item.number, row.cash, row.difference])).toEqual([
			['AK-1', 10_000, 200]
		]);
		expect(allocating.outcome.ok).toBe(true);
	});
	it('moves to another item in one step; the discount goes back; both postings stay in the journal', async () => {
		const result = await change((allocating) => {
			allocating.toggle(1);
			allocating.toggle(2);
		});
		expect(result).toMatchObject({ ok: true });
		expect(await open()).toEqual([10_200, 0, 4_000]);
		const rows = (await books.db.select().from(act).orderBy(asc(act.id))).slice(-3);
		const whole = rows[0]!.id;
		expect(rows.map((row) => [row.kind, row.parentId])).toEqual([
			['reallocate', null],
			['undo-posting', whole],
			['allocate-receipt', whole]
		]);
		await proves(books);
	});
	it('comes off in part: the rest is on account', async () => {
		await change((allocating) => {
			allocating.dropGap(1, 0);
			allocating.type(1, '60.00');
		});
		expect(await open()).toEqual([4_200, 10_000, 4_000]);
		const row = await books.db.select().from(receiptState).where(eq(receiptState.receiptId, 1)).get();
		expect(row).toMatchObject({ state: 'allocated', onAccount: 4_000 });
		await proves(books);
	});
	it('goes to another customer whole', async () => {
		await change(
			(allocating) => {
				allocating.clear();
				allocating.toggle(3);
			},
			{ customerId: 2 }
		);
		expect(await open()).toEqual([10_200, 10_000, 0]);
		const row = await books.db.select().from(receiptState).where(eq(receiptState.receiptId, 1)).get();
		expect(row).toMatchObject({ customerId: 2, onAccount: 6_000 });
		await proves(books);
	});
	it('is dated on the day chosen, in an open period only; the bank stays on its own day', async () => {
		await done(books, lockPeriod, { through: day('2026-10-28') }, SUPERVISOR);
		const refused = await change((allocating) => allocating.clear(), { date: '2026-10-20' });
		expect(refused).toMatchObject({
			ok: false,
			problems: [{ code: 'period-locked', firstOpen: '2026-10-29' }]
		});
		expect(await open()).toEqual([0, 10_000, 4_000]);
		await change((allocating) => allocating.clear(), { date: '2026-10-29' });
		const bank = await books.db.select().from(journalLine).where(eq(journalLine.account, '1200'));
		expect(bank.map((row) => [row.date, row.amount])).toEqual([
			['2026-10-28', 10_000],
			['2026-10-29', -10_000],
			['2026-10-29', 10_000]
		]);
		await proves(books);
	});
	it('changed by somebody meanwhile is refused, naming who', async () => {
		const again = await desk();
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		await change((one) => one.clear());
		const late = await perform(books, reallocate, { actId: again.actId, order: allocating.order }, as(CLERK));
		expect(late).toMatchObject({ ok: false, problems: [{ code: 'receipt-taken', who: 'Wren' }] });
		await proves(books);
	});
	it('is put right again after that, and sent twice is done once', async () => {
		await change((allocating) => allocating.clear());
		const again = await desk();
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		allocating.toggle(1);
		const input = { actId: again.actId, order: allocating.order };
		const one = await perform(books, reallocate, input, as(CLERK, 'k'));
		expect(await perform(books, reallocate, input, as(CLERK, 'k'))).toEqual(one);
		expect(await open()).toEqual([200, 10_000, 4_000]);
		await proves(books);
	});
	it('earlier money that joined in is there again, even where it was used up', async () => {
		await done(books, allocateReceipt, payment(2, 1), CLERK);
		await change((allocating) => {
			allocating.dropGap(1, 0);
			allocating.useCredit(2);
			allocating.type(1, '102.00');
			allocating.typeCredit(2, '2.00');
		});
		expect(await open()).toEqual([0, 10_000, 4_000]);
		const again = await desk();
		expect(again.desk.credits).toMatchObject([{ receiptId: 2, onAccount: 500 }]);
		expect(new Allocating(again.desk, TODAY, 'Wren').credits.map((one) => one.use)).toEqual([200]);
		await change((allocating) => allocating.clear());
		expect(await open()).toEqual([10_200, 10_000, 4_000]);
		await proves(books);
	});
	it('a claim that hangs on it is withdrawn and asked about again', async () => {
		await change((allocating) => {
			allocating.dropGap(1, 0);
			allocating.nameGap('claim');
		});
		expect((await open()).slice(3)).toEqual([200]);
		const allocating = new Allocating((await desk()).desk, TODAY, 'Wren');
		expect(allocating.claimOf(1)).toMatchObject({ reason: 'damaged' });
		await change((one) => one.clear());
		expect(await open()).toEqual([10_200, 10_000, 4_000, 0]);
		await proves(books);
	});
	it('what lies above a person’s limit is refused, and nothing is taken off', async () => {
		const byRole = { clerk: { bad_debt: 0 }, supervisor: {} };
		await done(books, setLimits, { tolerance: null, byRole, byPerson: {} }, SUPERVISOR);
		const result = await change((allocating) => {
			allocating.dropGap(1, 0);
			allocating.type(1, '1.00');
			allocating.nameGap('bad_debt');
		});
		expect(result).toMatchObject({ ok: false, problems: [{ code: 'over-limit', kind: 'bad_debt' }] });
		expect(await open()).toEqual([0, 10_000, 4_000]);
		await proves(books);
	});
	it('money in another currency keeps the value that it came with', async () => {
		const rate = (on: string, millionths: number) => ({ currency: 'EUR', day: day(on), millionths });
		await done(books, addRates, [rate('2026-09-01', 800_000), rate('2026-10-30', 900_000)], CLERK);
		await invoices(books, newDocument('AK-5', 3, 1_000, { currency: 'EUR' }));
		const entry = credit(1_000, 'AK-5', { account: 'ACCE3' });
		await bringIn(books, bankXml([entry], { account: 'GB00ZZAM2', currency: 'EUR' }), 'euro.xml');
		const order = payment(3, 3);
		const { actId } = await done(books, allocateReceipt, order, CLERK);
		const again = (await lookAtReallocation(
			books.db,
			{ actId: actId!, customerId: null, also: [] },
			viewer
		))!;
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		allocating.toggle(4);
		await done(books, reallocate, { actId: actId!, order: allocating.order }, CLERK);
		const { balances } = await lookAtBalances(books.db, null, viewer);
		expect(balances.find((row) => row.code === '1210')).toMatchObject({ amount: 1_000, base: 800 });
		await proves(books);
	});
	it('an item in another currency is laid again with what it settles', async () => {
		const rate = { currency: 'EUR', day: day('2026-09-01'), millionths: 800_000 };
		await done(books, addRates, [rate], CLERK);
		await invoices(books, newDocument('AK-5', 1, 600, { currency: 'EUR' }));
		const lines = [{ itemId: 4, version: 1, cash: 480, settles: 600, differences: [] }];
		const order = { receiptId: 2, receiptVersion: 1, customerId: 1, lines };
		const { actId } = await done(books, allocateReceipt, order, CLERK);
		const again = (await lookAtReallocation(
			books.db,
			{ actId: actId!, customerId: null, also: [] },
			viewer
		))!;
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		expect(allocating.rows.map((row) => [row.cash, row.settles])).toEqual([[480, 600]]);
		expect(
			await perform(books, reallocate, { actId: actId!, order: allocating.order }, as(CLERK))
		).toMatchObject({
			ok: true
		});
		await proves(books);
	});
	it('an advice that it followed stays used', async () => {
		const advice = { customerId: 1, date: '2026-10-27', source: 'AK-2 5.00' };
		await done(books, keepAdvice, advice, CLERK);
		const order = { receiptId: 2, receiptVersion: 1, customerId: 1, lines: [], adviceId: 1 };
		const { actId } = await done(books, allocateReceipt, order, CLERK);
		const again = (await lookAtReallocation(
			books.db,
			{ actId: actId!, customerId: null, also: [] },
			viewer
		))!;
		const allocating = new Allocating(again.desk, TODAY, 'Wren');
		allocating.toggle(2);
		await done(books, reallocate, { actId: actId!, order: allocating.order }, CLERK);
		expect(await keptAdvices(books.db)).toEqual([]);
	});
	it('a reader may not', async () => {
		const input = { actId: await standing(), customerId: null, also: [] };
		await expect(lookAtReallocation(books.db, input, { who: READER, today: TODAY })).rejects.toThrow();
		expect(await lookAtReallocation(books.db, { ...input, actId: 1 }, viewer)).toBeNull();
	});
});
