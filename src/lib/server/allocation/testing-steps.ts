import { asc, eq, sql } from 'drizzle-orm';
import fc from 'fast-check';
import { expect } from 'vitest';
import { CHART } from '../../core/5-journal/chart';
import { day } from '../../core/day/day';
import { minor } from '../../core/money/minor';
import type { Books } from '../platform/db/open';
import { act, allocation, receiptAdjustment, itemState, receipt, receiptState } from '../platform/db/schema';
import { openItemsOf } from '../documents/store/open-items';
import { as, bankXml, bringIn, credit, invoices, newDocument, SUPERVISOR, testBooks } from '../testing';
import { paymentBack } from './store/payment-back';
import { bookUnidentified } from '../receipts/commands/book-unidentified';
import { moveReceipts } from './commands/move-receipts';
import { perform } from '../act/perform';
import type { Act, AnyAct } from '../act/define-act';
import type { ActKind } from '../../core/model/act-facts';
import { reinstate } from './commands/reinstate';
import { allocateReceipt } from './commands/allocate-receipt';
import { returnPayment } from '../returns/commands/return-payment';
import { setAside } from '../receipts/commands/set-aside';
import { splitReceipt } from '../receipts/commands/split-receipt';
import { undoActs } from './commands/undo-acts';

/*
 * For properties over histories: steps that people may take in any order, what they do, and what has to hold after each.
 */

/** Two accounts with invoices, one in parts, credit notes, and money of many sizes. */
export async function someBooks(): Promise<Books> {
	const books = await testBooks();
	const parts = [
		{ due: day('2026-09-01'), amount: minor(1_000) },
		{ due: day('2026-10-01'), amount: minor(4_500) },
		{ due: day('2026-11-01'), amount: minor(4_500) }
	];
	await invoices(
		books,
		newDocument('AK-1', 1, 10_000, { instalments: parts }),
		newDocument('AK-2', 1, 4_800),
		newDocument('AK-3', 1, 620),
		newDocument('AC-1', 1, 1_250, { kind: 'credit_note' }),
		newDocument('AK-4', 2, 7_046),
		newDocument('AC-2', 2, 300, { kind: 'credit_note' })
	);
	const sums = [10_000, 4_754, 620, 12_345, 1, 99];
	await bringIn(books, bankXml(sums.map((sum, i) => credit(sum, `payment ${i}`, { reference: `B${i}` }))));
	return books;
}

/** One thing that somebody may try; numbers pick among what there is at that moment. */
export const step = fc.record({
	what: fc.constantFrom(
		'place',
		'place',
		'place',
		'credits',
		'aside',
		'unidentified',
		'split',
		'undo',
		'undo',
		'return',
		'return',
		'as-before',
		'move'
	),
	pick: fc.nat(1_000),
	customer: fc.constantFrom(1, 2),
	/** For each item in turn: leave it, take all that is left, or so many thousandths of it. */
	takes: fc.array(fc.nat(1_400), { minLength: 1, maxLength: 6 }),
	name: fc.constantFrom(
		null,
		null,
		'settlement_discount',
		'bank_charge',
		'claim',
		'small_difference',
		'bad_debt'
	),
	fee: fc.constantFrom(0, 0, 0, 35)
});
/** A step that posts something to be taken back. */
export const posting = fc
	.tuple(step, fc.constantFrom('place', 'place', 'aside', 'unidentified', 'credits', 'return', 'return'))
	.map(([one, what]): Step => ({ ...one, what }));
export type Step = typeof step extends fc.Arbitrary<infer T> ? T : never;

const CLAIM = { reason: 'damaged', owner: 'Wren', deadline: '2026-11-13', note: '' } as const;

/** Lays money on items as the step says; amounts beyond what is open or came are tried, too. */
async function linesOf(books: Books, one: Step, money: number) {
	const items = (await openItemsOf(books.db, [one.customer])).sort((a, b) => a.id - b.id);
	let left = money;
	return items.flatMap((item, i) => {
		const take = one.takes[i] ?? 0;
		if (take === 0) return [];
		const sign = item.kind === 'credit_note' ? -1 : 1;
		const wanted = Math.round((item.open * Math.min(take, 1_050)) / 1_000);
		const cash = sign < 0 ? -wanted : Math.min(wanted, left);
		if (cash === 0) return [];
		left -= cash;
		const gap = item.open - Math.abs(cash);
		const named = one.name && sign > 0 && gap > 0 && item.kind !== 'claim';
		return [
			{
				...{ itemId: item.id, version: item.version, cash },
				differences: named ? [{ kind: one.name!, amount: gap }] : [],
				...(named && one.name === 'claim' ? { claim: CLAIM } : {})
			}
		];
	});
}

export async function attempt(
	books: Books,
	one: Step,
	charges = true,
	recorded: (act: AnyAct, input: object) => void = () => {}
): Promise<boolean> {
	const all = await books.db.select().from(receiptState).orderBy(asc(receiptState.receiptId));
	const waiting = all.filter((row) => row.state === 'waiting');
	const some = <T>(rows: readonly T[]): T | undefined => rows[one.pick % Math.max(1, rows.length)];
	const run = async <K extends ActKind, G extends object, I, O>(kind: Act<K, G, I, O>, input: G) => {
		const { ok } = await perform(books, kind, input, as(SUPERVISOR));
		if (ok) recorded(kind as unknown as AnyAct, input);
		return ok;
	};
	if (one.what === 'undo') {
		const undone = books.db.select({ id: act.undoesId }).from(act);
		const acts = (await books.db.select().from(act)).filter((row) => row.undoesId === null);
		const taken = new Set((await undone).map((row) => row.id));
		const chosen = some(acts.filter((row) => !taken.has(row.id)));
		if (!chosen) return false;
		return run(undoActs, { actIds: [chosen.id] });
	}
	if (one.what === 'as-before') {
		const chosen = some((await books.db.select().from(act)).filter((row) => row.kind === 'undo-posting'));
		return chosen ? run(reinstate, { actId: chosen.id }) : false;
	}
	const placed = all.filter((row) => row.state === 'allocated');
	if (one.what === 'move') {
		const allocations = placed
			.slice(0, 1 + (one.pick % 3))
			.map((row) => ({ actId: row.actId!, receiptVersion: row.version }));
		return allocations.length > 0 ? run(moveReceipts, { allocations, customerId: one.customer }) : false;
	}
	if (one.what === 'return') {
		const chosen = some(placed);
		const now = chosen && (await paymentBack(books.db, chosen.receiptId));
		if (!now) return false;
		const most = now.onAccount + now.allocations.reduce((sum, part) => sum + part.creditAmount, 0);
		// All of it, or so many thousandths; differences but for claims go back or stay.
		const amount = one.fee ? most : Math.ceil((most * Math.min(one.takes[0]!, 1_000)) / 1_000);
		const gaps = now.differences.filter((gap) => gap.kind !== 'claim' && one.name !== null);
		return run(returnPayment, {
			...{ receiptId: now.receiptId, receiptVersion: chosen.version, amount, date: null, reason: 'refer' },
			...{ fee: one.fee, charge: charges && one.name ? 1_500 : 0, differencesBack: gaps.map((gap) => gap.id) }
		});
	}
	if (one.what === 'credits') {
		const credits = all.filter((row) => row.onAccount > 0 && row.customerId === one.customer);
		const used = credits.map((row) => ({
			receiptId: row.receiptId,
			version: row.version,
			use: row.onAccount
		}));
		const money = used.reduce((sum, row) => sum + row.use, 0);
		const lines = await linesOf(books, one, money);
		return run(allocateReceipt, {
			...{ receiptId: null, receiptVersion: null, customerId: one.customer },
			...{ credits: used, lines }
		});
	}
	const chosen = some(waiting);
	if (!chosen) return false;
	const head = { receiptId: chosen.receiptId, receiptVersion: chosen.version };
	const money = await books.db.select().from(receipt).where(eq(receipt.id, chosen.receiptId)).get();
	const amount = money!.amount;
	if (one.what === 'aside') return run(setAside, { ...head, account: CHART.otherIncome.code });
	if (one.what === 'unidentified') return run(bookUnidentified, head);
	if (one.what === 'split') {
		const first = Math.floor(amount / 2);
		const part = (gross: number) => ({ payerName: 'part', text: '', gross, fee: 0 });
		return run(splitReceipt, { ...head, parts: [part(first), part(amount - first)] });
	}
	const fees = one.fee ? [{ kind: 'processor_fee' as const, amount: one.fee }] : [];
	const lines = await linesOf(books, one, amount + one.fee);
	return run(allocateReceipt, { ...head, customerId: one.customer, lines, fees });
}

/** Does in other books what was done in these: the same input, on what has its version there. */
export async function repeat(books: Books, kind: AnyAct, input: object): Promise<boolean> {
	const items = new Map((await books.db.select().from(itemState)).map((row) => [row.itemId, row.version]));
	const money = new Map(
		(await books.db.select().from(receiptState)).map((row) => [row.receiptId, row.version])
	);
	const given = structuredClone(input) as {
		receiptId?: number | null;
		receiptVersion?: number | null;
		lines?: { itemId: number; version: number }[];
		credits?: { receiptId: number; version: number }[];
	};
	if (given.receiptId) given.receiptVersion = money.get(given.receiptId)!;
	for (const line of given.lines ?? []) line.version = items.get(line.itemId)!;
	for (const credit of given.credits ?? []) credit.version = money.get(credit.receiptId)!;
	return (await perform(books, kind, given as never, as(SUPERVISOR))).ok;
}

/** Everything that says how money stands, but for versions and the records of who did what. */
export async function standing(books: Books) {
	const items = await books.db.select().from(itemState).orderBy(asc(itemState.itemId));
	const receipts = await books.db.select().from(receiptState).orderBy(asc(receiptState.receiptId));
	return {
		// A claim that was withdrawn leaves its document behind, with nothing open.
		items: items.filter((row) => row.kind !== 'claim').map((row) => [row.itemId, row.open, row.openBase]),
		claims: items.filter((row) => row.kind === 'claim' && row.open > 0).map((row) => [row.itemId, row.open]),
		receipts: receipts.map((row) => [
			...[row.receiptId, row.state, row.customerId, row.onAccount, row.onAccountBase],
			row.unidentifiedActId
		])
	};
}

/** What came, with what was explained of it, is what was allocated, with what lies on account. */
export async function addsUp(books: Books): Promise<void> {
	for (const row of await books.db.select().from(receiptState).where(eq(receiptState.state, 'allocated'))) {
		const sum = (values: readonly number[]) => values.reduce((all, value) => all + value, 0);
		const own = await books.db.select().from(receipt).where(eq(receipt.id, row.receiptId)).get();
		const placed = await books.db.select().from(allocation).where(eq(allocation.receiptId, row.receiptId));
		const changes = await books.db
			.select()
			.from(receiptAdjustment)
			.where(eq(receiptAdjustment.receiptId, row.receiptId));
		const explained = sum(changes.map((one) => one.amount));
		expect(sum(placed.map((one) => one.creditAmount)) + row.onAccount).toBe(own!.amount + explained);
	}
}

/** What counts against limits is what stands: deductions, fees that are credited, trifles and refunds that leave, less what was taken back. */
export async function reductionsAgree(books: Books): Promise<void> {
	const stands = await books.db.all(sql`
		select kind, sum(base) as base from (
			select kind, base from difference where kind not in ('claim', 'settled_before')
			union all select kind, base from receipt_adjustment where kind in ('processor_fee', 'bank_charge')
			union all select kind, -base from receipt_adjustment where kind in ('small_difference', 'refund')
		) group by kind having sum(base) <> 0 order by kind`);
	const counted = await books.db.all(sql`
		select kind, sum(base) as base from reduction
		where kind not in ('claim', 'set_aside', 'credit_other') group by kind having sum(base) <> 0 order by kind`);
	expect(counted).toEqual(stands);
}
