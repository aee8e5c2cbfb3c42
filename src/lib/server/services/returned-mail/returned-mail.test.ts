import { mkdtempSync, readdirSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { asc } from 'drizzle-orm';
import { afterEach, beforeEach, expect, test } from 'vitest';
import { sendAgain } from '../../letters/commands/send-again';
import { sendLetters } from '../../letters/commands/send-letters';
import { lookAtOutbox, lookAtSent } from '../../letters/queries/outbox';
import { setAddress } from '../../customers/commands/set-address';
import { perform } from '../../act/perform';
import { readSetting } from '../../firm/store/settings';
import type { Books } from '../../platform/db/open';
import { customer, delivery, deliveryReport } from '../../platform/db/schema';
import { composeReport } from '../../platform/mail/compose-report';
import { startStandIn, type StandIn } from '../../platform/mail/stand-in';
import { testMailbox } from '../../platform/mail/testing-imap';
import { as, CLERK, codesOf, done, invoices, newDocument, proves, testBooks, TODAY } from '../../testing';
import { deliverWaiting } from '../post-office/deliver';
import { prepareLetters } from '../prepare-letters';
import { noteReport } from './note-report';
import { readFrom } from './returned-mail';

const now = () => '2026-10-30T10:00:00.000Z';
const VIEWER = { who: CLERK, today: TODAY };
const later = () => '2026-10-31T10:00:00.000Z';
let books: Books;
let [folder, returned] = ['', ''];
let server: StandIn;
beforeEach(async () => {
	books = await testBooks();
	await invoices(books, newDocument('AK-1', 1, 1000));
	folder = mkdtempSync(join(tmpdir(), 'odd-penny-mail-'));
	returned = join(folder, 'returned');
	server = await startStandIn(folder, returned);
});
afterEach(async () => {
	await server.close();
	await books.close();
});

const GONE = 'ledger@gone-hazel.example';
const deliver = () => deliverWaiting(books, { server: server.url, signing: null }, now);
const stands = async () => (await books.db.select().from(delivery).orderBy(asc(delivery.letterId)))[0]!;
const reports = () => books.db.select().from(deliveryReport).orderBy(asc(deliveryReport.id));

/** A statement to an address at which nobody is, sent. */
async function sentTo(email: string): Promise<void> {
	await done(books, setAddress, { customerId: 1, kind: 'statement', email }, CLERK);
	const accounts = [{ customerId: 1, currency: 'GBP' }];
	const prepared = await prepareLetters(books, { kind: 'statement', accounts }, VIEWER, now());
	if (!prepared.ok) throw new Error(JSON.stringify(prepared.problems));
	await done(books, sendLetters, { kind: 'statement', letters: prepared.value }, CLERK);
	await deliver();
}

test('a letter that is reported back is not delivered; it goes to another address, which is kept', async () => {
	await sentTo(GONE);
	expect((await stands()).state).toBe('sent');
	await readFrom(books, { folder: returned }, now);
	expect(await stands()).toMatchObject({
		state: 'undelivered',
		answer: `550 5.1.1 <${GONE}>: no such person here`
	});
	expect(await reports()).toMatchObject([
		{ letterId: 1, recipient: GONE, action: 'failed', status: '5.1.1', at: now() }
	]);
	const waits = await lookAtOutbox(books.db, { page: 0, state: 'refused' }, VIEWER);
	expect(waits.rows).toMatchObject([{ state: 'undelivered', recipient: GONE }]);

	await done(books, sendAgain, { letterId: 1, email: 'ledger@hazel.example', keep: 'on' }, CLERK);
	await deliver();
	expect(await stands()).toMatchObject({ state: 'sent', resentTo: 'ledger@hazel.example' });
	const [own] = await books.db.select().from(customer).orderBy(asc(customer.id)).limit(1);
	expect(own!.statementEmail).toBe('ledger@hazel.example');
	const sent = await lookAtSent(books.db, 1, VIEWER);
	// The letter stays as it was written.
	expect(sent!.letter.recipient).toBe(GONE);
	expect(sent!.reports).toHaveLength(1);
	await proves(books);
});

test('what travels again says so in front, under an id of its own, with the letter as it was', async () => {
	await sentTo(GONE);
	await readFrom(books, { folder: returned }, now);
	await done(books, sendAgain, { letterId: 1, email: 'new@hazel.example' }, CLERK);
	await deliver();
	const { messageId, resentId } = await stands();
	const mails = readdirSync(folder)
		.filter((name) => name.endsWith('.eml'))
		.map((name) => join(folder, name));
	const texts = mails.map((path) => readFileSync(path, 'latin1')).sort((a, b) => a.length - b.length);
	expect(texts).toHaveLength(2);
	expect(texts[1]!.endsWith(texts[0]!)).toBe(true);
	expect(texts[1]!).toMatch(/^Resent-Date: /);
	expect(texts[1]!).toContain(`Resent-To: <new@hazel.example>\r\nResent-Message-ID: ${resentId}\r\n`);
	expect(texts[1]!).toContain(`Message-ID: ${messageId}`);
	expect(resentId).not.toBe(messageId);
	// What was kept with the customer stays, where that was not asked for.
	const [own] = await books.db.select().from(customer).orderBy(asc(customer.id)).limit(1);
	expect(own!.statementEmail).toBe(GONE);
});

test('a report is of its own time: one of before says nothing against what was sent since', async () => {
	await sentTo(GONE);
	const first = (await stands()).messageId;
	await readFrom(books, { folder: returned }, now);
	await done(books, sendAgain, { letterId: 1, email: 'new@hazel.example' }, CLERK);
	await deliver();
	const about = (id: string, to: string) =>
		composeReport(
			{ from: 'accounts@ashlock-kiln.example', to, host: 'mx.example', at: new Date(later()) },
			{ status: '5.2.2', said: '552 mailbox full' },
			Buffer.from(`Message-ID: ${first}\r\nResent-Message-ID: ${id}\r\n\r\n`)
		);
	const old = composeReport(
		{ from: 'accounts@ashlock-kiln.example', to: GONE, host: 'mx.example', at: new Date(later()) },
		{ status: '5.1.1', said: '550 still nobody' },
		Buffer.from(`Message-ID: ${first}\r\n\r\n`)
	);
	expect(await noteReport(books, old, later())).toBe(1);
	expect((await stands()).state).toBe('sent');
	const own = about((await stands()).resentId!, 'new@hazel.example');
	expect(await noteReport(books, own, later())).toBe(1);
	expect(await stands()).toMatchObject({ state: 'undelivered', answer: '552 mailbox full' });
	expect(await reports()).toHaveLength(3);
	// Read twice, it is kept once.
	expect(await noteReport(books, own, later())).toBe(1);
	expect(await reports()).toHaveLength(3);
});

test('what is late or has arrived is said, and the letter stays sent', async () => {
	await sentTo('ledger@hazel.example');
	const { messageId } = await stands();
	const told = (action: string) =>
		Buffer.from(
			composeReport(
				{ from: 'x@y.example', to: 'LEDGER@hazel.example', host: 'mx.example', at: new Date(now()) },
				{ status: '4.4.1', said: `${action} says the server` },
				Buffer.from(`Message-ID: ${messageId}\r\n\r\n`)
			)
				.toString('latin1')
				.replace('Action: failed', `Action: ${action}`),
			'latin1'
		);
	for (const action of ['delayed', 'delivered']) {
		expect(await noteReport(books, told(action), now())).toBe(1);
		expect(await stands()).toMatchObject({ state: 'sent', answer: `${action} says the server` });
	}
	expect(codesOf(await perform(books, sendAgain, { letterId: 1 }, as(CLERK)))).toEqual(['not-found']);
});

test('a report in words alone is known by the id that it names; other mail changes nothing', async () => {
	await sentTo('ledger@hazel.example');
	const { messageId } = await stands();
	const mail = (from: string, text: string) =>
		Buffer.from(`From: ${from}\r\nSubject: mail\r\nMessage-ID: <own@mx.example>\r\n\r\n${text}\r\n`);
	for (const other of [
		mail('wren@hazel.example', `We got ${messageId}, thank you.`),
		mail('mailer-daemon@mx.example', 'Something went wrong with <1234@elsewhere.example>.'),
		mail('mailer-daemon@mx.example', 'Something went wrong.'),
		Buffer.from(''),
		Buffer.from([0, 255, 1, 2, 3])
	])
		expect(await noteReport(books, other, now())).toBe(0);
	expect(await reports()).toEqual([]);
	const words = mail('Mail Delivery <MAILER-DAEMON@mx.example>', `Sorry. ${messageId} has no such person.`);
	expect(await noteReport(books, words, now())).toBe(1);
	expect((await stands()).state).toBe('undelivered');
});

test('a report that is read before it is known here that the letter was taken still holds', async () => {
	await sentTo('ledger@hazel.example');
	await books.write((tx) => tx.update(delivery).set({ state: 'waiting', owner: null }));
	const { messageId } = await stands();
	const report = composeReport(
		{ from: 'x@y.example', to: 'ledger@hazel.example', host: 'mx.example', at: new Date(now()) },
		{ status: '5.1.1', said: '550 nobody' },
		Buffer.from(`Message-ID: ${messageId}\r\n\r\n`)
	);
	await noteReport(books, report, later());
	await deliver();
	expect((await stands()).state).toBe('undelivered');
});

test('a mailbox is read on from where it was read last, also after a start', async () => {
	await sentTo('ledger@hazel.example');
	const { messageId } = await stands();
	const source = composeReport(
		{ from: 'x@y.example', to: 'ledger@hazel.example', host: 'mx.example', at: new Date(now()) },
		{ status: '5.1.1', said: '550 nobody' },
		Buffer.from(`Message-ID: ${messageId}\r\n\r\n`)
	);
	const box = await testMailbox({ user: 'a', password: 'b' }, () => ({
		validity: 1,
		mails: [{ uid: 4, source }]
	}));
	const mailbox = {
		...{ host: '127.0.0.1', port: box.port, security: 'none' as const },
		...{ user: 'a', password: 'b', folder: '' }
	};
	await readFrom(books, { mailbox }, now);
	expect((await stands()).state).toBe('undelivered');
	expect(await readSetting(books.db, 'mailboxPlace')).toMatchObject({ validity: '1', last: 4 });
	const fetched = () => box.asked.filter((one) => /BODY/.test(one) && /PEEK/.test(one)).length;
	const before = fetched();
	await readFrom(books, { mailbox }, now);
	expect(fetched()).toBe(before);
	await box.close();
	await proves(books);
});

test('copies go once: with a letter that goes to a mended address for the first time, not with one that was taken before', async () => {
	const contact = { name: 'Ada', role: '', email: 'ada@hazel.example', phone: null, copies: 'all' as const };
	await books.write((tx) => tx.update(customer).set({ contacts: [contact] }));
	// Who it was written to and who gets a copy stand in the same text: each that takes it has a file of it.
	const sent = () => readdirSync(folder).filter((name) => name.endsWith('.eml')).length;
	await sentTo('ledger@no-such-host.example');
	expect([(await stands()).state, sent()]).toEqual(['refused', 0]);
	await done(books, sendAgain, { letterId: 1, email: GONE }, CLERK);
	await deliver();
	expect([(await stands()).state, sent()]).toEqual(['sent', 2]);
	await readFrom(books, { folder: returned }, now);
	expect((await stands()).state).toBe('undelivered');
	await done(books, sendAgain, { letterId: 1, email: 'new@hazel.example' }, CLERK);
	await deliver();
	expect([(await stands()).state, sent()]).toEqual(['sent', 3]);
});
