import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { lessonsOf } from '../../../core/3-matching';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import type { Books } from '../../platform/db/open';
import { allocationLesson } from '../../platform/db/schema';
import { lookAtAccount } from '../../customers/queries/account';
import { habitsOf } from '../store/lessons';
import {
	as,
	asAnswered,
	bankXml,
	bringIn,
	CLERK,
	credit,
	done,
	invoices,
	newDocument,
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { forgetHabit } from './forget-habit';
import { perform } from '../../act/perform';
import { postCertain } from '../../allocation/commands/post-certain';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';

let books: Books;
/** Eight invoices of one account, a week apart, and a payment for each of the first seven by its number. */
beforeEach(async () => {
	books = await testBooks();
	const documents = Array.from({ length: 8 }, (_, i) =>
		newDocument(`AK-4010${i}`, 1, 10_007 + i * 1_313, {
			instalments: [
				{ due: day(`2026-0${i < 4 ? 8 : 9}-${10 + (i % 4) * 5}`), amount: minor(10_007 + i * 1_313) }
			]
		})
	);
	await invoices(books, ...documents);
	await bringIn(
		books,
		bankXml(
			Array.from({ length: 7 }, (_, i) =>
				credit(10_007 + i * 1_313, `inv AK-4010${i}`, { reference: `P${i}` })
			)
		)
	);
});
afterEach(async () => {
	await proves(books);
	await books.close();
});

const place = async (receiptId: number) => {
	const order = { ...(await asAnswered(books, receiptId)), customerId: 1 };
	return (await done(books, allocateReceipt, order, CLERK)).actId!;
};
const habits = async () => (await habitsOf(books.db, [1])).get(1);
const lessons = async () => {
	const known = await habits();
	return known ? lessonsOf(known) : [];
};

describe('habits', () => {
	it('are learned from postings, while those stand', async () => {
		expect(await lessons()).toEqual([]);
		const acts: number[] = [];
		for (const id of [1, 2, 3]) acts.push(await place(id));
		expect((await habits())!.oldestFirst).toEqual({ times: 3, not: 0 });
		expect(await lessons()).toEqual(['oldestFirst']);
		await done(books, undoPosting, { actId: acts[2]! }, CLERK);
		expect((await habits())!.oldestFirst).toEqual({ times: 2, not: 0 });
		expect(await books.db.select().from(allocationLesson)).toHaveLength(3);
	});
	it('a newer one that is paid before an older one ends the habit', async () => {
		for (const id of [1, 2, 3, 5]) await place(id);
		expect((await habits())!.oldestFirst).toEqual({ times: 3, not: 1 });
		expect(await lessons()).toEqual([]);
	});
	it('what is posted as certain teaches as well, for the customer named it', async () => {
		await done(books, postCertain, { receipts: [1, 2, 3, 4].map((id) => ({ id, version: 1 })) }, CLERK);
		expect((await habits())!.oldestFirst.times).toBe(4);
	});
	it('can be seen on the account and forgotten; what comes after may teach it again', async () => {
		for (const id of [1, 2, 3]) await place(id);
		const seen = await lookAtAccount(books.db, 'H1', { who: CLERK, today: TODAY });
		expect(seen!.lessons).toEqual(['oldestFirst']);
		await done(books, forgetHabit, { customerId: 1, lesson: 'oldestFirst' }, CLERK);
		expect(await lessons()).toEqual([]);
		expect(
			await perform(books, forgetHabit, { customerId: 1, lesson: 'oldestFirst' }, as(CLERK))
		).toMatchObject({
			ok: false,
			problems: [{ code: 'not-found', what: 'habit' }]
		});
		for (const id of [4, 5, 6]) await place(id);
		expect(await lessons()).toEqual(['oldestFirst']);
	});
	it('are not for a reader to forget', async () => {
		for (const id of [1, 2, 3]) await place(id);
		const refused = await perform(books, forgetHabit, { customerId: 1, lesson: 'oldestFirst' }, as(READER));
		expect(refused).toMatchObject({ ok: false, problems: [{ code: 'not-allowed' }] });
		expect(await lessons()).toEqual(['oldestFirst']);
	});
});
