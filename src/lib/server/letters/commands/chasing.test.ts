import { eq } from 'drizzle-orm';
import { simpleParser } from 'mailparser';
import { beforeEach, describe, expect, it } from 'vitest';
import { minor } from '../../../core/money/minor';
import { USUAL_POLICY } from '../../../words';
import { perform } from '../../act/perform';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { recordPromise } from '../../customers/commands/promises';
import { chasingStep, delivery, letter, message, runLetter } from '../../platform/db/schema';
import {
	bankXml,
	bringIn,
	CLERK,
	codesOf,
	credit,
	done,
	invoices,
	payment,
	proves,
	SUPERVISOR
} from '../../testing';
import { lookAtStep } from '../queries/by-hand';
import { lookAtChaseOf } from '../queries/chase-of';
import { messageText } from '../store/kept-letters';
import { ChasedBooks, dueIn, on } from '../testing-chasing';
import { keepPolicy } from './keep-policy';
import { sendAgain } from './send-again';
import { startRun } from './start-run';

let at: ChasedBooks;
beforeEach(async () => {
	at = await ChasedBooks.make();
});

describe('a run of reminders', () => {
	it('says who reaches which step today, with which items, and leaves out who reaches none', async () => {
		const run = await at.reminders();
		expect(run.rows.map((row) => [row.code, row.step?.name, row.step?.items, row.amount, row.held])).toEqual([
			['H1', 'First reminder', 2, 2_200, null]
		]);
		const all = await at.reminders({ filter: { everyone: true } });
		expect(all.rows.map((row) => [row.code, row.held, row.nextStep])).toEqual([
			['H1', null, null],
			['W2', 'no-step', { name: 'First reminder', day: on(4) }]
		]);
	});
	it('takes each step once, keeps its distance, and shows all that is due', async () => {
		await at.chase();
		expect(await at.steps()).toEqual([
			[await at.itemId('AK-1'), 'first'],
			[await at.itemId('AK-2'), 'first']
		]);
		const [sent] = await at.books.db.select().from(letter).all();
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 2_200,
			rows: [{ number: 'AK-1' }, { number: 'AK-2' }, { number: 'AK-3' }],
			wording: { key: 'reminder', version: 0 }
		});
		expect((await at.reminders()).rows).toEqual([]);
		at.today = on(13);
		expect((await at.reminders()).rows.map((row) => [row.code, row.step?.name, row.step?.items])).toEqual([
			['H1', 'First reminder', 1],
			['W2', 'First reminder', 1]
		]);
		at.today = on(14);
		expect((await at.reminders()).rows.map((row) => [row.code, row.step?.name, row.step?.items])).toEqual([
			['H1', 'Second reminder', 3],
			['W2', 'First reminder', 1]
		]);
		await proves(at.books);
	});
	it('counts no step of a letter that was withdrawn before it went', async () => {
		await at.chase();
		await at.books.write((tx) => tx.update(delivery).set({ state: 'withdrawn' }));
		expect((await at.reminders()).rows.map((row) => row.step?.name)).toEqual(['First reminder']);
	});
	it('holds a letter whose step another took while it was written', async () => {
		await done(at.books, startRun, await at.asked(), CLERK);
		const first = await at.itemId('AK-1');
		await at.books.write(async (tx) => {
			const values = { actId: 1, itemId: first, step: 'first', name: 'First reminder' };
			await tx.insert(chasingStep).values({ ...values, effect: 'nothing', day: at.today, way: 'phone' });
		});
		await at.write();
		const [held] = await at.books.db.select().from(runLetter).all();
		expect([held?.state, held?.why]).toEqual(['held', expect.stringContaining('step-taken')]);
		expect(await at.books.db.select().from(letter).all()).toEqual([]);
	});
	it('waits for what was promised, and asks for the rest; broken, it is asked for again', async () => {
		const items = [await at.itemId('AK-1')];
		await done(
			at.books,
			recordPromise,
			{ customerId: 1, amount: 1_000, promisedFor: on(5), items } as never,
			CLERK
		);
		const [row] = (await at.reminders()).rows;
		expect([row?.amount, row?.step?.items, row?.step?.details.about?.length]).toEqual([1_200, 1, 2]);
		await at.chase();
		const [sent] = await at.books.db.select().from(letter).all();
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 1_200,
			rows: [{ number: 'AK-2' }, { number: 'AK-3' }]
		});
		at.today = on(6);
		expect((await at.reminders()).rows.map((one) => [one.code, one.step?.items])).toEqual([
			['H1', 2],
			['W2', 1]
		]);
	});
	it('holds an account all of which is promised, and one that owes too little for the step', async () => {
		await done(at.books, recordPromise, { customerId: 1, amount: 5_000, promisedFor: on(5) } as never, CLERK);
		expect((await at.reminders()).rows.map((row) => row.held)).toEqual(['promised']);
		const [first, ...others] = USUAL_POLICY.steps;
		const policy = { ...USUAL_POLICY, steps: [{ ...first!, least: minor(2_001) }, ...others] };
		await done(at.books, keepPolicy, { policy } as never, SUPERVISOR);
		at.today = on(6);
		expect((await at.reminders()).rows.map((row) => [row.code, row.held])).toEqual([
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
		await done(at.books, keepPolicy, { policy } as never, SUPERVISOR);
		await at.chase();
		const [kept] = await at.books.db.select().from(message).all();
		const read = await simpleParser(await messageText(at.books, kept!));
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
			at.books,
			keepPolicy,
			{ policy: { ...USUAL_POLICY, steps: [before, ...USUAL_POLICY.steps] } } as never,
			SUPERVISOR
		);
		await invoices(at.books, dueIn(4, 'AK-9', 3, 900), dueIn(6, 'AK-8', 3, 100));
		const row = (await at.reminders()).rows.find((one) => one.code === 'E3');
		expect([row?.step?.name, row?.amount, row?.late]).toEqual(['Soon due', 900, 0]);
		await at.chase();
		const sent = (await at.books.db.select().from(letter).where(eq(letter.customerId, 3)).all())[0];
		expect(JSON.parse(sent!.data)).toMatchObject({
			owed: 900,
			rows: [{ number: 'AK-9' }],
			says: { title: 'Payment due soon' }
		});
	});
	it('does not ask for what was promised where no step is due on it, and leaves out what a cheque covers', async () => {
		await at.chase();
		const items = [await at.itemId('AK-1')];
		const promise = { customerId: 1, amount: 1_000, promisedFor: on(20), items };
		await done(at.books, recordPromise, promise as never, CLERK);
		at.today = on(5);
		const row = (await at.reminders()).rows.find((one) => one.code === 'H1');
		expect([row?.amount, row?.step?.items]).toEqual([1_200, 1]);
		await at.chase();
		const sent = await at.books.db.select().from(letter).where(eq(letter.customerId, 1)).all();
		expect(JSON.parse(sent.at(-1)!.data)).toMatchObject({
			...{ owed: 1_200, rows: [{ number: 'AK-2' }, { number: 'AK-3' }] }
		});
	});
	it('is seen as it will be written: its words, its day to answer by, its items', async () => {
		const [row] = (await at.reminders()).rows;
		const details = await lookAtStep(at.books.db, { customerId: 1, currency: 'GBP' }, at.viewer);
		expect(details).toEqual(row!.step!.details);
		expect(details.step?.next).toEqual({ name: 'Second reminder', day: on(14) });
		expect(await lookAtStep(at.books.db, { customerId: 2, currency: 'GBP' }, at.viewer)).toEqual({});
	});
	it('puts down no step of what was paid before it was written', async () => {
		await done(at.books, startRun, await at.asked(), CLERK);
		await bringIn(at.books, bankXml([credit(1_000, 'AK-1')]));
		await done(at.books, allocateReceipt, payment(1, 1, [await at.itemId('AK-1'), 1_000]), CLERK);
		await at.write();
		expect(await at.steps()).toEqual([[await at.itemId('AK-2'), 'first']]);
	});
	it('that was refused is not sent again once another took its steps, and holds no deliveries meanwhile', async () => {
		const steps = [{ ...USUAL_POLICY.steps[0]!, effect: 'hold-deliveries' as const }];
		await done(at.books, keepPolicy, { policy: { ...USUAL_POLICY, steps } } as never, SUPERVISOR);
		const held = async () => (await lookAtChaseOf(at.books.db, 'H1', at.viewer))!.effects.length;
		await at.chase();
		expect(await held()).toBe(1);
		const [first] = await at.books.db.select().from(letter).all();
		await at.books.write((tx) => tx.update(delivery).set({ state: 'refused' }));
		expect(await held()).toBe(0);
		at.today = on(1);
		await at.chase();
		expect(codesOf(await perform(at.books, sendAgain, { letterId: first!.id }, at.call))).toEqual([
			'step-taken'
		]);
	});
});
