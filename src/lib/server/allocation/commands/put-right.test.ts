import { beforeEach, describe, expect, it } from 'vitest';
import { eq, sql } from 'drizzle-orm';
import { day } from '../../../core/day/day';
import type { Books } from '../../platform/db/open';
import { difference, itemState, receiptState } from '../../platform/db/schema';
import { answeredPile } from '../../services/answers/answers';
import { lookAtPeriods } from '../../periods/queries/periods';
import { lookAtRecord } from '../../ledger/queries/record';
import { lookAtSmallBalances } from '../queries/small-balances';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	newDocument,
	partsOf,
	proves,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { actSentence } from '../../../words';
import { forgetPayer } from '../../matching/commands/forget-payer';
import { lockPeriod, unlockPeriod } from '../../periods/commands/lock-period';
import { moveReceipts } from './move-receipts';
import { perform } from '../../act/perform';
import { reinstate } from './reinstate';
import { allocateReceipt } from './allocate-receipt';
import { setLimits } from '../../firm/commands/set-limits';
import { undoPosting } from './undo-posting';
import { writeOffSmallBalances } from './write-off-small-balances';

let books: Books;
const viewer = { who: CLERK, today: TODAY };
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 10_000),
		newDocument('AK-2', 1, 5_000),
		newDocument('AK-3', 2, 3_000)
	);
	await bringIn(
		books,
		bankXml([
			credit(10_000, 'AK-1', { reference: 'P1' }),
			credit(4_980, 'AK-2', { reference: 'P2' }),
			credit(2_970, 'AK-3', { reference: 'P3' })
		])
	);
});
const state = async (id: number) =>
	(await books.db.select().from(receiptState).where(eq(receiptState.receiptId, id)).get())!;
const open = async () =>
	(await books.db.select().from(itemState).orderBy(itemState.itemId)).map((row) => row.open);
const version = async (id: number) =>
	(await books.db.select().from(itemState).where(eq(itemState.itemId, id)).get())!.version;
const settle = async (receiptId: number, customerId: number, itemId: number, cash: number, gap = 0) =>
	done(
		books,
		allocateReceipt,
		{
			...{ receiptId, receiptVersion: (await state(receiptId)).version, customerId, reasons: ['seen'] },
			lines: [
				{
					...{ itemId, version: await version(itemId), cash },
					differences: gap ? [{ kind: 'small_difference', amount: gap }] : []
				}
			]
		},
		CLERK
	);

describe('an undoing is taken back', () => {
	it('placing the money once more as it was, differences and all', async () => {
		const first = await settle(2, 1, 2, 4_980, 20);
		const before = await open();
		const undone = await done(books, undoPosting, { actId: first.actId! }, CLERK);
		expect(await open()).toEqual([10_000, 5_000, 3_000]);
		await done(books, reinstate, { actId: undone.actId }, CLERK);
		expect(await open()).toEqual(before);
		await proves(books);
		const again = await perform(books, reinstate, { actId: undone.actId }, as(CLERK));
		expect(again.ok ? [] : again.problems).toMatchObject([{ code: 'receipt-taken', who: 'Wren' }]);
	});

	it('but not where the item is settled otherwise meanwhile', async () => {
		const first = await settle(1, 1, 1, 10_000);
		const undone = await done(books, undoPosting, { actId: first.actId! }, CLERK);
		await settle(2, 1, 1, 4_980);
		const refused = await perform(books, reinstate, { actId: undone.actId }, as(CLERK));
		expect(refused.ok ? [] : refused.problems).toMatchObject([{ code: 'over-item', open: 5_020 }]);
		await proves(books);
	});
});

describe('several at once', () => {
	it('to another account, or to wait again; all or none', async () => {
		const [a, b] = [await settle(1, 1, 1, 10_000), await settle(2, 1, 2, 4_980)];
		const allocations = [
			{ actId: a.actId!, receiptVersion: (await state(1)).version },
			{ actId: b.actId!, receiptVersion: (await state(2)).version }
		];
		const stale = [allocations[0]!, { ...allocations[1]!, receiptVersion: 1 }];
		const refused = await perform(books, moveReceipts, { allocations: stale, customerId: 2 }, as(CLERK));
		expect(refused.ok).toBe(false);
		expect(await open()).toEqual([0, 20, 3_000]);
		await done(books, moveReceipts, { allocations, customerId: 2 }, CLERK);
		expect([(await state(1)).onAccount, (await state(2)).customerId]).toEqual([10_000, 2]);
		expect(await open()).toEqual([10_000, 5_000, 3_000]);
		await proves(books);
		const now = await Promise.all(
			[1, 2].map(async (id) => {
				const row = await state(id);
				return { actId: row.actId!, receiptVersion: row.version };
			})
		);
		await done(books, moveReceipts, { allocations: now, customerId: null }, CLERK);
		expect([(await state(1)).state, (await state(2)).state]).toEqual(['waiting', 'waiting']);
		await proves(books);
	});
});

describe('small remainders of many accounts', () => {
	beforeEach(async () => {
		await settle(1, 1, 1, 10_000);
		await settle(2, 1, 2, 4_980);
		await settle(3, 2, 3, 2_970);
	});

	it('are found up to a sum, and written off in one run, an act for each account', async () => {
		const found = await lookAtSmallBalances(books.db, { upTo: 30, partPaid: true }, viewer);
		expect(found.rows.map((row) => `${row.code} ${row.number} ${row.open}`)).toEqual([
			'H1 AK-2 20',
			'W2 AK-3 30'
		]);
		expect((await lookAtSmallBalances(books.db, { upTo: 29, partPaid: true }, viewer)).rows).toHaveLength(1);
		const { actId } = await done(
			books,
			writeOffSmallBalances,
			{ items: found.rows, kind: 'small_difference' },
			CLERK
		);
		const actIds = await partsOf(books, actId!);
		expect(actIds).toHaveLength(2);
		expect(await open()).toEqual([0, 0, 0]);
		await proves(books);
		await done(books, undoPosting, { actId: actIds[0]! }, CLERK);
		expect(await open()).toEqual([0, 20, 0]);
		await proves(books);
	});

	it('not beyond the tolerance or the person’s limit, and none of them where one changed', async () => {
		const limits = { tolerance: 25, byRole: { clerk: { bad_debt: 0 }, supervisor: {} }, byPerson: {} };
		await done(books, setLimits, limits, SUPERVISOR);
		const { rows } = await lookAtSmallBalances(books.db, { upTo: 30, partPaid: true }, viewer);
		const codes = async (items: typeof rows, kind: 'small_difference' | 'bad_debt') => {
			const result = await perform(books, writeOffSmallBalances, { items, kind }, as(CLERK));
			return result.ok ? result.value.waits.map((one) => one.kind) : result.problems.map((one) => one.code);
		};
		expect(await codes(rows, 'small_difference')).toEqual(['over-tolerance']);
		expect(await codes(rows, 'bad_debt')).toEqual(['bad_debt']);
		expect(await codes([rows[0]!, { ...rows[1]!, version: 1 }], 'small_difference')).toEqual([
			'item-changed'
		]);
		expect(await open()).toEqual([0, 20, 30]);
		expect(await books.db.$count(difference)).toBe(0);
	});
});

describe('periods and the record', () => {
	it('are locked and opened by a supervisor, with a reason', async () => {
		const codes = async (result: Awaited<ReturnType<typeof perform>>) =>
			result.ok ? [] : result.problems.map((one) => ('message' in one ? one.message : one.code));
		const lock = (through: string, who = SUPERVISOR) =>
			perform(books, lockPeriod, { through: day(through), reason: 'month end' }, as(who));
		const unlock = (from: string, reason: string, who = SUPERVISOR) =>
			perform(books, unlockPeriod, { from: day(from), reason }, as(who));
		expect(await codes(await lock('2026-09-30', CLERK))).toEqual(['not-allowed']);
		expect(await codes(await lock('2026-10-31'))).toEqual([expect.stringContaining('has not been yet')]);
		expect(await codes(await lock('2026-09-30'))).toEqual([]);
		expect(await codes(await lock('2026-08-31'))).toEqual([expect.stringContaining('already')]);
		expect(await codes(await unlock('2026-10-01', 'why'))).toEqual([expect.stringContaining('open already')]);
		expect(await codes(await unlock('2026-09-01', 'late credit note'))).toEqual([]);
		const periods = await lookAtPeriods(books.db, null, viewer);
		expect(periods.locked).toBe('2026-08-31');
		expect(periods.history.map((row) => actSentence(row.said))).toEqual([
			'Opened the books again from 1 Sep 2026: late credit note',
			'Locked the books up to 30 Sep 2026: month end'
		]);
		expect(periods.months[0]).toMatchObject({ first: '2026-10-01', waiting: 3, locked: 'none' });
		await proves(books);
	});

	it('reads the record by person, day, customer and document', async () => {
		await settle(1, 1, 1, 10_000);
		await done(books, lockPeriod, { through: day('2026-09-30') }, SUPERVISOR);
		const none = { person: '', from: '', to: '', customer: '', document: '', before: null };
		const read = async (over: Partial<typeof none>) =>
			(await lookAtRecord(books.db, { ...none, ...over }, viewer)).rows.map((row) => row.kind);
		expect((await read({}))[0]).toBe('lock-period');
		expect(await read({ person: 'Hollis' })).toEqual(['lock-period', 'set-up-firm']);
		expect(await read({ customer: 'hazel' })).toEqual([
			'allocate-receipt',
			'issue-document',
			'issue-document'
		]);
		expect(await read({ document: 'AK-1' })).toEqual(['allocate-receipt', 'issue-document']);
		expect(await read({ from: '2026-10-31' })).toEqual([]);
		expect(await read({ to: '2026-10-30', person: 'Hollis' })).toHaveLength(2);
		const [row] = (await lookAtRecord(books.db, { ...none, document: 'AK-1' }, viewer)).rows;
		expect(row).toMatchObject({ posted: true, undoneBy: null, reason: '', code: 'H1' });
		const [stored] = await books.db.all<{ hash: string }>(sql`select hash from act where id = ${row!.id}`);
		expect(row!.hash).toBe(stored!.hash);
	});
});

describe('what matching knows of a customer', () => {
	it('is forgotten by account and by name, its own name is not; then its payments are nobody’s', async () => {
		const owner = async () => (await answeredPile(books.db)).answers.get(1)!.customerId;
		const forget = (kind: 'account' | 'name', text: string) =>
			perform(books, forgetPayer, { customerId: 1, kind, text }, as(CLERK));
		expect(await owner()).toBe(1);
		const own = await forget('name', 'Hazel Hill Pottery');
		expect(own.ok ? [] : own.problems).toMatchObject([{ code: 'not-found', what: 'other name' }]);
		expect((await forget('account', 'ACCH1')).ok).toBe(true);
		expect(await owner()).toBe(null);
		const twice = await forget('account', 'ACCH1');
		expect(twice.ok ? [] : twice.problems).toMatchObject([{ code: 'not-found', what: 'payer account' }]);
		await proves(books);
	});
});
