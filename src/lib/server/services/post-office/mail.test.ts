import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { hostname, tmpdir } from 'node:os';
import { join } from 'node:path';
import { asc, eq, sql } from 'drizzle-orm';
import { simpleParser } from 'mailparser';
import { beforeEach, describe, expect, it } from 'vitest';
import { sendLetters } from '../../letters/commands/send-letters';
import { letterPaper, messageText } from '../../letters/store/kept-letters';
import { mergeAccounts } from '../../customers/commands/merge-accounts';
import { overtakenLetters } from '../../letters/store/overtaken-letters';
import { setAddress } from '../../customers/commands/set-address';
import { perform } from '../../act/perform';

import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
import { undoPosting } from '../../allocation/commands/undo-posting';
import type { Books } from '../../platform/db/open';
import { customer, delivery, letter, message } from '../../platform/db/schema';
import { prepareLetters } from '../prepare-letters';
import { whoseMoneyWaits } from '../answers/whose-money-waits';
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
	payment,
	SUPERVISOR,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { deliverWaiting } from './deliver';
import { startStandIn } from '../../platform/mail/stand-in';

const viewer = { who: CLERK, today: TODAY };
const now = () => '2026-10-30T10:00:00.000Z';
let books: Books;
let folder: string;
beforeEach(async () => {
	books = await testBooks();
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	await invoices(books, newDocument('AK-1', 1, 1000), newDocument('AK-2', 2, 2000));
});
const chosen = [
	{ customerId: 1, currency: 'GBP' },
	{ customerId: 2, currency: 'GBP' }
];
const states = async () =>
	(await books.db.select().from(delivery).orderBy(asc(delivery.letterId))).map((row) => row.state);
async function send(kind: 'statement' | 'reminder') {
	const prepared = await prepareLetters(books, { kind, accounts: chosen }, viewer, now());
	if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
	return perform(books, sendLetters, { kind, letters: prepared.value }, as(CLERK));
}

describe('letters', () => {
	it('go by SMTP and are kept as they were sent; a refused address is said and the rest goes', async () => {
		await done(
			books,
			setAddress,
			{ customerId: 1, kind: 'statement', email: 'accounts@no-such-host.example' },
			CLERK
		);
		await send('statement');
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, now);
		await standIn.close();
		expect(await states()).toEqual(['refused', 'sent']);
		expect((await books.db.select().from(delivery).where(eq(delivery.letterId, 1)).get())!.answer).toContain(
			'550'
		);
		const [file] = readdirSync(folder);
		const arrived = await simpleParser(readFileSync(join(folder, file!)));
		const kept = await books.db.select().from(message).where(eq(message.letterId, 2)).get();
		const sent = await simpleParser(await messageText(books, kept!));
		expect([arrived.messageId, arrived.subject, arrived.text]).toEqual([
			sent.messageId,
			sent.subject,
			sent.text
		]);
		expect(arrived.attachments[0]!.content.equals(sent.attachments[0]!.content)).toBe(true);
		expect(arrived.attachments[0]!.content.subarray(0, 5).toString()).toBe('%PDF-');
		const stored = await books.db.select().from(letter).where(eq(letter.id, 2)).get();
		expect((await letterPaper(books, stored!)).equals(arrived.attachments[0]!.content)).toBe(true);
	});
	it('go with copies to whom they are said to, and a copy that is refused does not stop the letter', async () => {
		const ada = { name: 'Ada', role: '', phone: null, copies: 'statements' as const };
		const contacts = [
			{ ...ada, email: 'ada@hazel.example' },
			{ ...ada, email: 'lou@no-such-host.example' },
			// Who gets the letter itself needs no copy.
			{ ...ada, email: 'h1@hazel.example' }
		];
		await books.write((tx) => tx.update(customer).set({ contacts }).where(eq(customer.id, 1)));
		await send('statement');
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, now);
		await standIn.close();
		expect(await states()).toEqual(['sent', 'sent']);
		const kept = (await books.db.select().from(letter).where(eq(letter.id, 1)).get())!;
		expect([kept.recipient, kept.copies]).toEqual([
			'h1@hazel.example',
			['ada@hazel.example', 'lou@no-such-host.example']
		]);
		const told = (await books.db.select().from(delivery).where(eq(delivery.letterId, 1)).get())!.answer;
		expect(told).toMatch(/The copy to lou@no-such-host.example was not taken: 550/);
		const [own] = await books.db.select().from(message).where(eq(message.letterId, 1)).all();
		const sent = await simpleParser(await messageText(books, own!));
		expect((sent.cc as { text: string }).text).toContain('ada@hazel.example');
		// The customer's own, the copy that was taken, and the other customer's.
		expect(readdirSync(folder)).toHaveLength(3);
	});
	it('cut off while they were sent are not sent again by themselves', async () => {
		await send('reminder');
		await books.write((tx) => tx.update(delivery).set({ state: 'sending' }).where(eq(delivery.letterId, 1)));
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, now);
		await standIn.close();
		expect(await states()).toEqual(['failed', 'sent']);
	});
	it('go once, however many are at it', async () => {
		await send('statement');
		await send('reminder');
		const standIn = await startStandIn(folder);
		await Promise.all([
			deliverWaiting(books, { server: standIn.url, signing: null }, now, `${hostname()} 1 a`),
			deliverWaiting(books, { server: standIn.url, signing: null }, now, `${hostname()} ${process.pid} b`)
		]);
		await standIn.close();
		expect(await states()).toEqual(['sent', 'sent', 'sent', 'sent']);
		expect(readdirSync(folder)).toHaveLength(4);
		expect((await books.db.select().from(delivery)).map((row) => row.tries)).toEqual([1, 1, 1, 1]);
	});
	it('that another process is at are left to it, until it is gone or much too late', async () => {
		await send('statement');
		const claimed = (owner: string, leaseUntil: string) =>
			books.write((tx) => tx.update(delivery).set({ state: 'sending', owner, leaseUntil }));
		const standIn = await startStandIn(folder);
		const look = async () => {
			await deliverWaiting(books, { server: standIn.url, signing: null }, now);
			return states();
		};
		await claimed('another-machine 7 x', '2026-10-30T10:01:00.000Z');
		expect(await look()).toEqual(['sending', 'sending']);
		await claimed(`${hostname()} 1 x`, '2026-10-30T10:01:00.000Z');
		expect(await look()).toEqual(['sending', 'sending']);
		await claimed('another-machine 7 x', '2026-10-30T09:59:00.000Z');
		expect(await look()).toEqual(['failed', 'failed']);
		await claimed(`${hostname()} 99999999 x`, '2026-10-30T10:01:00.000Z');
		expect(await look()).toEqual(['failed', 'failed']);
		await standIn.close();
	});
	it('of two people who send the same at once go once: the second is told who was first', async () => {
		const { seen } = await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [] }, viewer);
		const both = await Promise.all(
			[0, 1].map(() => prepareLetters(books, { kind: 'statement', accounts: chosen }, viewer, now()))
		);
		const results = await Promise.all(
			both.map((prepared) =>
				perform(
					books,
					sendLetters,
					{ kind: 'statement', seen: seen.letter, letters: prepared.ok ? prepared.value : [] },
					as(CLERK)
				)
			)
		);
		expect(results.map((one) => (one.ok ? 'sent' : one.problems.map(({ code }) => code)))).toEqual([
			'sent',
			['letter-sent', 'letter-sent']
		]);
		expect(await states()).toHaveLength(2);
	});
	it('of which several do not show what is so any more are all named', async () => {
		const prepared = await prepareLetters(books, { kind: 'statement', accounts: chosen }, viewer, now());
		for (const customerId of [1, 2])
			await done(books, setAddress, { customerId, kind: 'reminder', email: 'new@hazel.example' }, CLERK);
		const result = await perform(
			books,
			sendLetters,
			{ kind: 'statement', seen: 0, letters: prepared.ok ? prepared.value : [] },
			as(CLERK)
		);
		expect(result.ok ? [] : result.problems.map((problem) => problem.code)).toEqual([
			'letter-changed',
			'letter-changed'
		]);
	});
	it('are stopped when the account changed after they were written', async () => {
		const prepared = await prepareLetters(books, { kind: 'statement', accounts: chosen }, viewer, now());
		await bringIn(books, bankXml([credit(1000, 'AK-1')]));
		await done(books, allocateReceipt, payment(1, 1, [1, 400]), CLERK);
		const result = await perform(
			books,
			sendLetters,
			{ kind: 'statement', letters: prepared.ok ? prepared.value : [] },
			as(CLERK)
		);
		expect(result.ok ? [] : result.problems.map((problem) => problem.code)).toEqual(['letter-changed']);
		expect(await states()).toEqual([]);
	});
	it('are the same byte for byte when written twice', async () => {
		const [first, second] = [
			await prepareLetters(books, { kind: 'statement', accounts: chosen }, viewer, now()),
			await prepareLetters(books, { kind: 'statement', accounts: chosen }, viewer, now())
		];
		expect(first.ok && first.value[0]!.paper.hash).toBe(second.ok && second.value[0]!.paper.hash);
	});
	it('are not for a reader to send', async () => {
		const result = await perform(books, sendLetters, { kind: 'statement', letters: [] }, as(READER));
		expect(result.ok ? '' : result.problems[0]!.code).toBe('not-allowed');
	});
});

it('the run says who would better wait, and why', async () => {
	await bringIn(books, bankXml([credit(1000, 'AK-1')]));
	const { rows, ready } = await lookAtRun(
		books.db,
		{ kind: 'reminder', page: 0, waiting: await whoseMoneyWaits(books.db) },
		viewer
	);
	expect(ready).toEqual([{ customerId: rows[0]!.customerId, currency: 'GBP', amount: 2000 }]);
	expect(rows.map((row) => [row.code, row.late, row.held])).toEqual([
		['W2', 2000, null],
		['H1', 1000, 'money-waiting']
	]);
});

it('what an account was told before it was merged is out of date for the one that it is seen as', async () => {
	await bringIn(books, bankXml([credit(400, 'AK-2')]));
	const open = await books.db.all<{ id: number }>(
		sql`select item_id as id from item_state where customer_id = 2`
	);
	const { actId } = await done(books, allocateReceipt, payment(1, 2, [open[0]!.id, 400]), CLERK);
	await send('statement');
	await done(books, mergeAccounts, { customerId: 1, version: 1, otherId: 2 }, SUPERVISOR);
	expect(await overtakenLetters(books.db, 1)).toEqual([]);
	await done(books, undoPosting, { actId: String(actId) }, CLERK);
	for (const told of [await overtakenLetters(books.db, 1), await overtakenLetters(books.db, null)])
		expect(told).toMatchObject([{ customerId: 1, currency: 'GBP', kind: 'statement' }]);
});

it('who wants no statements is held, who wants them on paper gets one, and reminders go to both', async () => {
	const leftOut = async (kind: 'statement' | 'reminder') =>
		(await lookAtRun(books.db, { kind, page: 0, waiting: [] }, viewer)).rows.map((row) => row.held);
	await books.write((tx) => tx.run(sql`update customer set statement_way = 'paper' where code = 'H1'`));
	await books.write((tx) => tx.run(sql`update customer set statement_way = 'none' where code = 'W2'`));
	expect(new Set(await leftOut('statement'))).toEqual(new Set([null, 'wants-none']));
	expect(await leftOut('reminder')).toEqual([null, null]);
});

it('who was sent one today is not chosen again today; the next day, and where it is out of date, again', async () => {
	const leftOut = async (today: string, kind: 'statement' | 'reminder' = 'statement') =>
		(
			await lookAtRun(books.db, { kind, page: 0, waiting: [] }, { who: CLERK, today: today as typeof TODAY })
		).rows.map((row) => row.held);
	await bringIn(books, bankXml([credit(400, 'AK-1')]));
	const { actId } = await done(books, allocateReceipt, payment(1, 1, [1, 400]), CLERK);
	expect(await leftOut(TODAY)).toEqual([null, null]);
	await send('statement');
	expect(await leftOut(TODAY)).toEqual(['sent-today', 'sent-today']);
	expect(await leftOut(TODAY, 'reminder')).toEqual([null, null]);
	expect(await leftOut('2026-10-31')).toEqual([null, null]);
	// One that the mail server would not take was not sent.
	await books.write((tx) => tx.update(delivery).set({ state: 'refused' }).where(eq(delivery.letterId, 2)));
	await done(books, undoPosting, { actId: actId! }, CLERK);
	expect(await leftOut(TODAY)).toEqual([null, null]);
});
