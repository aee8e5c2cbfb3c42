import { beforeEach, describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import type { Books } from '../../platform/db/open';
import { sendLetters } from '../../letters/commands/send-letters';
import { prepareLetters } from '../../services/prepare-letters';
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
	payment,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { addNote, takeOffNote } from '../commands/notes';
import { actSentence } from '../../../words';
import { lookAtAccount } from './account';
import { lookAtTimeline } from './timeline';

let books: Books;
beforeEach(async () => (books = await testBooks()));
const viewer = { who: READER, today: TODAY };
const timeline = async (code = 'H1', before: number | null = null) =>
	(await lookAtTimeline(books.db, { code, before }, viewer))!;
const said = async (code?: string) => (await timeline(code)).rows.map((row) => actSentence(row.said));
const note = (text: string, customerId = 1) => done(books, addNote, { customerId, text }, CLERK);

describe('the timeline of a customer', () => {
	it('is nothing where there is no such account', async () => {
		expect(await lookAtTimeline(books.db, { code: 'none', before: null }, viewer)).toBeNull();
	});
	it('has what was posted and noted of them and of nobody else, newest first', async () => {
		await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
		await bringIn(books, bankXml([credit(1000, 'AK-1', { name: 'HAZEL HILL' })]));
		await done(books, allocateReceipt, payment(1, 1, [1, 1000]), CLERK);
		await note('Rang, all is paid');
		await note('Moves in May', 2);
		const rows = await said();
		expect(rows[0]).toContain('Rang, all is paid');
		expect(rows[1]).toContain('£10.00');
		expect(rows.join()).not.toContain('Moves in May');
		expect((await timeline()).rows.map(({ isNote, posted }) => [isNote, posted]).slice(0, 2)).toEqual([
			[true, false],
			[false, true]
		]);
	});
	it('has the letters of a run by themselves, each on its own account', async () => {
		await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
		const chosen = [1, 2].map((customerId) => ({ customerId, currency: 'GBP' }));
		const now = '2026-10-30T10:00:00.000Z';
		const prepared = await prepareLetters(
			books,
			{ kind: 'statement', accounts: chosen },
			{ today: TODAY },
			now
		);
		if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
		await done(books, sendLetters, { kind: 'statement', letters: prepared.value }, CLERK);
		expect((await timeline()).rows[0]!.letters).toMatchObject([
			{ kind: 'statement', amount: 1000, currency: 'GBP', recipient: 'h1@hazel.example', state: 'waiting' }
		]);
	});
	it('goes on page by page, and misses nothing', async () => {
		for (let n = 0; n < 65; n++) await note(`note ${n}`);
		const first = await timeline();
		const second = await timeline('H1', first.next);
		const texts = [...first.rows, ...second.rows].flatMap(({ said: of }) =>
			'kind' in of && of.kind === 'add-note' ? [of.facts.text] : []
		);
		expect(texts).toEqual(Array.from({ length: 65 }, (_, n) => `note ${64 - n}`));
		expect(second.next).toBeNull();
	});
});

describe('a note', () => {
	it('is taken off once, and both stand in the record', async () => {
		const { actId } = await note('Rang');
		await done(books, takeOffNote, { actId: String(actId) }, CLERK);
		expect((await timeline()).rows.map(({ undoneBy }) => undoneBy !== null)).toEqual([false, true]);
		const again = await perform(books, takeOffNote, { actId: String(actId) }, as(CLERK));
		expect(codesOf(again)).toEqual(['already-undone']);
	});
	it('is shown on the account, the newest three that stand', async () => {
		const ids = [];
		for (const text of ['a', 'b', 'c', 'd', 'e']) ids.push((await note(text)).actId);
		await done(books, takeOffNote, { actId: String(ids[3]) }, CLERK);
		const account = await lookAtAccount(books.db, 'H1', viewer);
		expect(account!.notes.map(({ text }) => text)).toEqual(['e', 'c', 'b']);
	});
	it.each([
		['of nothing', { customerId: 1, text: '  ' }],
		['of nobody', { customerId: 999, text: 'Rang' }],
		['longer than anybody reads', { customerId: 1, text: 'x'.repeat(1_001) }]
	])('%s is refused', async (_, given) => {
		expect((await perform(books, addNote, given, as(CLERK))).ok).toBe(false);
		expect((await timeline()).rows.filter(({ isNote }) => isNote)).toEqual([]);
	});
	it('is not a reader’s to write, and nothing else is taken off as one', async () => {
		expect((await perform(books, addNote, { customerId: 1, text: 'Rang' }, as(READER))).ok).toBe(false);
		const issued = await invoices(books, newDocument('AK-1', 1, 1000));
		expect(issued).toBeDefined();
		const other = await perform(books, takeOffNote, { actId: '1' }, as(CLERK));
		expect(codesOf(other)).toEqual(['not-found']);
	});
});
