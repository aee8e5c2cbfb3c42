import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asc, eq, sql } from 'drizzle-orm';
import { simpleParser } from 'mailparser';
import { beforeEach, describe, expect, it } from 'vitest';
import { day } from '../../../core/day/day';
import { minor } from '../../../core/money/minor';
import { addRates } from '../../firm/commands/add-rates';
import { perform } from '../../act/perform';
import { printLetters } from '../../letters/commands/print-letters';
import { startRun } from '../../letters/commands/start-run';
import type { ChosenAccount } from '../../letters/queries/run-rows';
import { pauseRun, resumeRun, withdrawLetters } from '../../letters/commands/steer-run';
import { lookAtChosen, lookAtRun } from '../../letters/queries/letters';
import { lookAtOutbox } from '../../letters/queries/outbox';
import { lookAtOneRun, lookAtPrinted } from '../../letters/queries/runs';
import { letterPaper } from '../../letters/store/kept-letters';
import type { Books } from '../../platform/db/open';
import { act, customer, delivery, letter, runLetter } from '../../platform/db/schema';
import { startStandIn } from '../../platform/mail/stand-in';
import { allocateReceipt } from '../../allocation/commands/allocate-receipt';
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
	proves,
	READER,
	testBooks,
	TODAY
} from '../../testing';
import { deliverWaiting } from '../post-office/deliver';
import { openLetterWriter } from './letter-writer';

const viewer = { who: CLERK, today: TODAY };
const now = () => '2026-10-30T10:00:00.000Z';
let books: Books;
beforeEach(async () => {
	books = await testBooks();
	await done(books, addRates, [{ currency: 'EUR', day: day('2026-01-01'), millionths: 900_000 }], CLERK);
	await invoices(
		books,
		newDocument('AK-1', 1, 1_000),
		newDocument('AK-2', 2, 2_000),
		newDocument('AE-3', 3, 3_000, { currency: 'EUR' })
	);
});

const set = (code: string, over: Partial<typeof customer.$inferInsert>) =>
	books.write((tx) => tx.update(customer).set(over).where(eq(customer.code, code)));

/** Asks for statements as somebody would who looked at the run just now. */
async function ask(
	chosen: readonly Partial<ChosenAccount>[] | 'all',
	over: { readonly kind?: 'statement' | 'reminder'; readonly note?: string; readonly copyTo?: string } = {}
) {
	const { kind = 'statement', note = '', copyTo = null } = over;
	const run = await lookAtRun(books.db, { kind, page: 0, waiting: [] }, viewer);
	const accounts =
		chosen === 'all'
			? [...run.ready]
			: chosen.map((one) => {
					const row = run.rows.find((found) => found.customerId === one.customerId)!;
					return { customerId: row.customerId, currency: row.currency, amount: row.amount, ...one };
				});
	const rows = await lookAtChosen(books.db, { kind, waiting: [], chosen: accounts }, viewer);
	return perform(
		books,
		startRun,
		{ kind, statement: null, note, copyTo, chosen: accounts, rows, seen: run.seen },
		as(CLERK)
	);
}
async function write(): Promise<void> {
	const writer = openLetterWriter(books, { today: async () => TODAY, now, sent: () => undefined });
	writer.wake();
	await writer.idle();
	await writer.close();
}
const states = async () =>
	(await books.db.select().from(runLetter).orderBy(asc(runLetter.id)).all()).map((row) => row.state);
const runOf = async (id = 1) => (await lookAtOneRun(books.db, { id, page: 0 }, viewer))!;

describe('a run', () => {
	it('is written by itself and sent, each letter once, with its paper kept apart', async () => {
		expect(await ask('all')).toMatchObject({ ok: true, value: { runId: 1, letters: 3 } });
		expect(await states()).toEqual(['to-write', 'to-write', 'to-write']);
		await write();
		await write();
		expect(await states()).toEqual(['written', 'written', 'written']);
		const folder = mkdtempSync(join(tmpdir(), 'odd-penny-run-'));
		const standIn = await startStandIn(folder);
		await deliverWaiting(books, { server: standIn.url, signing: null }, now);
		await standIn.close();
		expect(readdirSync(folder)).toHaveLength(3);
		const arrived = await Promise.all(
			readdirSync(folder).map((name) => simpleParser(readFileSync(join(folder, name))))
		);
		expect(arrived.map((one) => one.attachments.length)).toEqual([1, 1, 1]);
		expect(arrived.every((one) => (one.html || '').includes('Statement of account'))).toBe(true);
		const kept = await books.db.select().from(letter).orderBy(asc(letter.id)).all();
		expect(kept.map((one) => one.pdf.length)).toEqual([0, 0, 0]);
		const papers = await Promise.all(kept.map((one) => letterPaper(books, one)));
		const hung = arrived.map((one) => one.attachments[0]!.content);
		for (const paper of papers) expect(hung.some((one) => one.equals(paper))).toBe(true);
		expect((await runOf()).counts).toMatchObject({ all: 3, sent: 3, toWrite: 0, held: 0 });
		await proves(books);
	});

	it('goes on where a stop cut it off, and writes nothing twice', async () => {
		await ask('all');
		const writer = openLetterWriter(books, { today: async () => TODAY, now, sent: () => undefined });
		writer.wake();
		await writer.close();
		const before = await books.db.$count(letter);
		await write();
		expect(await states()).toEqual(['written', 'written', 'written']);
		expect([before <= 3, await books.db.$count(letter)]).toEqual([true, 3]);
	});

	it('rests when it is paused, goes on, and what is not sent can be withdrawn', async () => {
		await ask('all');
		await done(books, pauseRun, { runId: 1 }, CLERK);
		await write();
		expect(await states()).toEqual(['to-write', 'to-write', 'to-write']);
		await done(books, resumeRun, { runId: 1 }, CLERK);
		await write();
		await done(books, pauseRun, { runId: 1 }, CLERK);
		expect((await books.db.select().from(delivery).all()).map((row) => row.state)).toEqual([
			'paused',
			'paused',
			'paused'
		]);
		const withdrawn = await perform(books, withdrawLetters, { runId: 1 }, as(CLERK));
		expect(withdrawn).toMatchObject({ ok: true, value: { withdrawn: 3 } });
		expect(codesOf(await perform(books, withdrawLetters, { runId: 1 }, as(CLERK)))).toEqual([
			'nothing-to-withdraw'
		]);
		// Who was not sent one may be asked for again today.
		expect(
			(await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [] }, viewer)).ready
		).toHaveLength(3);
	});

	it('that two people start at once is started once, and the second is told who was first', async () => {
		const run = await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [] }, viewer);
		const rows = await lookAtChosen(books.db, { kind: 'statement', waiting: [], chosen: run.ready }, viewer);
		const given = {
			...{ kind: 'statement' as const, statement: null, note: '', copyTo: null, rows },
			...{ chosen: run.ready, seen: run.seen }
		};
		const both = await Promise.all([1, 2].map(() => perform(books, startRun, given, as(CLERK))));
		expect(both.map((one) => (one.ok ? 'asked' : [...new Set(codesOf(one))]))).toEqual([
			'asked',
			['letter-sent']
		]);
		expect(await states()).toHaveLength(3);
	});

	it('stops at a reason that nobody saw, and goes where it was overruled, which is recorded', async () => {
		await set('W2', { statementWay: 'none' });
		expect(codesOf(await ask([{ customerId: 2 }]))).toEqual(['letter-held']);
		expect(await ask([{ customerId: 2, overruled: 'wants-none' }])).toMatchObject({ ok: true });
		const [last] = await books.db.select().from(act).where(eq(act.kind, 'start-run')).all();
		expect([JSON.parse(last!.summary), JSON.parse(last!.facts).overruled]).toEqual([
			{ letter: 'statement', count: 1, overruled: 1 },
			[{ code: 'W2', reason: 'wants-none' }]
		]);
		await write();
		expect((await runOf()).rows).toMatchObject([{ overruled: 'wants-none', state: 'written' }]);
	});

	it('holds a letter whose account came to owe nothing meanwhile, and the rest goes', async () => {
		await bringIn(books, bankXml([credit(1_000, 'AK-1')]));
		await ask('all');
		await done(books, allocateReceipt, payment(1, 1, [1, 1_000]), CLERK);
		await write();
		const { rows, counts } = await runOf();
		expect(counts).toMatchObject({ held: 1, waiting: 2 });
		expect(rows[0]).toMatchObject({ code: 'H1', state: 'held', why: [{ code: 'nothing-owed' }] });
		await proves(books);
	});

	it('writes a letter anew where a receipt was allocated in part meanwhile, and says what was seen', async () => {
		await bringIn(books, bankXml([credit(400, 'AK-1')]));
		await ask([{ customerId: 1 }]);
		await done(books, allocateReceipt, payment(1, 1, [1, 400]), CLERK);
		await write();
		expect((await runOf()).rows).toMatchObject([{ seen: 1_000, amount: 600, state: 'written' }]);
		expect((await books.db.select().from(letter).all())[0]!.data).toContain('"payments":[{');
	});

	it('is not for a reader', async () => {
		const run = await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [] }, viewer);
		const given = {
			...{ kind: 'statement' as const, statement: null, note: '', copyTo: null, rows: [] },
			...{ chosen: run.ready, seen: run.seen }
		};
		expect(codesOf(await perform(books, startRun, given, as(READER)))).toEqual(['not-allowed']);
		expect(codesOf(await perform(books, startRun, given, as(CLERK)))).toEqual(['run-empty']);
	});

	it('adds a note to all and one to one, and sends copies to who asked', async () => {
		await ask([{ customerId: 1, note: 'Thank you for the clay samples.' }, { customerId: 2 }], {
			note: 'We are closed in Christmas week.',
			copyTo: 'wren@ashlock-kiln.example'
		});
		await write();
		const kept = await books.db.select().from(letter).orderBy(asc(letter.customerId)).all();
		expect(kept.map((one) => (JSON.parse(one.data) as { note: string }).note)).toEqual([
			'We are closed in Christmas week.\n\nThank you for the clay samples.',
			'We are closed in Christmas week.'
		]);
		expect(kept.map((one) => one.copies)).toEqual([
			['wren@ashlock-kiln.example'],
			['wren@ashlock-kiln.example']
		]);
		expect(kept[0]!.body).toContain('Thank you for the clay samples.');
	});
});

describe('letters on paper', () => {
	it('wait for the printer, are one file in the order of the post, and no mail goes', async () => {
		await set('H1', { statementWay: 'paper', address: ['1 High Street', 'Wold'] });
		await set('W2', { statementWay: 'both', address: ['9 Low Street', 'Abbey'] });
		await ask([{ customerId: 1 }, { customerId: 2 }]);
		await write();
		const deliveries = await books.db.select().from(delivery).orderBy(asc(delivery.letterId)).all();
		expect(new Set(deliveries.map((row) => `${row.state} ${row.printing}`))).toEqual(
			new Set(['paper waiting', 'waiting waiting'])
		);
		const printed = await done(books, printLetters, {}, CLERK);
		expect(printed.printed).toBe(2);
		expect((await lookAtPrinted(books.db, printed.actId, viewer)).map((one) => one.code)).toEqual([
			'W2',
			'H1'
		]);
		expect(codesOf(await perform(books, printLetters, {}, as(CLERK)))).toEqual(['nothing-to-print']);
		const found = await lookAtOutbox(books.db, { page: 0, state: 'printed' }, viewer);
		expect(found.rows).toHaveLength(2);
	});

	it('are held where there is no address for them', async () => {
		await set('H1', { statementWay: 'paper', address: [] });
		const { rows } = await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [] }, viewer);
		expect(rows.find((row) => row.code === 'H1')).toMatchObject({ held: 'no-address', way: 'paper' });
	});
});

describe('a run can be for some', () => {
	const codes = async (filter: object) =>
		(await lookAtRun(books.db, { kind: 'statement', page: 0, waiting: [], filter }, viewer)).rows
			.map((row) => row.code)
			.sort();
	it('by tag, currency, way, least amount, what is overdue, and branches', async () => {
		await set('H1', { tags: ['school'] });
		await set('W2', { parentId: 1, statementWay: 'both' });
		await invoices(books, newDocument('AK-9', 2, 50));
		expect(await codes({ tag: 'school' })).toEqual(['H1']);
		expect(await codes({ currency: 'EUR' })).toEqual(['E3']);
		expect(await codes({ way: 'both' })).toEqual(['W2']);
		expect(await codes({ least: 2_000 })).toEqual(['E3', 'W2']);
		expect(await codes({ parent: 'H1' })).toEqual(['H1', 'W2']);
		expect(await codes({ parent: 'NONE' })).toEqual([]);
		await books.write((tx) => tx.run(sql`update item_state set due = '2026-12-01' where customer_id = 3`));
		expect(await codes({ overdueOnly: true })).toEqual(['H1', 'W2']);
	});
});

describe('the outbox', () => {
	it('is found by customer, kind, state, day, run and words', async () => {
		await ask([{ customerId: 1, note: 'About the kiln shelves.' }, { customerId: 2 }]);
		await write();
		const found = async (query: object) =>
			(await lookAtOutbox(books.db, { page: 0, ...query }, viewer)).rows.map((row) => row.code).sort();
		expect(await found({})).toEqual(['H1', 'W2']);
		expect(await found({ words: 'hazel hill' })).toEqual(['H1']);
		expect(await found({ words: 'w2' })).toContain('W2');
		expect(await found({ words: 'kiln shelves' })).toEqual(['H1']);
		expect(await found({ words: '100%_' })).toEqual([]);
		expect(await found({ kind: 'reminder' })).toEqual([]);
		expect(await found({ state: 'under-way' })).toEqual(['H1', 'W2']);
		expect(await found({ state: 'sent' })).toEqual([]);
		expect(await found({ runId: 1 })).toEqual(['H1', 'W2']);
		expect(await found({ runId: 2 })).toEqual([]);
		expect(await found({ from: TODAY, to: TODAY })).toEqual(['H1', 'W2']);
		expect(await found({ to: '2026-10-29' })).toEqual([]);
	});
});

it('a letter is in the language of its customer', async () => {
	await set('E3', { language: 'de' });
	await set('H1', { language: 'fr' });
	await ask([{ customerId: 3 }, { customerId: 1 }]);
	await write();
	const kept = await books.db.select().from(letter).orderBy(asc(letter.customerId)).all();
	expect(kept.map((one) => one.subject)).toEqual([
		'Statement of account H1, 30 Oct 2026: £10.00',
		'Kontoauszug E3, 30.10.2026: 30,00\u00a0€'
	]);
	expect(kept[1]!.body).toContain('Verwendungszweck RF');
	expect(kept[1]!.amount).toBe(minor(3_000));
});
