import { eq } from 'drizzle-orm';
import { beforeEach, describe, expect, it } from 'vitest';
import { perform } from '../../act/perform';
import { addTask, finishTask } from '../../customers/commands/tasks';
import { itemState, promise, promiseItem } from '../../platform/db/schema';
import { as, CLERK, codesOf, done, proves } from '../../testing';
import { lookAtCalls, lookAtTasks } from '../queries/calls';
import { ChasedBooks, on } from '../testing-chasing';
import { recordCall } from './record-call';

let at: ChasedBooks;
beforeEach(async () => {
	at = await ChasedBooks.make();
});

describe('calls', () => {
	const ask = { number: '01632 960123', said: '', againOn: null, promise: null, dispute: null };
	const record = (over: object) =>
		perform(at.books, recordCall, { customerId: 1, currency: 'GBP', ...ask, ...over } as never, at.call);
	it('are made where the step is a call, in the order of what they may bring', async () => {
		await at.chase();
		at.today = on(13);
		await at.chase();
		expect(await lookAtCalls(at.books.db, null, at.viewer)).toEqual([]);
		at.today = on(14);
		await at.chase();
		at.today = on(21);
		const list = await lookAtCalls(at.books.db, null, at.viewer);
		expect(list.map((row) => [row.code, row.reasons, row.late, row.daysLate])).toEqual([
			['H1', [{ why: 'step', step: 'Call' }], 2_200, 41]
		]);
		expect(list[0]).toMatchObject({ worth: 2_860, age: 1.3, habit: 1 });
		// Nobody answered: they stay on the list; spoken to, the step was taken.
		expect((await record({ outcome: 'no-answer' })).ok).toBe(true);
		expect((await lookAtCalls(at.books.db, null, at.viewer)).length).toBe(1);
		expect((await record({ outcome: 'said', said: 'asks for copies' })).ok).toBe(true);
		expect(await lookAtCalls(at.books.db, null, at.viewer)).toEqual([]);
		expect((await at.steps()).filter(([, step]) => step === 'call').length).toBe(2);
	});
	it('come to a promise, to a day to call again, or to a claim without a payment', async () => {
		expect(
			(await record({ outcome: 'promise', promise: { amount: 500, promisedFor: on(3), items: [] } })).ok
		).toBe(true);
		at.today = on(4);
		expect((await lookAtCalls(at.books.db, null, at.viewer))[0]?.reasons).toEqual([
			{ why: 'broken', amount: 500, day: on(3) }
		]);
		expect((await record({ outcome: 'again', againOn: on(6) })).ok).toBe(true);
		expect(await lookAtCalls(at.books.db, null, at.viewer)).toEqual([]);
		at.today = on(6);
		expect((await lookAtCalls(at.books.db, null, at.viewer))[0]?.reasons).toEqual([
			{ why: 'again', day: on(6) }
		]);
		const id = await at.itemId('AK-1');
		const [before] = await at.books.db.select().from(itemState).where(eq(itemState.itemId, id)).all();
		const dispute = { itemId: id, version: before!.version, amount: 400, reason: 'damaged' };
		expect((await record({ outcome: 'dispute', dispute, said: 'two broken' })).ok).toBe(true);
		const [after] = await at.books.db.select().from(itemState).where(eq(itemState.itemId, id)).all();
		const claims = await at.books.db.select().from(itemState).where(eq(itemState.kind, 'claim')).all();
		expect([after?.open, claims.map((one) => one.open)]).toEqual([600, [400]]);
		await proves(at.books);
	});
	it('keep for which items a promise is, and who gave it', async () => {
		const items = [await at.itemId('AK-2')];
		const promised = { amount: 500, promisedFor: on(3), items };
		expect((await record({ outcome: 'promise', spokeTo: 'Ada Quill', promise: promised })).ok).toBe(true);
		const [made] = await at.books.db.select().from(promise).all();
		expect(made?.saidBy).toBe('Ada Quill');
		expect((await at.books.db.select().from(promiseItem).all()).map((one) => one.itemId)).toEqual(items);
		const [row] = (await at.reminders()).rows;
		expect([row?.amount, row?.step?.details.about]).toEqual([
			1_700,
			[await at.itemId('AK-1'), await at.itemId('AK-3')]
		]);
	});
	it.each([
		['a promise without its amount', { outcome: 'promise' }],
		['a dispute without its item', { outcome: 'dispute' }],
		['no day to call again', { outcome: 'again' }],
		['a day that is over', { outcome: 'again', againOn: on(-1) }]
	])('are refused with %s, and nothing of them is kept', async (_, over) => {
		expect(codesOf(await record(over))).toEqual(['field']);
		expect((await lookAtCalls(at.books.db, null, at.viewer)).flatMap((row) => row.calls)).toEqual([]);
	});
	it('with a dispute of more than is open keep nothing, the call neither', async () => {
		const dispute = { itemId: await at.itemId('AK-1'), version: 1, amount: 400_000, reason: 'other' };
		expect((await record({ outcome: 'dispute', dispute })).ok).toBe(false);
		await proves(at.books);
		expect(await at.books.db.all('select * from phone_call')).toEqual([]);
	});
});

it('tasks stand on the list from their day on, until they are done', async () => {
	await done(
		at.books,
		addTask,
		{ customerId: 1, what: 'send the delivery note', day: on(2) } as never,
		CLERK
	);
	expect(await lookAtTasks(at.books.db, null, at.viewer)).toEqual([]);
	at.today = on(2);
	const [open] = await lookAtTasks(at.books.db, null, at.viewer);
	expect(open).toMatchObject({ code: 'H1', what: 'send the delivery note', day: on(2) });
	await done(at.books, finishTask, { taskId: open!.id }, CLERK);
	expect(await lookAtTasks(at.books.db, null, at.viewer)).toEqual([]);
	expect(codesOf(await perform(at.books, finishTask, { taskId: open!.id }, as(CLERK)))).toEqual([
		'not-found'
	]);
});
