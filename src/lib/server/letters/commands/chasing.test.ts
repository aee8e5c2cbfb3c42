import { eq } from 'drizzle-orm';
import { simpleParser } from 'mailparser';
import { beforeEach, describe, expect, it } from 'vitest';
import { addDays } from '../../../core/day/arithmetic';
import { day, type Day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { USUAL_POLICY } from '../../../words';
import { perform } from '../../act/perform';
import { recordPromise } from '../../customers/commands/promises';
import { addTask, finishTask } from '../../customers/commands/tasks';
import type { Books } from '../../platform/db/open';
import {
	chasingStep,
	customer,
	delivery,
	itemState,
	letter,
	message,
	runLetter
} from '../../platform/db/schema';
import { openLetterWriter } from '../../services/letter-writer/letter-writer';
import {
	as,
	CLERK,
	codesOf,
	done,
	invoices,
	newDocument,
	proves,
	SUPERVISOR,
	testBooks,
	TODAY
} from '../../testing';
import { lookAtCalls, lookAtTasks } from '../queries/calls';
import { lookAtChosen, lookAtRun } from '../queries/letters';
import { messageText } from '../store/kept-letters';
import { dropPolicy, keepPolicy } from './keep-policy';
import { recordCall } from './record-call';
import { startRun } from './start-run';

let books: Books;
let today: Day;
const viewer = () => ({ who: CLERK, today });
const now = () => '2026-10-30T10:00:00.000Z';
const on = (days: number) => addDays(TODAY, days);
const document = (number: string, customerId: number, total: number, dueIn: number) =>
	newDocument(number, customerId, total, {
		issued: day('2026-08-01'),
		instalments: [{ due: on(dueIn), amount: minor(total) }]
	});
beforeEach(async () => {
	books = await testBooks();
	today = TODAY;
	await invoices(
		books,
		document('AK-1', 1, 1_000, -20),
		document('AK-2', 1, 500, -8),
		document('AK-3', 1, 700, -2),
		document('AK-4', 2, 2_000, -3)
	);
});
const reminders = (over: object = {}) =>
	lookAtRun(books.db, { kind: 'reminder', page: 0, waiting: [], ...over }, viewer());
/** Sends reminders to all that reach a step, as somebody would who looked just now. */
async function chase(over: object = {}) {
	const run = await reminders();
	const chosen = run.ready.map((one) => ({ ...one, ...over }));
	const rows = await lookAtChosen(books.db, { kind: 'reminder', waiting: [], chosen }, viewer());
	const call = { ...as(CLERK), today };
	const asked = {
		kind: 'reminder' as const,
		statement: null,
		note: '',
		copyTo: null,
		chosen,
		rows,
		seen: run.seen
	};
	const started = await perform(books, startRun, asked, call);
	await write();
	return started;
}
async function write() {
	const writer = openLetterWriter(books, { today: () => Promise.resolve(today), now, sent: () => {} });
	writer.wake();
	await writer.idle();
	await writer.close();
}
const steps = async () =>
	(await books.db.select().from(chasingStep).all()).map((one) => [one.itemId, one.step]);
async function itemId(number: string): Promise<number> {
	const [row] = await books.db.all<{ id: number }>(
		`select i.id from item i join document d on d.id = i.document_id where d.number = '${number}'`
	);
	return row!.id;
}

describe('a run of reminders', () => {
	it('says who reaches which step today, with which items, and leaves out who reaches none', async () => {
		const run = await reminders();
		expect(run.rows.map((row) => [row.code, row.step?.name, row.step?.items, row.amount, row.held])).toEqual([
			['H1', 'First reminder', 2, 2_200, null]
		]);
		const all = await reminders({ filter: { everyone: true } });
		expect(all.rows.map((row) => [row.code, row.held, row.nextStep])).toEqual([
			['H1', null, null],
			['W2', 'no-step', { name: 'First reminder', day: on(4) }]
		]);
	});
	it('takes each step once, keeps its distance, and shows all that is due', async () => {
		await chase();
		expect(await steps()).toEqual([
			[await itemId('AK-1'), 'first'],
			[await itemId('AK-2'), 'first']
		]);
		const [sent] = await books.db.select().from(letter).all();
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 2_200,
			rows: [{ number: 'AK-1' }, { number: 'AK-2' }, { number: 'AK-3' }],
			wording: { key: 'reminder', version: 0 }
		});
		expect((await reminders()).rows).toEqual([]);
		today = on(13);
		expect((await reminders()).rows.map((row) => [row.code, row.step?.name, row.step?.items])).toEqual([
			['H1', 'First reminder', 1],
			['W2', 'First reminder', 1]
		]);
		today = on(14);
		expect((await reminders()).rows.map((row) => [row.code, row.step?.name, row.step?.items])).toEqual([
			['H1', 'Second reminder', 3],
			['W2', 'First reminder', 1]
		]);
		await proves(books);
	});
	it('counts no step of a letter that was withdrawn before it went', async () => {
		await chase();
		await books.write((tx) => tx.update(delivery).set({ state: 'withdrawn' }));
		expect((await reminders()).rows.map((row) => row.step?.name)).toEqual(['First reminder']);
	});
	it('holds a letter whose step another took while it was written', async () => {
		const run = await reminders();
		const chosen = [...run.ready];
		const rows = await lookAtChosen(books.db, { kind: 'reminder', waiting: [], chosen }, viewer());
		const asked = {
			kind: 'reminder' as const,
			statement: null,
			note: '',
			copyTo: null,
			chosen,
			rows,
			seen: run.seen
		};
		await done(books, startRun, asked, CLERK);
		const first = await itemId('AK-1');
		await books.write(async (tx) => {
			const values = { actId: 1, itemId: first, step: 'first', name: 'First reminder' };
			await tx.insert(chasingStep).values({ ...values, effect: 'nothing', day: today, way: 'phone' });
		});
		await write();
		const [held] = await books.db.select().from(runLetter).all();
		expect([held?.state, held?.why]).toEqual(['held', expect.stringContaining('step-taken')]);
		expect(await books.db.select().from(letter).all()).toEqual([]);
	});
	it('waits for what was promised, and asks for the rest; broken, it is asked for again', async () => {
		const items = [await itemId('AK-1')];
		await done(
			books,
			recordPromise,
			{ customerId: 1, amount: 1_000, promisedFor: on(5), items } as never,
			CLERK
		);
		const [row] = (await reminders()).rows;
		expect([row?.amount, row?.step?.items, row?.step?.details.about?.length]).toEqual([1_200, 1, 2]);
		await chase();
		const [sent] = await books.db.select().from(letter).all();
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 1_200,
			rows: [{ number: 'AK-2' }, { number: 'AK-3' }]
		});
		today = on(6);
		expect((await reminders()).rows.map((one) => [one.code, one.step?.items])).toEqual([
			['H1', 2],
			['W2', 1]
		]);
	});
	it('holds an account all of which is promised, and one that owes too little for the step', async () => {
		await done(books, recordPromise, { customerId: 1, amount: 5_000, promisedFor: on(5) } as never, CLERK);
		expect((await reminders()).rows.map((row) => row.held)).toEqual(['promised']);
		const [first, ...others] = USUAL_POLICY.steps;
		const policy = { ...USUAL_POLICY, steps: [{ ...first!, least: minor(2_001) }, ...others] };
		await done(books, keepPolicy, { policy } as never, SUPERVISOR);
		today = on(6);
		expect((await reminders()).rows.map((row) => [row.code, row.held])).toEqual([
			['H1', null],
			['W2', 'too-small']
		]);
	});
	it('sends copies of the invoices with a step that says so', async () => {
		const [first, ...others] = USUAL_POLICY.steps;
		const policy = {
			...USUAL_POLICY,
			steps: [{ ...first!, attach: true, copies: ['rep@ashlock-kiln.example'] }, ...others]
		};
		await done(books, keepPolicy, { policy } as never, SUPERVISOR);
		await chase();
		const [kept] = await books.db.select().from(message).all();
		const read = await simpleParser(await messageText(books, kept!));
		expect(read.attachments.map((one) => one.filename)).toEqual([
			expect.stringContaining('reminder-H1'),
			...['AK-1.pdf', 'AK-2.pdf', 'AK-3.pdf']
		]);
		for (const { content } of read.attachments) expect(content.subarray(0, 5).toString()).toBe('%PDF-');
		expect([read.cc].flat()[0]?.text).toContain('rep@ashlock-kiln.example');
	});
	it('tells of what falls due soon, where a step is before that', async () => {
		const [first] = USUAL_POLICY.steps;
		const before = { ...first!, id: 'new', name: 'Soon due', days: -5, wording: 'before-due' };
		await done(
			books,
			keepPolicy,
			{ policy: { ...USUAL_POLICY, steps: [before, ...USUAL_POLICY.steps] } } as never,
			SUPERVISOR
		);
		await invoices(books, document('AK-9', 3, 900, 4), document('AK-8', 3, 100, 6));
		const row = (await reminders()).rows.find((one) => one.code === 'E3');
		expect([row?.step?.name, row?.amount, row?.late]).toEqual(['Soon due', 900, 0]);
		await chase();
		const sent = (await books.db.select().from(letter).where(eq(letter.customerId, 3)).all())[0];
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 900,
			rows: [{ number: 'AK-9' }],
			says: { title: 'Payment due soon' }
		});
	});
});

describe('ways of chasing', () => {
	const keep = (policy: object, who = SUPERVISOR) => perform(books, keepPolicy, { policy } as never, as(who));
	it('are set by a supervisor, keep the ids of their steps, and are not changed twice at once', async () => {
		expect(codesOf(await keep(USUAL_POLICY, CLERK as never))).toEqual(['not-allowed']);
		const step = { ...USUAL_POLICY.steps[0]!, id: 'new', name: 'Gentle' };
		const made = await done(
			books,
			keepPolicy,
			{ policy: { ...USUAL_POLICY, id: 'new', name: 'Schools', steps: [step] } } as never,
			SUPERVISOR
		);
		expect(codesOf(await keep({ ...USUAL_POLICY, id: 'new', name: 'SCHOOLS' }))).toEqual(['field']);
		expect(codesOf(await keep({ ...USUAL_POLICY, id: made.id, name: 'Schools' }))).toEqual([
			'wording-changed'
		]);
		await books.write((tx) => tx.update(customer).set({ chasingPolicy: made.id }).where(eq(customer.id, 1)));
		expect((await reminders()).rows[0]?.step?.name).toBe('Gentle');
		expect(codesOf(await perform(books, dropPolicy, { id: made.id }, as(SUPERVISOR)))).toEqual([
			'policy-used'
		]);
		await books.write((tx) => tx.update(customer).set({ chasingPolicy: null }).where(eq(customer.id, 1)));
		await done(books, dropPolicy, { id: made.id }, SUPERVISOR);
		expect(codesOf(await perform(books, dropPolicy, { id: 'usual' }, as(SUPERVISOR)))).toEqual(['not-found']);
	});
	it.each([
		['a first step that follows none', [{ after: 'step', days: 3 }]],
		['a step that is not after the one before', [{ days: 7 }, { days: 7 }]],
		['a wording that is none for reminders', [{ wording: 'statement' }]],
		['half a day', [{ days: 0.5 }]],
		['an address that is none', [{ copies: ['a@b.example\nBcc: c@d.example'] }]]
	])('are refused with %s', async (_, given) => {
		const steps = given.map((over, n) => ({ ...USUAL_POLICY.steps[0]!, id: `new${n}`, ...over }));
		const kept = await keep({ ...USUAL_POLICY, steps });
		expect(new Set(codesOf(kept))).toEqual(new Set(['field']));
	});
});

describe('calls', () => {
	const ask = { number: '01632 960123', said: '', againOn: null, promise: null, dispute: null };
	const record = (over: object) =>
		perform(books, recordCall, { customerId: 1, currency: 'GBP', ...ask, ...over } as never, {
			...as(CLERK),
			today
		});
	it('are made where the step is a call, in the order of what they may bring', async () => {
		await chase();
		today = on(13);
		await chase();
		expect(await lookAtCalls(books.db, null, viewer())).toEqual([]);
		today = on(14);
		await chase();
		today = on(21);
		const list = await lookAtCalls(books.db, null, viewer());
		expect(list.map((row) => [row.code, row.reasons, row.late, row.daysLate])).toEqual([
			['H1', [{ why: 'step', step: 'Call' }], 2_200, 41]
		]);
		expect(list[0]).toMatchObject({ worth: 2_860, age: 1.3, habit: 1 });
		// Nobody answered: they stay on the list; spoken to, the step was taken.
		expect((await record({ outcome: 'no-answer' })).ok).toBe(true);
		expect((await lookAtCalls(books.db, null, viewer())).length).toBe(1);
		expect((await record({ outcome: 'said', said: 'asks for copies' })).ok).toBe(true);
		expect(await lookAtCalls(books.db, null, viewer())).toEqual([]);
		expect((await steps()).filter(([, step]) => step === 'call').length).toBe(2);
	});
	it('come to a promise, to a day to call again, or to a claim without a payment', async () => {
		expect(
			(await record({ outcome: 'promise', promise: { amount: 500, promisedFor: on(3), items: [] } })).ok
		).toBe(true);
		today = on(4);
		expect((await lookAtCalls(books.db, null, viewer()))[0]?.reasons).toEqual([
			{ why: 'broken', amount: 500, day: on(3) }
		]);
		expect((await record({ outcome: 'again', againOn: on(6) })).ok).toBe(true);
		expect(await lookAtCalls(books.db, null, viewer())).toEqual([]);
		today = on(6);
		expect((await lookAtCalls(books.db, null, viewer()))[0]?.reasons).toEqual([{ why: 'again', day: on(6) }]);
		const id = await itemId('AK-1');
		const [before] = await books.db.select().from(itemState).where(eq(itemState.itemId, id)).all();
		const dispute = { itemId: id, version: before!.version, amount: 400, reason: 'damaged' };
		expect((await record({ outcome: 'dispute', dispute, said: 'two broken' })).ok).toBe(true);
		const [after] = await books.db.select().from(itemState).where(eq(itemState.itemId, id)).all();
		const claims = await books.db.select().from(itemState).where(eq(itemState.kind, 'claim')).all();
		expect([after?.open, claims.map((one) => one.open)]).toEqual([600, [400]]);
		await proves(books);
	});
	it.each([
		['a promise without its amount', { outcome: 'promise' }],
		['a dispute without its item', { outcome: 'dispute' }],
		['no day to call again', { outcome: 'again' }],
		['a day that is over', { outcome: 'again', againOn: on(-1) }]
	])('are refused with %s, and nothing of them is kept', async (_, over) => {
		expect(codesOf(await record(over))).toEqual(['field']);
		expect((await lookAtCalls(books.db, null, viewer())).flatMap((row) => row.calls)).toEqual([]);
	});
	it('with a dispute of more than is open keep nothing, the call neither', async () => {
		const dispute = { itemId: await itemId('AK-1'), version: 1, amount: 400_000, reason: 'other' };
		expect((await record({ outcome: 'dispute', dispute })).ok).toBe(false);
		await proves(books);
		expect(await books.db.all('select * from phone_call')).toEqual([]);
	});
});

it('tasks stand on the list from their day on, until they are done', async () => {
	await done(books, addTask, { customerId: 1, what: 'send the delivery note', day: on(2) } as never, CLERK);
	expect(await lookAtTasks(books.db, null, viewer())).toEqual([]);
	today = on(2);
	const [open] = await lookAtTasks(books.db, null, viewer());
	expect(open).toMatchObject({ code: 'H1', what: 'send the delivery note', day: on(2) });
	await done(books, finishTask, { taskId: open!.id }, CLERK);
	expect(await lookAtTasks(books.db, null, viewer())).toEqual([]);
	expect(codesOf(await perform(books, finishTask, { taskId: open!.id }, as(CLERK)))).toEqual(['not-found']);
});
