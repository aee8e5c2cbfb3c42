import { asc, eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { z } from 'zod';
import type { Answer } from '../../core/3-matching';
import { minor } from '../../core/money/minor';
import { ACT_KINDS_IN_WORDS, actSentence, reasonsOfRecord } from '../../words';
import { allocateReceipt } from '../allocation/commands/allocate-receipt';
import { changeClaim } from '../claims/commands/change-claim';
import { dropManualReceipts, keepManualReceipts } from '../receipts/commands/manual-receipts';
import { moveReceipts } from '../allocation/commands/move-receipts';
import { postCertain } from '../allocation/commands/post-certain';
import { reallocate } from '../allocation/commands/reallocate';
import { undoActs } from '../allocation/commands/undo-acts';
import { undoPosting } from '../allocation/commands/undo-posting';
import { writeOffSmallBalances } from '../allocation/commands/write-off-small-balances';
import type { Books } from '../platform/db/open';
import { act, claim, itemState, receiptState } from '../platform/db/schema';
import { answeredPile } from '../services/answers/answers';
import { as, bankXml, bringIn, CLERK, credit, done, newDocument, partsOf, proves, codesOf } from '../testing';
import { READER, SUPERVISOR, testBooks, TODAY } from '../testing';
import { defineAct } from './define-act';
import { saidOf } from './said';
import { perform, performedBefore } from './perform';

let books: Books;
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 10_010),
		newDocument('AK-2', 1, 2_000),
		newDocument('AK-3', 2, 700)
	);
	await bringIn(
		books,
		bankXml([credit(10_010, 'AK-1'), credit(2_000, 'AK-2'), credit(700, 'AK-3', { account: 'ACCW2' })])
	);
});
const newest = async () => (await books.db.select().from(act).orderBy(asc(act.id))).at(-1)!;
const countActs = () => books.db.$count(act);
const open = async () =>
	(await books.db.select().from(itemState).orderBy(asc(itemState.itemId))).map((row) => row.open);
const order = (receiptId: number, itemId: number, cash: number) => ({
	...{ receiptId, receiptVersion: 1, customerId: itemId === 3 ? 2 : 1 },
	lines: [{ itemId, version: 1, cash, differences: [] }]
});
const lockOnce = defineAct({
	kind: 'lock-period',
	role: 'supervisor',
	input: z.object({ through: z.string().min(1, 'Give the day.') }),
	run: async (ctx, { through }) => {
		const actId = await ctx.record({ summary: { through, reason: '' } });
		return { actId, through };
	}
});

describe('one envelope', () => {
	it('checks the role before the input, and the input before anything is done', async () => {
		const before = await countActs();
		expect(codesOf(await perform(books, lockOnce, { through: '' }, as(READER)))).toEqual(['not-allowed']);
		expect(await perform(books, lockOnce, { through: '' }, as(SUPERVISOR))).toEqual({
			ok: false,
			problems: [{ code: 'field', field: 'through', message: 'Give the day.' }]
		});
		expect(await countActs()).toBe(before);
	});

	it('an act that neither stands in the record nor says that it did nothing is a bug, and leaves nothing', async () => {
		const forgetful = defineAct({ ...lockOnce, run: () => Promise.resolve(null) });
		await expect(perform(books, forgetful, { through: 'x' }, as(SUPERVISOR))).rejects.toThrow('neither');
		const twice = defineAct({
			...lockOnce,
			run: async (ctx, { through }) => {
				await ctx.record({ summary: { through, reason: '' } });
				return ctx.record({ summary: { through, reason: '' } });
			}
		});
		const before = await countActs();
		await expect(perform(books, twice, { through: 'x' }, as(SUPERVISOR))).rejects.toThrow('recorded before');
		const orphan = defineAct({
			...lockOnce,
			run: (ctx) => ctx.part('lock-period').record({ summary: { through: '', reason: '' } })
		});
		await expect(perform(books, orphan, { through: 'x' }, as(SUPERVISOR))).rejects.toThrow(
			'before it stands'
		);
		expect(await countActs()).toBe(before);
	});

	it('one that did nothing is not in the record', async () => {
		const before = await countActs();
		expect(await perform(books, postCertain, { receipts: [] }, as(CLERK, 'k'))).toEqual({
			ok: true,
			value: { actId: null, posted: 0, left: 0 }
		});
		expect(await countActs()).toBe(before);
	});

	it('every kind has its words, and words of before are still read', () => {
		expect(ACT_KINDS_IN_WORDS.length).toBeGreaterThan(40);
		const old = saidOf({ kind: 'place-receipt', summary: 'Placed 1.00 GBP', format: 1 });
		expect(actSentence({ kind: 'undo-posting', facts: { of: old } })).toBe('Undid: Placed 1.00 GBP');
	});
});

describe('the same key', () => {
	it('gives the same answer again, and does it once', async () => {
		const pile = await answeredPile(books.db);
		const receipts = pile.receipts.map(({ id, version }) => ({ id, version }));
		const first = await perform(books, postCertain, { receipts }, as(CLERK, 'k'));
		expect(first).toMatchObject({ ok: true, value: { posted: 3, left: 0 } });
		const acts = await countActs();
		expect(await perform(books, postCertain, { receipts }, as(CLERK, 'k'))).toEqual(first);
		expect(await countActs()).toBe(acts);
	});

	it('with something else in it, or from somebody else, is refused with who and when', async () => {
		await perform(books, allocateReceipt, order(1, 1, 10_010), as(CLERK, 'k'));
		const other = await perform(books, allocateReceipt, order(1, 1, 9_000), as(CLERK, 'k'));
		expect(other).toMatchObject({ ok: false, problems: [{ code: 'key-used', who: 'Wren' }] });
		const hers = await perform(books, allocateReceipt, order(1, 1, 10_010), as(SUPERVISOR, 'k'));
		expect(codesOf(hers)).toEqual(['key-used']);
		expect(codesOf(await perform(books, undoPosting, { actId: 1 }, as(CLERK, 'k')))).toEqual(['key-used']);
	});

	it('is known by what the person sent, where the server makes more of it', async () => {
		const sent = (n: number) => ({ ...as(CLERK, 'k'), sent: { chosen: n } });
		expect(await performedBefore(books, allocateReceipt, sent(1))).toBeNull();
		const first = await perform(books, allocateReceipt, order(1, 1, 10_010), sent(1));
		expect(first.ok).toBe(true);
		expect(await performedBefore(books, allocateReceipt, sent(1))).toEqual(first);
		expect(codesOf((await performedBefore(books, allocateReceipt, sent(2)))!)).toEqual(['key-used']);
		expect(await perform(books, allocateReceipt, order(1, 1, 9_000), sent(1))).toEqual(first);
	});

	it('is free again where the act was refused', async () => {
		const wrong = await perform(books, allocateReceipt, order(1, 1, 10_011), as(CLERK, 'k'));
		expect(wrong.ok).toBe(false);
		expect((await perform(books, allocateReceipt, order(1, 1, 10_010), as(CLERK, 'k'))).ok).toBe(true);
	});

	it('a change of a claim sent twice is one change', async () => {
		const line = {
			...{ itemId: 1, version: 1, cash: 9_000 },
			differences: [{ kind: 'claim' as const, amount: 1_000 }],
			claim: { reason: 'damaged' as const, owner: 'Wren', deadline: '2026-11-10' }
		};
		await done(books, allocateReceipt, { ...order(1, 1, 0), lines: [line] }, CLERK);
		const { documentId: claimId } = (await books.db.select().from(claim).get())!;
		const change = { claimId, reason: 'missing' as const, owner: 'Imre', deadline: '2026-12-01' };
		const first = await perform(books, changeClaim, change, as(CLERK, 'k'));
		expect(await perform(books, changeClaim, change, as(CLERK, 'k'))).toEqual(first);
		expect(first.ok).toBe(true);
	});
});

describe('a decision and its parts', () => {
	it('is undone as one; a part that was undone by itself is passed over', async () => {
		const pile = await answeredPile(books.db);
		const receipts = pile.receipts.map(({ id, version }) => ({ id, version }));
		const { actId } = await done(books, postCertain, { receipts }, CLERK);
		expect(await open()).toEqual([0, 0, 0]);
		const parts = await partsOf(books, actId!);
		await done(books, undoPosting, { actId: parts[1]! }, CLERK);
		await done(books, undoActs, { actIds: [actId!] }, CLERK);
		expect(await open()).toEqual([10_010, 2_000, 700]);
		expect(codesOf(await perform(books, undoActs, { actIds: [actId!] }, as(CLERK)))).toEqual([
			'already-undone'
		]);
		await proves(books);
	});

	it('several are undone together or not at all', async () => {
		const a = await done(books, allocateReceipt, order(1, 1, 10_010), CLERK);
		const b = await done(books, allocateReceipt, order(2, 2, 2_000), CLERK);
		await done(books, undoPosting, { actId: b.actId! }, CLERK);
		const before = await countActs();
		const both = { actIds: [a.actId!, b.actId!] };
		expect(codesOf(await perform(books, undoActs, both, as(CLERK)))).toEqual(['already-undone']);
		expect([await open(), await countActs()]).toEqual([[0, 2_000, 700], before]);
		await done(books, undoActs, { actIds: [a.actId!] }, CLERK);
		expect(await open()).toEqual([10_010, 2_000, 700]);
	});

	it('putting right, undone as one, gives the first allocation back', async () => {
		const first = await done(books, allocateReceipt, order(2, 2, 2_000), CLERK);
		const again = { ...order(2, 1, 2_000), receiptVersion: 2 };
		const { actId } = await done(books, reallocate, { actId: first.actId!, order: again }, CLERK);
		expect(await open()).toEqual([8_010, 2_000, 700]);
		await done(books, undoActs, { actIds: [actId] }, CLERK);
		expect(await open()).toEqual([10_010, 0, 700]);
		await proves(books);
	});

	it('moving several, and writing off, are undone as one', async () => {
		const first = await done(books, allocateReceipt, order(2, 2, 1_990), CLERK);
		const state = await books.db.select().from(receiptState).where(eq(receiptState.receiptId, 2)).get();
		const allocations = [{ actId: first.actId!, receiptVersion: state!.version }];
		const moved = await done(books, moveReceipts, { allocations, customerId: 2 }, CLERK);
		expect(await open()).toEqual([10_010, 2_000, 700]);
		await done(books, undoActs, { actIds: [moved.actId] }, CLERK);
		expect(await open()).toEqual([10_010, 10, 700]);
		const [, item] = await books.db.select().from(itemState).orderBy(asc(itemState.itemId));
		const items = [{ itemId: 2, version: item!.version }];
		const off = await done(books, writeOffSmallBalances, { items, kind: 'small_difference' }, CLERK);
		expect(await open()).toEqual([10_010, 0, 700]);
		await done(books, undoActs, { actIds: [off.actId!] }, CLERK);
		expect(await open()).toEqual([10_010, 10, 700]);
		await proves(books);
	});

	it('what cannot be undone is refused with what it is', async () => {
		const [document] = await books.db.select().from(act).where(eq(act.kind, 'issue-document'));
		expect(codesOf(await perform(books, undoActs, { actIds: [document!.id] }, as(CLERK)))).toEqual([
			'cannot-undo'
		]);
	});
});

describe('what the record keeps', () => {
	const row = {
		...{ id: null, customerId: 1, date: '2026-10-29', method: 'cheque', reference: '1' },
		...{ amount: 500, currency: 'GBP', pays: 'oldest' }
	};

	it('typing, changing and deleting a manual receipt, with what it was; nothing changed is no act', async () => {
		const { ids } = await done(books, keepManualReceipts, { rows: [row] }, CLERK);
		expect(actSentence(saidOf(await newest()))).toBe('Typed 1 manual receipt: £5.00');
		const changed = { ...row, id: ids[0]!, amount: 600 };
		await done(books, keepManualReceipts, { rows: [changed] }, CLERK);
		const kept = await newest();
		expect(actSentence(saidOf(kept))).toBe('Changed 1 manual receipt: £6.00');
		expect((JSON.parse(kept.facts) as { changes: { before: { amount: number } }[] }).changes).toMatchObject([
			{ before: { amount: 500 }, after: { amount: 600 } }
		]);
		const acts = await countActs();
		await done(books, keepManualReceipts, { rows: [changed] }, CLERK);
		expect(await countActs()).toBe(acts);
		await done(books, dropManualReceipts, { ids }, CLERK);
		expect((await newest()).facts).toContain('"amount":600');
		const gone = await perform(books, keepManualReceipts, { rows: [changed] }, as(CLERK));
		expect(codesOf(gone)).toEqual(['draft-gone']);
	});

	const answer: Answer = {
		...{ receiptId: 1, band: 'likely', customerId: 1, credits: [], onAccount: minor(0), others: [] },
		...{ otherAnswers: 0, recognised: [], booked: TODAY },
		lines: [{ itemId: 1, cash: minor(10_010), differences: [] }],
		reasons: [{ code: 'account-known', account: 'ACCH1', customer: 'Hazel Hill Pottery' }]
	};
	it.each([
		['accepted, with the server’s own reasons', 10_010, ['Account ending CCH1 pays for Hazel Hill Pottery.']],
		['changed, and says so', 9_000, ['Allocated otherwise than was proposed.']]
	])('an answer that was %s', async (_, cash, want) => {
		const given = { ...order(1, 1, cash), reasons: ['believe me'] };
		await perform(books, allocateReceipt, given, { ...as(CLERK), answerGiven: () => answer });
		const { facts } = await newest();
		expect(reasonsOfRecord(facts)).toEqual(want);
		expect(facts).not.toContain('believe me');
	});

	it('sentences of earlier versions', () => {
		expect(reasonsOfRecord('{"reasons":["It names AK-1."]}')).toEqual(['It names AK-1.']);
		expect(reasonsOfRecord('{}')).toEqual([]);
	});
});
