import { beforeEach, describe, expect, it } from 'vitest';

import { sendLetters } from '../../letters/commands/send-letters';

import { perform } from '../../act/perform';
import { reinstate } from '../../allocation/commands/reinstate';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { Books } from '../../platform/db/open';

import { prepareLetters } from '../prepare-letters';

import { lookAtRun } from '../../letters/queries/letters';
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

const viewer = { who: CLERK, today: TODAY };
const now = () => '2026-10-30T10:00:00.000Z';
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
});
const chosen = [
	{ customerId: 1, currency: 'GBP' },
	{ customerId: 2, currency: 'GBP' }
];
async function send(kind: 'statement' | 'reminder') {
	const prepared = await prepareLetters(books, { kind, accounts: chosen }, viewer, now());
	if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
	return perform(books, sendLetters, { kind, letters: prepared.value }, as(CLERK));
}

describe('a letter that is not so any more', () => {
	const letters = async (ids = chosen) => {
		const prepared = await prepareLetters(books, { kind: 'statement', accounts: ids }, viewer, now());
		if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
		return prepared.value.map((one) => ({ ...one, corrects: one.letter.corrects, title: one.subject }));
	};
	const told = async () =>
		(
			await lookAtRun(books.db, { kind: 'statement', page: 0, corrections: true, waiting: [] }, viewer)
		).rows.map((row) => `${row.code} ${row.corrects}`);
	const place = (customerId: number, itemId: number, cash: number, version = 1) =>
		done(
			books,
			allocateReceipt,
			{
				...{ receiptId: 1, receiptVersion: version, customerId },
				lines: [{ itemId, version: 1, cash, differences: [] }]
			},
			CLERK
		);
	beforeEach(async () => {
		await bringIn(books, bankXml([credit(400, 'AK-1')]));
	});

	it('is found once the payment it showed is taken off, and a corrected one takes its place', async () => {
		const { actId } = await place(1, 1, 400);
		await send('statement');
		expect(await told()).toEqual([]);
		await done(books, undoPosting, { actId: actId! }, CLERK);
		expect(await told()).toEqual(['H1 2026-10-30']);
		const [mine, other] = await letters();
		expect(mine!.corrects).toEqual({ kind: 'statement', date: '2026-10-30' });
		expect(mine!.title).toContain('Corrected statement');
		expect(mine!.body).toContain('this statement replaces it');
		expect(other!.corrects).toBeUndefined();
		const one = await prepareLetters(
			books,
			{ kind: 'statement', accounts: chosen.slice(0, 1) },
			viewer,
			now()
		);
		await done(books, sendLetters, { kind: 'statement', letters: one.ok ? one.value : [] }, CLERK);
		expect(await told()).toEqual([]);
		expect((await letters())[0]!.corrects).toBeUndefined();
	});

	it('is so again where the undoing was taken back', async () => {
		const { actId } = await place(1, 1, 400);
		await send('reminder');
		const undone = await done(books, undoPosting, { actId: actId! }, CLERK);
		expect(await told()).toEqual(['H1 2026-10-30']);
		await done(books, reinstate, { actId: undone.actId }, CLERK);
		expect(await told()).toEqual([]);
	});

	it('is not one that was sent before the payment was allocated', async () => {
		await send('statement');
		const { actId } = await place(1, 1, 400);
		await done(books, undoPosting, { actId: actId! }, CLERK);
		expect(await told()).toEqual([]);
	});

	it('tells the account that had the money, not the one that gets it', async () => {
		const { actId } = await place(1, 1, 400);
		await send('statement');
		await done(books, undoPosting, { actId: actId! }, CLERK);
		await place(2, 2, 400, 3);
		expect(await told()).toEqual(['H1 2026-10-30']);
	});

	it('also where the money only lay on account, and lies on another account now', async () => {
		const onAccount = (customerId: number, receiptVersion: number) =>
			done(books, allocateReceipt, { receiptId: 1, receiptVersion, customerId, lines: [] }, CLERK);
		const { actId } = await onAccount(1, 1);
		await send('statement');
		await done(books, undoPosting, { actId: actId! }, CLERK);
		await onAccount(2, 3);
		expect(await told()).toEqual(['H1 2026-10-30']);
	});
});
