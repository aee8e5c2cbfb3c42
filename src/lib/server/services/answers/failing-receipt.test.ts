import { expect, it, vi } from 'vitest';
import type { ReceiptFacts } from '../../../core/model/records';
import {
	as,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	testBooks,
	TODAY
} from '../../testing';
import { postCertain } from '../../allocation/commands/post-certain';
import { perform } from '../../act/perform';
import { lookAtDesk } from '../../allocation/queries/desk';
import { whoseMoneyWaits } from './whose-money-waits';
import { lookAtRun } from '../../letters/queries/letters';
import { lookAtPile } from '../../receipts/queries/pile';
import { WHOLE_PILE } from './order-pile';
import { logTrace } from '../../platform/log';
import { lookAtToday } from '../../reports/queries/today';
import { sumPile } from './sum-pile';

/** The matcher as it is, but for a bug on receipts whose words say so. */
vi.mock('../../../core/3-matching/answering/answer-receipts', async (original) => {
	const real = await original<typeof import('../../../core/3-matching/answering/answer-receipts')>();
	return {
		...real,
		answerReceipts: (receipts: readonly ReceiptFacts[], books: never) => {
			if (receipts.some((one) => one.text.includes('BOOM'))) throw new Error('a bug on this receipt');
			return real.answerReceipts(receipts, books);
		}
	};
});

vi.mock('../../platform/log', async (original) => ({
	...(await original<typeof import('../../platform/log')>()),
	logTrace: vi.fn()
}));

it('one receipt that makes the matcher fail takes no page and no other receipt with it, and is logged', async () => {
	const books = await testBooks();
	const viewer = { who: CLERK, today: TODAY };
	await invoices(books, newDocument('AK-1', 1, 10_017), newDocument('AK-2', 1, 2_043));
	await bringIn(books, bankXml([credit(10_017, 'AK-1'), credit(500, 'BOOM')]));
	const pile = await lookAtPile(books.db, { most: 100, filter: WHOLE_PILE }, viewer);
	expect(pile.groups.flatMap((group) => group.rows).map((row) => [row.text, row.band, row.numbers])).toEqual([
		['AK-1', 'certain', ['AK-1']],
		['BOOM', 'none', []]
	]);
	expect((await lookAtToday(books.db, await sumPile(books.db), viewer)).waiting).toBeDefined();
	const waiting = await whoseMoneyWaits(books.db);
	const run = { kind: 'statement' as const, page: 0, corrections: false, waiting };
	expect((await lookAtRun(books.db, run, viewer)).rows.length).toBeGreaterThan(0);
	const desk = await lookAtDesk(books.db, { receiptId: 2, customerId: null, also: [] }, viewer);
	expect(desk!.answer!.reasons).toEqual([{ code: 'not-yet' }]);
	expect(vi.mocked(logTrace).mock.calls).toContainEqual([
		'answering a receipt',
		expect.objectContaining({ error: 'Error' }),
		{ id: 2 }
	]);
	const receipts = pile.groups.flatMap((group) => group.rows).map(({ id, version }) => ({ id, version }));
	expect(await perform(books, postCertain, { receipts }, as(CLERK))).toMatchObject({
		value: { posted: 1, left: 1 }
	});
	await done(books, postCertain, { receipts: [] }, CLERK);
});
