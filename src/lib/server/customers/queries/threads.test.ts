import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../../core/day/arithmetic';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { Books } from '../../platform/db/open';
import { bankXml, bringIn, CLERK, credit, done, newDocument, READER, testBooks, TODAY } from '../../testing';
import { lookAtThreads, type ThreadQuery } from './threads';

const viewer = { who: READER, today: TODAY };
let books: Books;
let second: number;

/** AK-1 and AK-2 are paid by one payment of 30 October, AK-3 by a credit note, AK-4 was paid in August and lies open again. */
beforeEach(async () => {
	books = await testBooks(
		newDocument('AK-1', 1, 1_000),
		newDocument('AK-2', 1, 2_000),
		newDocument('AK-3', 1, 700),
		newDocument('AC-1', 1, 700, { kind: 'credit_note' }),
		newDocument('AK-4', 1, 400),
		newDocument('AK-5', 2, 900)
	);
	await bringIn(books, bankXml([credit(3_000, 'both'), credit(400, 'AK-4', { booked: '2026-08-03' })]));
	const line = (itemId: number, cash: number) => ({ itemId, version: 1, cash, differences: [] });
	const place = (receiptId: number | null, ...lines: ReturnType<typeof line>[]) =>
		done(books, allocateReceipt, { receiptId, receiptVersion: receiptId && 1, customerId: 1, lines }, CLERK);
	await place(1, line(1, 1_000), line(2, 2_000));
	await place(null, line(3, 700), line(4, -700));
	second = (await place(2, line(5, 400))).actId!;
});
afterEach(() => books.close());

const look = async (query: Partial<ThreadQuery> = {}) => {
	const found = await lookAtThreads(books.db, { code: 'H1', from: null, ghosts: false, ...query }, viewer);
	const label = new Map(found!.items.map((one) => [one.id, one.label]));
	return {
		...found!,
		said: found!.links.map(
			(one) => `${one.source} ${label.get(one.itemId)} ${one.amount}${one.off ? ' off' : ''}`
		)
	};
};

describe('threads of an account', () => {
	it('money and credits on items, within a window; the rest summed up', async () => {
		const { said, earlier, links } = await look();
		expect(said).toEqual(['r1 AK-1 1000', 'r1 AK-2 2000', 'i4 AK-3 700']);
		expect(earlier).toEqual({ count: 1, sum: 400 });
		expect(links[0]).toMatchObject({ by: 'Wren', reasons: [] });
		expect((await look({ from: addDays(TODAY, -365) })).said).toContain('r2 AK-4 400');
	});
	it('what was taken off is shown as such where it is asked for, with who did it', async () => {
		await done(books, undoPosting, { actId: second }, CLERK);
		const from = addDays(TODAY, -365);
		expect((await look({ from })).said).not.toContain('r2 AK-4 400');
		const { said, links } = await look({ from, ghosts: true });
		expect(said).toContain('r2 AK-4 400 off');
		expect(links.find((one) => one.off)!.off).toMatchObject({ by: 'Wren' });
	});
	it('of one item: its money, and what else that money paid', async () => {
		const found = await look({ item: 2 });
		expect(found.said).toEqual(['r1 AK-1 1000', 'r1 AK-2 2000']);
		expect([found.alone, found.items.length, found.sources.length]).toEqual([true, 2, 1]);
		expect((await look({ item: 4 })).said).toEqual(['i4 AK-3 700']);
		expect((await look({ item: 6 })).said).toEqual([]);
	});
	it('of one receipt, of whatever time', async () => {
		expect((await look({ money: 2 })).said).toEqual(['r2 AK-4 400']);
	});
	it('of nobody there are none', async () => {
		expect(await lookAtThreads(books.db, { code: 'X', from: null, ghosts: false }, viewer)).toBeNull();
	});
});
